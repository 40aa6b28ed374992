export { Dashboards } from "./Dashboards";
export { Board } from "./Board";
