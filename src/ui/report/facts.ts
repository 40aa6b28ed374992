import type { RoomFacts } from "@/contract/workspace";
import { Catalog, type AskContext } from "@/core/catalog";

export type { KeptReport } from "@/contract/library";
export type { RoomFacts } from "@/contract/workspace";

/** The context in which sentences are read, made from plain facts. */
export const contextOf = (facts: RoomFacts): AskContext => ({
  catalog: new Catalog(facts.data),
  now: facts.now,
  calendar: { ...facts.calendar, holidays: new Set(facts.calendar.holidays) },
});
