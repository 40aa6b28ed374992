export { type KeptReport } from "@/contract/library";
import { Catalog, type AskContext, type CatalogData, type ViewerWords } from "@/core/catalog";
import type { Instant, WorkCalendar } from "@/core/time";

/** What the report room needs to read sentences by itself; plain data from the server. */
export interface RoomFacts {
  readonly data: CatalogData;
  readonly calendar: Omit<WorkCalendar, "holidays"> & { readonly holidays: readonly string[] };
  readonly now: Instant;
  readonly viewer: ViewerWords;
  readonly mayBuild: boolean;
  /** Reports of one's own may be kept. */
  readonly mayKeep: boolean;
  /** Somebody of a client reads items and changes none. */
  readonly mayChangeItems: boolean;
}

export const contextOf = (facts: RoomFacts): AskContext => ({
  catalog: new Catalog(facts.data),
  now: facts.now,
  calendar: { ...facts.calendar, holidays: new Set(facts.calendar.holidays) },
});
