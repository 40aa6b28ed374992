import { BoardFilterSchema, DeckSchema, TileSchema } from "@/core/definition/schemas";
import { type BoardFilter, type Deck, type Tile } from "@/core/definition";
import { act } from "./act";
import { type SavedVersion } from "./library";
import { NothingAsk } from "./shared";

import { z } from "zod";

export const SaveDashboardAsk = z.object({
  id: z.int().optional(),
  version: z.int().optional(),
  name: z.string(),
  purpose: z.string().optional(),
  tiles: z.array(TileSchema).max(60),
  /** Left out: as they are. */
  decks: z.array(DeckSchema).max(20).optional(),
  filters: z.array(BoardFilterSchema).max(20).optional(),
});

/** A filter of a dashboard as its room gets it. */
export interface ShownFilter extends BoardFilter {
  /** What it begins with, as a condition in words; null where it begins with nothing. */
  readonly says: string | null;
}

/** A dashboard as its room gets it. */
export interface KeptDashboard {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly owner: { readonly id: number; readonly name: string };
  readonly tiles: readonly Tile[];
  readonly decks: readonly Deck[];
  readonly filters: readonly ShownFilter[];
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

/** A line of the list of dashboards. */
export interface DashboardLine {
  readonly id: number;
  readonly name: string;
  readonly purpose: string;
  readonly owner: string;
  readonly tiles: number;
  readonly updatedAt: string;
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

/** A dashboard to begin with. */
export interface BoardTemplate {
  readonly name: string;
  readonly purpose: string;
  readonly tiles: number;
}

export const MakeBoardAsk = z.object({
  name: z.string(),
  purpose: z.string().max(500),
  template: z.string().max(200).nullable(),
});

/** What a viewer chose of a dashboard's filters: a condition in words for each; null is "any". */
export type ChosenFilters = Readonly<Record<string, string | null>>;

export const KeepChosenAsk = z.object({
  id: z.int(),
  chosen: z
    .record(z.string().max(60), z.string().max(4000).nullable())
    .refine((chosen) => Object.keys(chosen).length <= 40, "at most 40 filters"),
});

export const dashboardActs = {
  boardTemplates: act(NothingAsk).answers<BoardTemplate[]>(),
  /** A new dashboard, empty or filled from a template. */
  makeBoard: act(MakeBoardAsk).answers<SavedVersion>(),
  saveDashboard: act(SaveDashboardAsk).answers<SavedVersion>(),
  /** Keeps what one chose, for oneself. */
  keepChosen: act(KeepChosenAsk).answers<true>(),
  /** Those that one may put tiles on. */
  boards: act(NothingAsk).answers<KeptDashboard[]>(),
};
