export { Library } from "./Library";
