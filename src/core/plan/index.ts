export * from "./plan";
export * from "./tier";
export * from "./tests";
export * from "./order";
export * from "./term";
export * from "./aggregate";
export * from "./spans";
