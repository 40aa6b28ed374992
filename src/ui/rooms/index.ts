export { LeafTabs } from "./LeafTabs";
export { Columns, Ground, Leafed, Leaves } from "./Leaves";
export { useLeaf } from "./useLeaf";
export { BriefingButton, Forecast, OpenItems, RoomBoards, ThingLeaf } from "./later";
export { isThingLeaf, THING_LEAVES, type ThingLeafId } from "./thingLeaves";
export { useForecast } from "./useForecast";
export { UNITS, useWorkUnit } from "./useWorkUnit";
