import type { RoomKind } from "@/contract/rooms";

/** The sentences that every room asks of its items: `this sprint` stands for the one whose room it is. */
const OPEN = (thing: RoomKind) => `items where ${thing} is this ${thing} and status is open`;

export const openItems = (thing: RoomKind): string =>
  `list ${OPEN(thing)} showing key, title, kind, status, priority, assignee, due sorted by due`;
export const whereTheyStand = (thing: RoomKind): string =>
  `count ${OPEN(thing)} by kind split by status as stacked bars`;
export const howManyWereOpen = (thing: RoomKind): string =>
  `level of ${OPEN(thing)} at week ends for last 12 weeks as line`;
