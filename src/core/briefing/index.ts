// What a briefing is made of and how it is written: all of it may go to a browser. What it asks: ./planned.
export * from "./text";
export type { BriefingPart, BriefingPlace } from "./part";
export { BRIEFING_KINDS, partsOf, partTitle, type BriefingKind } from "./parts";
export { hereOf } from "./here";
export { fullMonth } from "./words";
export { isTooLong } from "./ownWords";
