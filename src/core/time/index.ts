export * from "./instant";
export * from "./day";
export * from "./zone";
export * from "./workCalendar";
export * from "./grain";
export * from "./relativePeriod";
export * from "./bucket";
