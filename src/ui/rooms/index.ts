export { Columns, Ground, Leafed, Leaves } from "./Leaves";
export { useLeaf } from "./useLeaf";
export { Forecast, OpenItems, RoomBoards } from "./later";
export { useBriefing } from "./useBriefing";
export { useForecast } from "./useForecast";
export { UNITS, useWorkUnit } from "./useWorkUnit";
