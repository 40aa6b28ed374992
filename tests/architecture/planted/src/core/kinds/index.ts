export { anything as planned } from "../plan";
