import { Catalog, type AskContext, type CatalogData, type ViewerWords } from "@/core/catalog";
import type { Dress, Report } from "@/core/definition";
import type { Instant, WorkCalendar } from "@/core/time";

/** What the report room needs to read sentences by itself; plain data from the server. */
export interface RoomFacts {
  readonly data: CatalogData;
  readonly calendar: Omit<WorkCalendar, "holidays"> & { readonly holidays: readonly string[] };
  readonly now: Instant;
  readonly viewer: ViewerWords;
  readonly mayBuild: boolean;
}

export const contextOf = (facts: RoomFacts): AskContext => ({ catalog: new Catalog(facts.data), now: facts.now, calendar: { ...facts.calendar, holidays: new Set(facts.calendar.holidays) } });

/** A saved report, as the room opens it. */
export interface KeptReport {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly definition: Report;
  readonly dress: Dress;
  readonly owner: { readonly id: number; readonly name: string };
  readonly updatedAt: string;
  readonly pinned: boolean;
}
