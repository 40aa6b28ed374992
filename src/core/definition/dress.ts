import { z } from "zod";

/** How a report looks, never what it counts. Keys of groups are those of its answer. */
export const DressSchema = z.object({
  title: z.string().max(200).optional(),
  /** Order of the bars; natural where nothing is said. "hand" takes `byHand` first. */
  order: z.enum(["natural", "largest", "smallest", "name", "hand"]).default("natural"),
  byHand: z.array(z.string()).max(500).default([]),
  /** Names of the builder's own, by tier and group key ("0/v12"), those of the split by "split/v3". */
  names: z.record(z.string(), z.string().max(200)).default({}),
  labels: z.enum(["none", "value", "percent", "both"]).default("value"),
  base: z.enum(["all", "shown", "own row", "own column"]).default("shown"),
  decimals: z.int().min(0).max(4).default(1),
});
export type Dress = z.infer<typeof DressSchema>;
export const PLAIN_DRESS: Dress = DressSchema.parse({});
