import type { RoomBoards, RoomKind, RoomOf } from "@/contract/rooms";
import { fine, refused, type Result } from "@/core/base";
import {
  leaderOfSprint,
  loadProject,
  putRoomBoard,
  releaseRows,
  rightTo,
  roomBoards,
  type EntityManager,
} from "@/data";
import { listDashboards, loadDashboard } from "../dashboards/dashboards";
import { mayLead } from "../projects/room";
import { nothingHere } from "../refused";
import type { Desk } from "../viewer/viewpoint";

/** A room among those of its like. */
interface Place {
  /** The mark that all of its like bear. */
  readonly type: string;
  /** What they are: "projects of the type refit". */
  readonly alike: string;
  /** Whether the viewer leads what it is of. */
  readonly leads: boolean;
}

/** Where a thing that is seen has its place; null where it is gone. */
const PLACES: Readonly<
  Record<RoomKind, (em: EntityManager, desk: Desk, id: number) => Promise<Place | null>>
> = {
  async project(em, { viewer }, id) {
    const kept = await loadProject(em, id);
    return (
      kept && {
        type: kept.type ?? "",
        alike: kept.type ? `projects of the type ${kept.type}` : "projects without a type",
        leads: mayLead(viewer, id),
      }
    );
  },
  async sprint(em, { viewer, view }, id) {
    const { names } = view.catalog;
    const team = names.find("sprint", id)?.team;
    return {
      type: team === undefined ? "" : String(team),
      alike:
        team === undefined ? "sprints of no team" : `sprints of ${names.find("team", team)?.label}`,
      leads: viewer.role === "administrator" || (await leaderOfSprint(em, id)) === viewer.person,
    };
  },
  async release(em, { viewer, view }, id) {
    const kept = (await releaseRows(em)).find((row) => row.id === id);
    if (!kept) return null;
    const project = kept.project === null ? null : view.catalog.names.find("project", kept.project);
    return {
      type: kept.project === null ? "" : String(kept.project),
      alike: project ? `releases of ${project.label}` : "releases of no project",
      leads:
        viewer.role === "administrator" ||
        (kept.project !== null && viewer.manages.includes(kept.project)),
    };
  },
};

/** @throws Refused for what is not there, or not the viewer's to see */
async function placeOf(em: EntityManager, desk: Desk, { kind, id }: RoomOf): Promise<Place> {
  if (!desk.view.catalog.names.find(kind, id)) throw nothingHere();
  const place = await PLACES[kind](em, desk, id);
  if (!place) throw nothingHere();
  return place;
}

/** The dashboards that a room shows, of those that the viewer may read; and which ones they may set. */
export async function boardsOfRoom(em: EntityManager, desk: Desk, of: RoomOf): Promise<RoomBoards> {
  const { type, alike, leads } = await placeOf(em, desk, of);
  const { viewer, view } = desk;
  const kept = await roomBoards(em, of.kind, type, of.id);
  const boards = await Promise.all(
    kept.map(async ({ id, isOwn }) => {
      const board = await loadDashboard(em, viewer, id, view);
      return board && { ...board, isOwn };
    }),
  );
  const maySetAlike = viewer.role === "administrator";
  const offered = maySetAlike || leads ? await listDashboards(em, viewer) : [];
  return {
    of: { ...of, name: view.catalog.names.find(of.kind, of.id)!.label },
    boards: boards.filter((board) => board !== null),
    alike,
    maySetAlike,
    maySetOwn: leads,
    offered: offered.map(({ id, name }) => ({ id, name })),
  };
}

/** Sets which dashboard all rooms of its like show, or a room of its own; what is named gives no right to it. */
export async function setRoomBoard(
  em: EntityManager,
  desk: Desk,
  { of, isOwn, dashboard }: { of: RoomOf; isOwn: boolean; dashboard: number | null },
): Promise<Result<true>> {
  const { type, alike, leads } = await placeOf(em, desk, of);
  const { viewer } = desk;
  if (isOwn ? !leads : viewer.role !== "administrator")
    return refused({
      code: "board.right",
      message: isOwn
        ? "Only who leads it or an administrator adds to its room."
        : `Only an administrator sets what all ${alike} show.`,
    });
  if (dashboard !== null && !(await rightTo(em, viewer, "dashboard", dashboard)))
    throw nothingHere();
  await putRoomBoard(em, of.kind, isOwn ? { target: of.id } : { type }, dashboard);
  return fine(true as const);
}
