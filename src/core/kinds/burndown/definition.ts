export type { BurndownReport } from "./schema";
