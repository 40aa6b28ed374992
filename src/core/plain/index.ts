export { LONGEST_QUESTION, readQuestion, type Reading, type Taught } from "./readQuestion";
export { nearTo, pictured, type Near } from "./near";
export { TAUGHT, type Use, type UsePart } from "./question";
