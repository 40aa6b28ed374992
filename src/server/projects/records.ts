import type { MilestoneLine, OwedLine, ProgressLine, WordLine } from "@/contract/projects";
import { fine, numberText, refused, type Problem, type Result } from "@/core/base";
import {
  addDays,
  dayText,
  localDay,
  mondayOf,
  mondayOfWeek,
  weekName,
  type Day,
} from "@/core/time";
import {
  milestonesOf,
  progressOf,
  putMilestone,
  putProgress,
  putWord,
  remindersOf,
  removeMilestone,
  wordsOf,
  type EntityManager,
  type MilestoneToSave,
  type WordToSave,
} from "@/data";
import type { Clock } from "../clock";
import { nothingHere, Refused } from "../refused";
import type { Desk } from "../viewer/viewpoint";
import { knownProject, mayLead } from "./room";
import { tell } from "./tell";

/** What is kept of a project by hand: milestones, progress, weekly words. */

const NOT_YOURS: Problem = {
  code: "project.right",
  message: "Only its manager or an administrator enters this.",
};

/** @throws Refused for who does not lead it */
export function leading(desk: Desk, project: number): void {
  knownProject(desk, project);
  if (!mayLead(desk.viewer, project)) throw new Refused([NOT_YOURS], 403);
}

export const todayOf = ({ view }: Desk): Day => localDay(view.now, view.calendar.zone);

export async function listMilestones(
  em: EntityManager,
  desk: Desk,
  project: number,
): Promise<MilestoneLine[]> {
  knownProject(desk, project);
  return milestonesOf(em, project);
}

export async function saveMilestone(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  project: number,
  given: MilestoneToSave,
): Promise<Result<number>> {
  leading(desk, project);
  if (given.reached && given.reached > todayOf(desk))
    return refused({
      code: "milestone.reached",
      message: "A milestone cannot be reached in the future.",
      path: "reached",
    });
  const saved = await putMilestone(em, project, given, clock.now());
  if (saved === null) throw nothingHere();
  if (saved === "taken")
    return refused({
      code: "milestone.name",
      message: `There is a milestone "${given.name}" already.`,
      path: "name",
    });
  if (typeof saved === "number") return fine(saved);
  const { name, due, reached } = saved;
  const stands = [
    name,
    due ? `due on ${dayText(due)}` : "without a date",
    ...(reached ? [`reached on ${dayText(reached)}`] : []),
  ].join(", ");
  return refused(meanwhile("milestone", stands));
}

/** Somebody was faster: what stands there now, and that keeping again puts one's own in its place. */
const meanwhile = (what: "milestone" | "progress", stands: string): Problem => ({
  code: `${what}.version`,
  message: `Somebody changed it meanwhile: ${stands}. Keep yours again to put it in that place.`,
});

export async function dropMilestone(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  project: number,
  id: number,
): Promise<true> {
  leading(desk, project);
  if (!(await removeMilestone(em, project, id, clock.now()))) throw nothingHere();
  return true;
}

export async function listProgress(
  em: EntityManager,
  desk: Desk,
  project: number,
): Promise<ProgressLine[]> {
  knownProject(desk, project);
  return progressOf(em, project);
}

export async function saveProgress(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  {
    project,
    ...given
  }: {
    project: number;
    on: Day;
    actual?: string | null | undefined;
    planned?: string | null | undefined;
    was: { readonly actual: string | null; readonly planned: string | null } | null;
  },
): Promise<Result<true>> {
  leading(desk, project);
  if (given.actual && given.on > todayOf(desk))
    return refused({
      code: "progress.future",
      message: "What is done is entered for today or earlier; for later only what is planned.",
      path: "on",
    });
  const saved = await putProgress(em, project, given, clock.now());
  if (saved === true) return fine(saved);
  const percent = (text: string | null | undefined) => (text ? `${numberText(text)} %` : "nothing");
  return refused(
    meanwhile("progress", `${percent(saved?.planned)} planned and ${percent(saved?.actual)} done`),
  );
}

const MOST_WORDS = 120;

export async function listWords(
  em: EntityManager,
  desk: Desk,
  project: number,
): Promise<WordLine[]> {
  knownProject(desk, project);
  const { names } = desk.view.catalog;
  return (await wordsOf(em, project, MOST_WORDS)).flatMap(({ person, name: _name, ...word }) => {
    const begins = mondayOfWeek(word.week);
    if (!begins) return [];
    return [
      {
        ...word,
        begins,
        person: (person !== null && names.find("person", person)?.label) || "Somebody",
        isMine: person === desk.viewer.person,
      },
    ];
  });
}

export async function handInWord(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  { project, ...word }: WordToSave & { readonly project: number },
): Promise<Result<true>> {
  knownProject(desk, project);
  const { viewer, view } = desk;
  if (viewer.isClient)
    return refused({ code: "word.right", message: "You may read these words, not write them." });
  const begins = mondayOfWeek(word.week);
  if (!begins)
    return refused({ code: "word.week", message: `There is no week ${word.week}.`, path: "week" });
  if (begins > todayOf(desk))
    return refused({
      code: "word.ahead",
      message: "This week has not begun yet.",
      path: "week",
    });
  const { healthWords } = view.catalog.data.money;
  if (word.health !== null && !healthWords.includes(word.health))
    return refused({
      code: "word.health",
      message: `"${word.health}" is not one of ${healthWords.join(", ")}.`,
      path: "health",
    });
  if (word.health === null && !word.done && !word.next && !word.worry)
    return refused({
      code: "word.empty",
      message: "Say how it is, or what was done, comes next or worries you.",
      path: "health",
    });
  await putWord(em, project, viewer.person, word, clock.now());
  return fine(true as const);
}

/** How far back weeks are looked for that nobody has handed in. */
const WEEKS_BACK = 8;

/** The weeks that managers owe a word for, of the projects that one sees; the latest first. */
export async function listOwed(
  em: EntityManager,
  desk: Desk,
  project?: number,
): Promise<OwedLine[]> {
  if (project !== undefined) knownProject(desk, project);
  const view =
    project === undefined
      ? desk.view
      : { ...desk.view, here: { thing: "project" as const, id: project } };
  const monday = mondayOf(todayOf(desk));
  const only = project === undefined ? "" : "project is this project and ";
  const lines: OwedLine[] = [];
  for (let back = 1; back <= WEEKS_BACK; back += 1) {
    const begins = addDays(monday, -7 * back);
    const week = weekName(begins);
    const says = `list projects where ${only}owes a weekly word for ${week} showing project, manager`;
    const told = await tell(em, view, says);
    for (const row of told.rows)
      lines.push({
        project: Number(row.value("project")),
        name: row.words("project") ?? "",
        manager: row.words("manager"),
        week,
        begins,
        remindedAt: null,
      });
  }
  const reminded = await remindersOf(em, [...new Set(lines.map((line) => line.project))]);
  return lines.map((line) => ({
    ...line,
    remindedAt:
      reminded.find((one) => one.project === line.project && one.week === line.week)?.at ?? null,
  }));
}
