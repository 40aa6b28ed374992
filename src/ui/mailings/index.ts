export { Mailings } from "./Mailings";
