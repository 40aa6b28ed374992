import { MEANINGS } from "@/core/sentence/meanings";
import type { Viewpoint } from "@/core/relation";
import { Catalog, type CatalogData } from "@/core/catalog";

import type { Sight } from "@/core/figure";
import type { Instant, WorkCalendar } from "@/core/time";
import {
  databaseOf,
  loadKnown,
  loadWorkspace,
  type EntityManager,
  type Viewer,
  type WorkspaceRow,
} from "@/data";
import type { Clock } from "../clock";

/** What a viewer may know, as long as no name and no right changes. */
interface Known {
  readonly data: CatalogData;
  readonly catalog: Catalog;
  readonly calendar: WorkCalendar;
  readonly settings: Readonly<Record<string, string>>;
}

const kept = new Map<string, Known>();
const MOST_KEPT = 200;

/** A question's surroundings: who asks, when, and what the names mean to them. */
export interface Desk {
  readonly viewer: Viewer;
  readonly workspace: WorkspaceRow;
  readonly view: Viewpoint;
  readonly data: CatalogData;
  readonly settings: Readonly<Record<string, string>>;
}

/**
 * Where a viewer stands. Asked as of an instant, everything later has not happened; otherwise items are read as
 * they are kept, unless some record lies ahead of the clock.
 */
export async function deskOf(
  em: EntityManager,
  viewer: Viewer,
  clock: Clock,
  asOf?: Instant,
): Promise<Desk> {
  const workspace = await loadWorkspace(em);
  const known = await knownTo(em, viewer, workspace);
  const clocked = clock.now();
  const isAhead = workspace.latestAt !== null && workspace.latestAt > clocked;
  const view: Viewpoint = {
    catalog: known.catalog,
    calendar: known.calendar,
    now: asOf ?? clocked,
    past: asOf !== undefined || isAhead,
    viewer,
    projects: viewer.visible,
    money: known.catalog.money.seenBy.includes(viewer.role) ? null : viewer.manages,
    meanings: MEANINGS,
  };
  return { viewer, workspace, view, data: known.data, settings: known.settings };
}

/** What a viewer sees, where that is not everything. */
export const sightOf = ({ viewer, view }: Desk): Sight | null =>
  viewer.visible === null
    ? null
    : {
        name: viewer.name,
        projects: view.catalog.names.list("project").map((project) => project.label),
      };

/** What a viewer may know, read once for as long as no name and no right changes. */
async function knownTo(
  em: EntityManager,
  viewer: Viewer,
  { namesVersion }: WorkspaceRow,
): Promise<Known> {
  const id = JSON.stringify([
    namesVersion,
    viewer.visible === null ? "all" : [viewer.visible, viewer.person, viewer.teams],
    databaseOf(em),
  ]);
  const found = kept.get(id);
  if (found) return found;
  const { data, calendar, settings } = await loadKnown(em, viewer);
  const known = { data, catalog: new Catalog(data), calendar, settings };
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(id, known);
  return known;
}
