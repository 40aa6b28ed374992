export type { BridgeReport } from "./schema";
