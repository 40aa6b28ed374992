export { ReleaseRoom } from "./ReleaseRoom";
export { NoReleases } from "./NoReleases";
