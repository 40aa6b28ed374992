export { People } from "./People";
export { Imports } from "./Imports";
export { PrintSettings } from "./PrintSettings";
export { Words } from "./Words";
