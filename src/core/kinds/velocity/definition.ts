export type { VelocityReport } from "./schema";
