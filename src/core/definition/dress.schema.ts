import { z } from "zod";
import { ConditionSchema } from "../filter/schemas";

/** A token of the palette: a series colour, a step of the ramp, a meaning (good, near, bad), or the ground of what has no value. */
export const ColorSchema = z.string().regex(/^(c[1-8]|r[1-4]|g[1-3]|ghost|ink-3)$/);
const Names = z.record(z.string(), z.string().max(200));
const Bound = z.number().finite();

/** A stretch of a gauge or a number, with a name; it begins where the one before ends. */
export const ZoneSchema = z.strictObject({
  name: z.string().min(1).max(60),
  to: Bound.nullable(),
  color: ColorSchema.optional(),
});
export type Zone = z.infer<typeof ZoneSchema>;

/** A rule that tones cells of a pivot or heat map, or colours marks, by their value. */
export const RuleSchema = z.strictObject({
  kind: z.enum(["over", "under", "top share"]),
  value: Bound,
  measure: z.int().min(0).max(5).default(0),
  color: ColorSchema,
  name: z.string().max(60).default(""),
});
export type Rule = z.infer<typeof RuleSchema>;

/** A condition that was switched off: kept with the report at its place, and counted nowhere. */
const OffSchema = z.strictObject({ at: z.int().min(0), where: ConditionSchema });

/** A condition that readers may change: the one on this field (its ids joined by "/") among those at the top. */
const ReaderSchema = z.strictObject({
  field: z.string().min(1).max(300),
  label: z.string().max(80).optional(),
});

/** How a report looks, never what it counts. Keys of groups are those of its answer. */
export const DressSchema = z.object({
  title: z.string().max(200).optional(),
  subtitle: z.string().max(300).optional(),
  footnote: z.string().max(500).optional(),
  /** What it is for and what it takes for granted. */
  description: z.string().max(4000).optional(),
  /** Order of the bars; natural where nothing is said. "hand" takes `byHand` first. */
  order: z.enum(["natural", "largest", "smallest", "name", "hand"]).default("natural"),
  byHand: z.array(z.string()).max(500).default([]),
  /** Order of the parts of a split, by key, where it is not the natural one. */
  splitOrder: z.array(z.string()).max(500).default([]),
  /** Names of the builder's own, by tier and group key ("0/v12"), those of the split by "split/v3", of measures by "measure/0". */
  names: Names.default({}),
  /** Colours of the builder's own, by the same keys. */
  colors: z.record(z.string(), ColorSchema).default({}),
  /** What a top N leaves over: drawn, a line of its own, or that where it would dwarf the picture. */
  rest: z.enum(["usual", "drawn", "aside"]).default("usual"),
  /** One colour for all, a colour for each, or by rules. */
  coloring: z.enum(["own", "one", "each", "rules"]).default("own"),
  oneColor: ColorSchema.default("c1"),
  rules: z.array(RuleSchema).max(12).default([]),
  textures: z.boolean().default(false),
  labels: z.enum(["none", "value", "percent", "both"]).default("value"),
  labelSize: z.enum(["small", "usual", "large"]).default("usual"),
  base: z.enum(["all", "shown", "own row", "own column"]).default("shown"),
  /** Decimals of percentages; of values, where the usual ones will not do. */
  decimals: z.int().min(0).max(4).default(1),
  valueDecimals: z.int().min(0).max(4).optional(),
  marks: z.boolean().default(true),
  weight: z.enum(["thin", "usual", "bold"]).default("usual"),
  legend: z.enum(["above", "right", "below", "none"]).default("above"),
  /** The legend as a table, with these columns. */
  legendTable: z.boolean().default(false),
  legendColumns: z
    .array(z.enum(["value", "percent", "second"]))
    .max(3)
    .default(["value"]),
  legendTotal: z.boolean().default(true),
  /** The chart's table beside or below it. */
  table: z.enum(["none", "beside", "below"]).default("none"),
  hover: z.string().max(200).optional(),
  axisTitle: z.string().max(100).optional(),
  groupTitle: z.string().max(100).optional(),
  axisFrom: Bound.optional(),
  axisTo: Bound.optional(),
  /** A unit of the builder's own words: "faults", "hours". */
  unitWords: z.string().max(30).optional(),
  slider: z.boolean().default(false),
  dayNotes: z.boolean().default(true),
  /** Gauge and number with zones: its range, its zones in rising order, its target. */
  low: Bound.optional(),
  high: Bound.optional(),
  zones: z.array(ZoneSchema).max(6).default([]),
  target: Bound.optional(),
  /** How many of the first groups of a pivot make tables of their own. */
  pages: z.int().min(0).max(2).default(0),
  /** Tiers of a pivot that are closed at first, by path of keys. */
  closed: z.array(z.string()).max(2000).default([]),
  /** The column by which a pivot is sorted. */
  pivotSort: z
    .strictObject({
      column: z.string().nullable(),
      measure: z.int().min(0),
      descending: z.boolean(),
    })
    .optional(),
  /** Widths of a list's columns in px, by field. */
  widths: z.record(z.string(), z.number().min(40).max(900)).default({}),
  /** Values that the builder has seen, by place of the group: one that is not among them is not placed yet. */
  placed: z.record(z.string(), z.array(z.string()).max(2000)).default({}),
  /** Conditions that are switched off. */
  off: z.array(OffSchema).max(50).default([]),
  readers: z.array(ReaderSchema).max(20).default([]),
});
export type Dress = z.infer<typeof DressSchema>;
