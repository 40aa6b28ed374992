export * from "./people";
export * from "./definitions";
export * from "./rooms";
