import { z } from "zod";
import { ConditionSchema } from "../filter/schemas";
import { COLUMNS } from "./dashboard";
import { FieldPathSchema, SubjectSchema } from "./report.schema";

const Id = z.string().min(1).max(60);

/** Where a tile stands, in grid units, 12 columns wide; and what is its own. */
const tileBase = {
  id: Id,
  /** The deck that it is in; none is the first, without a head. */
  deck: Id.optional(),
  x: z
    .int()
    .min(0)
    .max(COLUMNS - 1),
  y: z.int().min(0).max(1000),
  w: z.int().min(2).max(COLUMNS),
  h: z.int().min(2).max(20),
  /** Of its own, in place of what it shows. */
  title: z.string().max(200).optional(),
  subtitle: z.string().max(300).optional(),
  footnote: z.string().max(500).optional(),
  /** The filters of the dashboard that it does not listen to. */
  deaf: z.array(Id).max(40).optional(),
  /** It gives no beams, or takes none. */
  givesNone: z.literal(true).optional(),
  takesNone: z.literal(true).optional(),
};

/** A tile that follows a saved report and its changes. */
export const ReportTileSchema = z.object({
  ...tileBase,
  report: z.int(),
  /** Who put it there: it shows what they may read, and no more. Set by the server. */
  by: z.int().optional(),
});
export type ReportTile = z.infer<typeof ReportTileSchema>;

/** A tile of words, in Markdown. */
export const TextTileSchema = z.object({ ...tileBase, text: z.string().max(8000) });
export type TextTile = z.infer<typeof TextTileSchema>;

export const TileSchema = z.union([ReportTileSchema, TextTileSchema]);
export type Tile = z.infer<typeof TileSchema>;

/** A titled group of tiles that can be put away. */
export const DeckSchema = z.object({
  id: Id,
  title: z.string().trim().min(1).max(120),
  note: z.string().max(300).default(""),
  /** Put away at first; whoever looks may open it. */
  isClosed: z.boolean().default(false),
});
export type Deck = z.infer<typeof DeckSchema>;

/** An input of a dashboard that narrows the tiles that listen to it. */
export const BoardFilterSchema = z.object({
  id: Id,
  subject: SubjectSchema.shape.id,
  /** Other subjects are narrowed by their field of that name, or by that of the item they belong to. */
  field: FieldPathSchema,
  label: z.string().max(80).optional(),
  /** What it begins with; nothing narrows nothing. */
  begins: ConditionSchema.optional(),
  /** The filter whose values it offers only what is left of. */
  dependsOn: Id.optional(),
  /** It is seen and cannot be changed. */
  isLocked: z.literal(true).optional(),
  /** What a viewer chose is not kept for them. */
  forgets: z.literal(true).optional(),
});
export type BoardFilter = z.infer<typeof BoardFilterSchema>;

/** All of a dashboard that is saved. */
export const DashboardSchema = z.object({
  name: z.string().trim().min(1, "a dashboard needs a name").max(200),
  purpose: z.string().max(500).default(""),
  tiles: z.array(TileSchema).max(60),
  decks: z.array(DeckSchema).max(20).default([]),
  filters: z.array(BoardFilterSchema).max(20).default([]),
});
export type Dashboard = z.infer<typeof DashboardSchema>;
