export { nextRun, scheduleText, type Schedule } from "./schedule";
