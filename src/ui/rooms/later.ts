import { later } from "../kit";

/** Leaves of rooms that a page has only once they are seen. */
export const RoomBoards = later(() => import("./RoomBoards"), "RoomBoards");
export const Forecast = later(() => import("./Forecast"), "Forecast");
export const BriefingButton = later(() => import("./BriefingButton"), "BriefingButton");
export const ThingLeaf = later(() => import("./ThingLeaf"), "ThingLeaf");
export const OpenItems = later(() => import("./OpenItems"), "OpenItems");
