export { ItemRoom } from "./ItemRoom";
export { ItemsRoom } from "./ItemsRoom";
