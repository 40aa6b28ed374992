import { TileSchema } from "@/core/definition/schemas";
import { type Tile } from "@/core/definition";
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
});

/** A dashboard as its room gets it. */
export interface KeptDashboard {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly owner: { readonly id: number; readonly name: string };
  readonly tiles: readonly Tile[];
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

export const dashboardActs = {
  boardTemplates: act(NothingAsk).answers<BoardTemplate[]>(),
  /** A new dashboard, empty or filled from a template. */
  makeBoard: act(MakeBoardAsk).answers<SavedVersion>(),
  saveDashboard: act(SaveDashboardAsk).answers<SavedVersion>(),
  /** Those that one may put tiles on. */
  boards: act(NothingAsk).answers<KeptDashboard[]>(),
};
