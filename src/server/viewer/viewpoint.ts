import type { Viewpoint } from "@/core/relation";
import { Catalog, type CatalogData } from "@/core/catalog";

import type { Instant, WorkCalendar } from "@/core/time";
import {
  type EntityManager,
  loadCalendar,
  loadCatalogData,
  loadWorkspace,
  type Viewer,
  withConnection,
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
  return withConnection(em, async (client) => {
    const workspace = await loadWorkspace(client);
    const id = JSON.stringify([
      workspace.namesVersion,
      viewer.visible === null ? "all" : [viewer.visible, viewer.person, viewer.teams],
      em.getConnection().getClientUrl(),
    ]);
    let known = kept.get(id);
    if (!known) {
      const { calendar, settings } = await loadCalendar(client);
      const data = await loadCatalogData(client, viewer, calendar.locale);
      known = { data, catalog: new Catalog(data), calendar, settings };
      if (kept.size >= MOST_KEPT) kept.clear();
      kept.set(id, known);
    }
    const clocked = clock.now();
    const now = asOf ?? clocked;
    const past =
      asOf !== undefined || (workspace.latestAt !== null && workspace.latestAt > clocked);
    const view: Viewpoint = {
      catalog: known.catalog,
      calendar: known.calendar,
      now,
      past,
      viewer,
      projects: viewer.visible,
    };
    return { viewer, workspace, view, data: known.data, settings: known.settings };
  });
}
