export { SprintRoom } from "./SprintRoom";
export { NoSprints } from "./NoSprints";
