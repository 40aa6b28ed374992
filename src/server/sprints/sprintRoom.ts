import type { ShownSprint, SprintLine } from "@/contract/figures";
import { burndownAnswer, planSprint, runningSprints, shownBurndown } from "@/core/kinds/planned";
import type { BurndownReport } from "@/core/kinds";

import { type WorkUnit, PLAIN_DRESS } from "@/core/definition";

import { endOfDay, localDay } from "@/core/time";

import { type EntityManager, runPlan } from "@/data";
import type { Desk } from "../viewer/viewpoint";

/** The sprints that a viewer knows of, the latest first. */
export function listSprints({ view }: Desk): SprintLine[] {
  const { names } = view.catalog;
  return names
    .list("sprint")
    .map(({ id, label, team, startsAt, endsAt, closedAt }): SprintLine => ({
      id,
      name: label,
      team: team === undefined ? null : (names.find("team", team)?.label ?? null),
      teamId: team ?? null,
      starts: startsAt === undefined ? null : localDay(startsAt, view.calendar.zone),
      ends: endsAt === undefined ? null : localDay(endsAt, view.calendar.zone),
      stage:
        closedAt !== undefined && closedAt <= view.now
          ? "closed"
          : startsAt !== undefined && startsAt <= view.now
            ? "running"
            : "ahead",
    }))
    .sort((a, b) => (b.starts ?? "").localeCompare(a.starts ?? "") || a.name.localeCompare(b.name));
}

/** The sprint that somebody wants to see first: the running one of their team, any running one, the last one. */
export const firstSprint = (desk: Desk): number | null =>
  runningSprints(desk.view)[0]?.id ??
  listSprints(desk).find((line) => line.stage === "closed")?.id ??
  listSprints(desk)[0]?.id ??
  null;

/** Where a sprint stands, or stood at the end of a day. */
export async function askSprint(
  em: EntityManager,
  desk: Desk,
  sprint: number,
  unit: WorkUnit,
  stood?: string,
): Promise<ShownSprint> {
  const { names } = desk.view.catalog;
  const end = stood ? endOfDay(stood, desk.view.calendar.zone) - 1 : null;
  const view =
    end === null || end >= desk.view.now ? desk.view : { ...desk.view, now: end, past: true };
  const definition: BurndownReport = {
    kind: "burndown",
    subject: { id: "items" },
    of: { kind: "sprint", sprint },
    unit,
    shape: "planks",
    ...(stood ? { stood } : {}),
  };
  const parts = await runPlan(em, planSprint(definition, view));
  const nameOf = (person: number | null) =>
    person === null ? null : (names.find("person", person)?.label ?? null);
  const carried = new Set(parts.carried);
  const told = <T extends { item: number; assignee: number | null; by: number | null }>({
    item,
    assignee,
    by,
    ...entry
  }: T) => ({ ...entry, assignee: nameOf(assignee), by: nameOf(by), isCarried: carried.has(item) });
  const shown = shownBurndown(burndownAnswer(parts), definition, PLAIN_DRESS, view);
  return {
    definition,
    shown,
    account: parts.account.map(({ line, entries }) => ({ line, entries: entries.map(told) })),
    steps: parts.steps.map(told),
  };
}
