export * from "./people";
export * from "./definitions";
