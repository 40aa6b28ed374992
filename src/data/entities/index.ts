export * from "./dictionaries";
export * from "./records";
export * from "./definitions";
