export { LONGEST_QUESTION, readQuestion, type Reading } from "./readQuestion";
export type { Use, UsePart } from "./question";
