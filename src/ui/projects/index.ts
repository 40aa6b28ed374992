export { ProjectsRoom } from "./ProjectsRoom";
export { ProjectRoom } from "./ProjectRoom";
