/** What is denied: that it is empty. */
export { isEmpty as isNotEmpty } from "./isEmpty.sql";
