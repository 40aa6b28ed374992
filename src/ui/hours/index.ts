export { HoursRoom } from "./HoursRoom";
