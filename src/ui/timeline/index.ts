export { Timeline } from "./Timeline";
