export { LONGEST_QUESTION, readQuestion, type Reading } from "./readQuestion";
export { nearTo, pictured, type Near } from "./near";
export type { Use, UsePart } from "./question";
