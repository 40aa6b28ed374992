export { BriefingRoom } from "./BriefingRoom";
export { BriefingsRoom } from "./BriefingsRoom";
export { BriefingPage, BriefingsLeaf } from "./later";
