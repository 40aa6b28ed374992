import { type Plan, type Rows, sinceStatement, subjectTests } from "../../plan";
import { Relation, type Viewpoint } from "../../relation";
import type { BurndownReport } from "./definition";
import { conditionSql } from "../../filter/sql";
import { bind, compile, joined, sql, type Fragment, type Statement } from "../../sql";
import type { WorkUnit } from "../../definition";
import {
  burndownOf,
  reachOf,
  type Burndown,
  type BurndownSpan,
  type Reach,
  type WorkSpan,
} from "../../history";

import { endOfDay, startOfDay, type Instant } from "../../time";

/** What burns down, by name, and how it went; null for what has not begun or has no dates. */
export interface BurndownParts {
  readonly report: BurndownReport;
  readonly view: Viewpoint;
  readonly unit: WorkUnit;
  readonly name: string;
  readonly sprint: number | null;
  readonly span: BurndownSpan | null;
  readonly burndown: Burndown | null;
  /** The first instant with any history; what began before it has no burndown. */
  readonly begins: Instant | null;
  /** What it is made from; nothing where there is no burndown. */
  readonly spans: readonly WorkSpan[];
  readonly reach: Reach | null;
  /** Sprints of which "current" may mean any: the reader says which. */
  readonly choices: readonly number[];
  /** The current sprint was asked for, and none runs: it is the last. */
  readonly isLast: boolean;
}

/** What a state weighs in each unit. */
export const AMOUNTS: Readonly<Record<WorkUnit, Fragment>> = {
  count: sql`1`,
  points: sql`s.points`,
  "remaining estimate": sql`s.remaining_minutes`,
};
const micros = (at: Fragment): Fragment =>
  sql`CASE WHEN ${at} = 'infinity' THEN NULL ELSE (extract(epoch FROM ${at}) * 1000000)::bigint END`;

export interface Scope {
  readonly span: BurndownSpan | null;
  readonly name: string;
  readonly sprint: number | null;
  /** Of a state, as a row of a relation over spans: whether it is in the scope. */
  readonly isIn: (relation: Relation) => Fragment;
  /** Items that can have been in it. */
  readonly items: Fragment;
  readonly finishedFirst?: boolean;
  /** The current one was asked for, and none runs: it is the last. */
  readonly isLast?: boolean;
  readonly choices?: readonly number[];
}

/** Every state of every item that was ever in the scope and that the viewer may see. */
export function spansSql(scope: Scope, unit: WorkUnit, view: Viewpoint): Statement {
  const relation = new Relation("items", view, "spans");
  const isIn = scope.isIn(relation);
  const key = relation.value([
    { id: "key", words: "key", type: "text", source: { kind: "column", column: "key" } },
  ]);
  return compile(
    sql`SELECT s.item_id, ${key}, ${micros(sql`s.valid_from`)}, ${micros(sql`s.valid_to`)}, ${isIn}, s.is_open, (${AMOUNTS[unit]})::text FROM ${relation.from()} WHERE ${relation.id} IN (${scope.items}) AND ${relation.guard()} ORDER BY s.item_id, s.valid_from`,
  );
}

export const readSpans = (rows: Rows, now: Instant): WorkSpan[] =>
  rows.map(([item, key, from, to, isIn, isOpen, amount]) => ({
    item: Number(item),
    key: key!,
    from: Number(from),
    to: to === null || Number(to) > now ? null : Number(to),
    isIn: isIn === "t",
    isOpen: isOpen === "t",
    amount,
  }));

export const sprintScope = (id: number, view: Viewpoint): Scope => {
  const sprint = view.catalog.names.find("sprint", id);
  const isIn = () => sql`s.sprint_id IS NOT DISTINCT FROM ${bind(id, "int")}`;
  const closed =
    sprint?.closedAt !== undefined && sprint.closedAt <= view.now ? sprint.closedAt : null;
  const span =
    sprint?.startsAt !== undefined && sprint.endsAt !== undefined
      ? { start: sprint.startsAt, end: sprint.endsAt, closed }
      : null;
  return {
    span,
    name: sprint?.label ?? "",
    sprint: id,
    isIn,
    items: sql`SELECT x.item_id FROM state_spans x WHERE x.sprint_id = ${bind(id, "int")}`,
  };
};

interface BegunSprint {
  readonly id: number;
  readonly team: number | undefined;
  readonly isRunning: boolean;
  readonly isOwn: boolean;
}

/** The sprints that have begun: those that run first, of these the viewer's own teams', then the last. */
function begunSprints(view: Viewpoint): readonly BegunSprint[] {
  return view.catalog.names
    .list("sprint")
    .filter((sprint) => sprint.startsAt !== undefined && sprint.startsAt <= view.now)
    .map(({ id, team, startsAt, closedAt }) => ({
      id,
      team,
      begun: startsAt!,
      isRunning: closedAt === undefined || closedAt > view.now,
      isOwn: team !== undefined && view.viewer.teams.includes(team),
    }))
    .sort(
      (a, b) =>
        Number(b.isRunning) - Number(a.isRunning) ||
        Number(b.isOwn) - Number(a.isOwn) ||
        b.begun - a.begun,
    );
}

/** The sprints that are running, the viewer's own teams' first. */
export const runningSprints = (view: Viewpoint): readonly BegunSprint[] =>
  begunSprints(view).filter((sprint) => sprint.isRunning);

/**
 * The sprints that "current" may mean: of a team the one that runs, or else the last; to a viewer the only one that runs, or
 * that of their team, or else any of those that run.
 */
export function currentSprints(view: Viewpoint, team?: number): readonly number[] {
  if (team !== undefined) {
    const [sprint] = begunSprints(view).filter((one) => one.team === team);
    return sprint ? [sprint.id] : [];
  }
  const running = runningSprints(view);
  const own = running.filter((sprint) => sprint.isOwn);
  return (own.length === 1 ? own : running).map((sprint) => sprint.id);
}

/** A scope that nothing is in: no sprint runs, or it is not said which is meant. */
const nothing: Scope = {
  span: null,
  name: "",
  sprint: null,
  isIn: () => sql`FALSE`,
  items: sql`SELECT NULL::int`,
};

function* scopeOf(report: BurndownReport, view: Viewpoint): Plan<Scope> {
  const { of } = report;
  const { zone } = view.calendar;
  if (of.kind === "sprint") return sprintScope(of.sprint, view);
  if (of.kind === "current sprint") {
    const choices = currentSprints(view, of.team);
    if (choices.length !== 1) return { ...nothing, choices };
    const [sprint] = choices;
    const isLast = !runningSprints(view).some(({ id }) => id === sprint);
    return { ...sprintScope(sprint, view), isLast };
  }
  if (of.kind === "release") {
    const release = view.catalog.names.find("release", of.release);
    const [rows] = yield [
      compile(
        sql`SELECT starts_on::text, due_on::text FROM releases WHERE id = ${bind(of.release, "int")}`,
      ),
    ];
    const [from, to] = rows[0] ?? [null, null];
    const items = sql`SELECT x.id FROM items x WHERE x.release_id = ${bind(of.release, "int")}`;
    return {
      span:
        from && to
          ? { start: startOfDay(from, zone), end: endOfDay(to, zone) - 1, closed: null }
          : null,
      name: release?.label ?? "",
      sprint: null,
      isIn: () => sql`TRUE`,
      items,
    };
  }
  return {
    span: { start: startOfDay(of.from, zone), end: endOfDay(of.to, zone) - 1, closed: null },
    name: "",
    sprint: null,
    finishedFirst: true,
    ...filterScope(report, view),
  };
}

/** Whether a state is in a filter is whatever its conditions say of it. */
function filterScope(report: BurndownReport, view: Viewpoint): Pick<Scope, "isIn" | "items"> {
  const isIn = (relation: Relation) => {
    const tests = [
      ...subjectTests(report, relation),
      ...(report.where ? [conditionSql(report.where, relation)] : []),
    ];
    return tests.length ? sql`(${joined(tests, " AND ")}) IS TRUE` : sql`TRUE`;
  };
  const relation = new Relation("items", view, "spans");
  const matches = isIn(relation);
  return {
    isIn,
    items: sql`SELECT ${relation.id} FROM ${relation.from()} WHERE ${matches} AND ${relation.guard()}`,
  };
}

/** How the work of a sprint, a release or a filter went, step by step. */
export function* planBurndown(report: BurndownReport, view: Viewpoint): Plan<BurndownParts> {
  const unit = report.unit ?? "points";
  const scope = yield* scopeOf(report, view);
  const { name, sprint, span, choices = [], isLast = false } = scope;
  const none = { burndown: null, spans: [], reach: null };
  const base = { report, view, unit, name, sprint, span, choices, isLast, begins: null };
  const ends = { now: view.now, ...(scope.finishedFirst ? { finishedFirst: true } : {}) };
  const reach = span && reachOf(span, ends);
  if (!span || !reach) return { ...base, ...none };
  const [rows, [[since]]] = yield [spansSql(scope, unit, view), sinceStatement(view)];
  const begins = since === null ? null : Number(since);
  if (begins === null || span.start < begins) return { ...base, begins, ...none };
  const spans = readSpans(rows, view.now);
  const burndown = burndownOf(spans, span, { ...ends, calendar: view.calendar });
  return { ...base, begins, spans, reach, burndown };
}
