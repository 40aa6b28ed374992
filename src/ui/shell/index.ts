export { Frame } from "./Frame";
export { Shell } from "./Shell";
export { Mark } from "./Mark";
export { Trouble, NothingHere } from "./Trouble";
