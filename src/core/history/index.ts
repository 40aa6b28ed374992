export * from "./spans";
export { CAUSES, type BurndownSpan, type Cause, type Reach, type WorkSpan } from "./workSteps";
export * from "./burndown";
export * from "./account";
export * from "./pace";
export * from "./forecast";
