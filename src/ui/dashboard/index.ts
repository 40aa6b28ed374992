export { Dashboards } from "./Dashboards";
export { Board } from "./Board";
export { narrowingsAt } from "./narrowing/narrowed";
export { StillGrid } from "./StillGrid";
