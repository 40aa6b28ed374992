export { ItemRoom } from "./ItemRoom";
