export { BriefingRoom } from "./BriefingRoom";
export { BriefingsRoom } from "./BriefingsRoom";
export { BriefingsLeaf } from "./later";
