export * from "./Button";
export * from "./Field";
export * from "./Popover";
export { tell, Toasts } from "./toasts";
export { ask, AskProblem, type Failure } from "./ask";
export { Notice, Empty, Waiting } from "./Notice";
export { Page, Mast, Title, Purpose } from "./Page";
export { DayField } from "./DayField";
export { Guard } from "./Guard";
