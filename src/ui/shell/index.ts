export { Frame } from "./Frame";
export { Shell } from "./Shell";
export { Mark } from "./Mark";
export { LaterTrouble } from "./LaterTrouble";
export { NothingHere } from "./NothingHere";
