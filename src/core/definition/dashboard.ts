export type { Dashboard, Tile } from "./dashboard.schema";

/** How many columns the grid of a dashboard has. */
export const COLUMNS = 12;
