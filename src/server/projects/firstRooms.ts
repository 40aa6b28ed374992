import { fullMonth } from "@/core/briefing";
import { addDays } from "@/core/time";
import {
  loadProject,
  loadViewer,
  putRoomBoard,
  readableDashboards,
  unitOfWork,
  type EntityManager,
} from "@/data";
import type { Clock } from "../clock";
import { settled } from "../refused";
import { todayOf } from "./records";
import { deskOf } from "../viewer/viewpoint";
import { showBriefing } from "../briefings/briefings";
import { freezeBriefing, newBriefing, saveBriefing } from "../briefings/writing";

const OWN = [
  "We take the second docking whatever happens; without it we lose the yard until spring. Today ",
  "{sum of amount of cost entries where project is this project and spent on until today} are spent, and ",
  "{count items where project is this project and status is open and due before today} items are late.",
].join("");

/** The ready-made dashboard that the rooms of a project's type show at first. */
const BOARD = "Portfolio";

/**
 * What the room of a project has to begin with, by its manager: a briefing that is kept current, one frozen at the end of last
 * month, and a dashboard for all projects of its type.
 */
export async function makeFirstRoom(
  em: EntityManager,
  clock: Clock,
  project: number,
): Promise<void> {
  const kept = await loadProject(em, project);
  const viewer = kept?.manager ? await loadViewer(em, kept.manager) : null;
  if (!kept || !viewer) return;
  const desk = await deskOf(em, viewer, clock);
  const [first] = viewer.name.split(" ");
  await unitOfWork(em, async (unit) => {
    const of = { kind: "project" as const, target: project, title: "", template: null };
    const id = settled(await newBriefing(unit, clock, desk, of));
    const { version, title, kept: parts } = await showBriefing(unit, desk, id);
    const own = { id: "own", title: `In ${first}'s own words`, words: OWN };
    settled(await saveBriefing(unit, clock, desk, { id, version, title, parts: [...parts, own] }));
    const on = addDays(`${todayOf(desk).slice(0, 7)}-01`, -1);
    const name = `${title.split(":")[0]}, ${fullMonth(on)}`;
    settled(await freezeBriefing(unit, clock, desk, { id, on, title: name }));
    const board = (await readableDashboards(unit, viewer)).find((one) => one.name === BOARD);
    if (board) await putRoomBoard(unit, "project", { type: kept.type ?? "" }, board.id);
  });
}
