import type { ReportTile, Tile } from "./dashboard.schema";

export type { BoardFilter, Dashboard, Deck, ReportTile, TextTile, Tile } from "./dashboard.schema";

/** How many columns the grid of a dashboard has. */
export const COLUMNS = 12;

export const isReportTile = (tile: Tile): tile is ReportTile => "report" in tile;
