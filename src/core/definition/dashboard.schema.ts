import { z } from "zod";
import { COLUMNS } from "./dashboard";

/** A tile shows one saved report; place and size in grid units, 12 columns wide. */
export const TileSchema = z.object({
  id: z.string().min(1).max(40),
  report: z.int(),
  /** Who put it there: it shows what they may read, and no more. Set by the server. */
  by: z.int().optional(),
  x: z
    .int()
    .min(0)
    .max(COLUMNS - 1),
  y: z.int().min(0).max(1000),
  w: z.int().min(2).max(COLUMNS),
  h: z.int().min(2).max(20),
});
export type Tile = z.infer<typeof TileSchema>;

export const DashboardSchema = z.object({
  name: z.string().trim().min(1, "a dashboard needs a name").max(200),
  purpose: z.string().max(500).default(""),
  tiles: z.array(TileSchema).max(60),
});
export type Dashboard = z.infer<typeof DashboardSchema>;
