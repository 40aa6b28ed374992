export type { LevelReport } from "./schema";
