export type { CrossingsReport } from "./schema";

/** What can stand beside flows: their difference, and the level at the end of each stretch. */
export const BESIDES = ["net", "level"] as const;
export type Beside = (typeof BESIDES)[number];
