import { DressSchema } from "@/core/definition/schemas";
import type { Viewpoint } from "@/core/relation";
import { type Report, parseSentence } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";
import { quoted } from "@/core/sentence";
import { PLAIN_DRESS, type Dress } from "@/core/definition";

import { hasReports, loadViewer, unitOfWork, type EntityManager, type Viewer } from "@/data";
import { systemClock } from "../clock";
import { saveDashboard } from "../dashboards/dashboards";
import { deskOf } from "../viewer/viewpoint";
import { setPin } from "./kept";
import { BOARDS, partsOf } from "./readyBoards";
import { REPORTS } from "./readyReports";
import { saveReport } from "./reports";

/** A report for a common job, in the words of this workspace. */
export interface ReadyMade {
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly report: Report;
  readonly dress: Dress;
}

/** Where a workspace has no kind of that name, its items stand in. */
export const general = (words: string): string =>
  words
    .replace(/\b(faults|requests|stories)\b/g, "items")
    .replace(/\b(Faults|Requests|Stories)\b/g, "Items");

/** The team whose sprints are told of: the viewer's own where it has any, or else that of the sprint that began last. */
export function sprintTeamOf({
  catalog: { names },
  viewer,
}: AskContext & Partial<Viewpoint>): number | null {
  const ofTeams = names
    .list("sprint")
    .flatMap(({ team, startsAt = 0 }) => (team === undefined ? [] : [{ team, startsAt }]))
    .sort((a, b) => b.startsAt - a.startsAt);
  const own = ofTeams.find(({ team }) => viewer?.teams.includes(team));
  return (own ?? ofTeams[0])?.team ?? null;
}

/** The ready-made reports that this workspace can answer; sentences that it has no fields for are left out. */
export function readyMade(context: AskContext & Partial<Viewpoint>): ReadyMade[] {
  const { names } = context.catalog;
  const team = names.find("team", sprintTeamOf(context) ?? 0);
  const called = team ? quoted(names.printed("team", team)) : "my team";
  const inWords = (sentence: string) => sentence.replaceAll("{team}", called);
  const made = REPORTS.flatMap(
    ({ name, sentence, dress, category = "Desk", purpose = "" }): ReadyMade[] => {
      for (const [named, said] of [
        [name, sentence],
        [general(name), general(sentence)],
      ]) {
        const parsed = parseSentence(inWords(said), context);
        if (parsed.ok)
          return [
            {
              name: named,
              purpose,
              category,
              report: parsed.value,
              dress: dress ? DressSchema.parse(dress) : PLAIN_DRESS,
            },
          ];
      }
      return [];
    },
  );
  return made.filter((one, i) => made.findIndex((other) => other.name === one.name) === i);
}

/** Saves the ready-made reports and the dashboards of them for a builder: all of them, or none. */
export async function makeReadyMade(em: EntityManager, person: number): Promise<void> {
  const viewer = await loadViewer(em, person);
  if (!viewer) return;
  const { view } = await deskOf(em, viewer, systemClock);
  await unitOfWork(em, (unit) => saveReadyMade(unit, viewer, view));
}

async function saveReadyMade(em: EntityManager, viewer: Viewer, view: Viewpoint): Promise<void> {
  const ids = new Map<string, number>();
  for (const { name, purpose, category, report, dress } of readyMade(view)) {
    const saved = await saveReport(em, viewer, view, {
      name,
      definition: report,
      dress,
      category,
      purpose,
      forEveryone: true,
    });
    if (saved.ok) ids.set(name, saved.value.id);
  }
  for (const board of BOARDS) {
    const made = await saveDashboard(em, viewer, {
      name: board.name,
      purpose: board.purpose,
      ...partsOf(board, (name) => ids.get(name) ?? ids.get(general(name)), sprintTeamOf(view)),
      forEveryone: true,
    });
    if (made.ok && board === BOARDS[0]) await setPin(em, viewer, "dashboard", made.value.id, true);
  }
}

/** The same where nobody has saved a report yet: with the first import of one's own records. */
export async function makeFirstReadyMade(em: EntityManager, person: number): Promise<void> {
  if (!(await hasReports(em))) await makeReadyMade(em, person);
}
