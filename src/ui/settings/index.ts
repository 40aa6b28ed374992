export { People } from "./People";
export { Imports } from "./Imports";
