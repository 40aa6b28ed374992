export { Explore } from "./Explore";
export type { Stretch, Trend, TrendAnswer } from "./steps";
export { AtCursor, Under, useLaid } from "./Under";
