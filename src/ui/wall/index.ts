export { Wall } from "./Wall";
