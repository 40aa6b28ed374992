export type { ListReport } from "./schema";
