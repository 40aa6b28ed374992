import { lastOf } from "../catalog";
import {
  leavesOf,
  savedCondition,
  topParts,
  usesFilter,
  valuesOf,
  type Condition,
  type Value,
} from "../filter";
import { matchTests, type Plan } from "../plan";
import { Relation, type Viewpoint } from "../relation";
import { conditionText, groupText, valueText } from "../sentence";
import { compile, joined, sql } from "../sql";
import { clockText, dayText, localDay, periodDatesText, resolvePeriod } from "../time";
import type { Note } from "./definePlanned";
import { withDays } from "./personDays";
import { plannedOf } from "./plannedKinds";
import { groupsOf, isHistory, kindOf, type Report } from "./registry";
import { unknownThen } from "./unknownThen";

/** A condition of the account: what it says, what it meant, who set it, and how many records are left after it. */
export interface WorkingsLine {
  readonly says: string;
  readonly meant: string;
  readonly from: "the report" | "you are looking";
  readonly left: number;
}

/** How a figure was counted. `lines` are an account: each leaves no more than the one before. */
export interface Workings {
  readonly lines: readonly WorkingsLine[];
  readonly notes: readonly Note[];
  /** The figure tells of the past, while the account is of what matches as of now. */
  readonly isOfPast: boolean;
}

/** Counts what is left after each condition, in the order of the sentence. */
export function* planWorkings(report: Report, asked: Viewpoint, who: string): Plan<Workings> {
  const view = withDays(report, asked);
  const { catalog } = view;
  const subject = report.subject.id;
  const parts = topParts(report.where);
  const steps: {
    says: string;
    meant: string;
    from: WorkingsLine["from"];
    where?: Condition;
    period: boolean;
  }[] = [
    {
      says: `all ${catalog.subjectWords(report.subject)}`,
      meant: view.projects === null ? "all there are" : "all that you may see",
      from: "you are looking",
      period: false,
    },
  ];
  parts.forEach((part, index) => {
    const upTo = parts.slice(0, index + 1);
    steps.push({
      says: conditionText(part, catalog, subject, "all"),
      meant: meaning(part, view),
      from: viewerBound(part) ? "you are looking" : "the report",
      where: upTo.length > 1 ? { kind: "all", of: upTo } : part,
      period: false,
    });
  });
  const { periodTests, notes } = plannedOf(report);
  const axis = periodTests && kindOf(report).axis(report, view);
  if (axis)
    steps.push({
      says: `for ${valueText({ kind: "period", period: axis.period }, catalog)}`,
      meant: periodDatesText(resolvePeriod(axis.period, view.now, view.calendar)),
      from: "the report",
      ...(report.where ? { where: report.where } : {}),
      period: true,
    });
  const statements = steps.map((step) => {
    const relation = new Relation(subject, view);
    const { where: _where, ...whole } = report;
    const upToHere = { ...whole, ...(step.where ? { where: step.where } : {}) };
    const tests = [
      ...matchTests(upToHere, relation),
      ...(step.period && periodTests ? periodTests(report, relation) : []),
    ];
    return compile(
      sql`SELECT count(*) FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`,
    );
  });
  const counted = yield statements;
  const own = yield* notes(report, view);
  return {
    lines: steps.map(({ says, meant, from }, i) => ({
      says,
      meant,
      from,
      left: Number(counted[i][0][0]),
    })),
    notes: [
      ...own,
      ...savedFilterNotes(report, view),
      ...groupNotes(report, view),
      ...viewNotes(report, view, who),
    ],
    isOfPast: isHistory(report),
  };
}

const viewerBound = (condition: Condition): boolean =>
  valuesOf(condition).some((value) => value.kind === "viewer");

/** What the words of a condition stood for: dates, statuses, teams. */
function meaning(condition: Condition, view: Viewpoint): string {
  const filters = leavesOf(condition).flatMap((leaf) =>
    leaf.kind === "filter" ? [filterMeaning(leaf.filter, view)] : [],
  );
  const said = [...filters, ...valuesOf(condition).flatMap((value) => meaningOf(value, view))];
  return [...new Set(said)].join("; ");
}

/** A saved filter's conditions, spelled out. */
function filterMeaning(id: number, { catalog }: Viewpoint): string {
  const filter = catalog.findFilter(id);
  const where = filter && savedCondition(id, catalog);
  return where && !usesFilter(where, id, catalog)
    ? conditionText(where, catalog, filter.subject.id)
    : `all ${catalog.subjectWords(filter?.subject ?? { id: "items" })}`;
}

function meaningOf(value: Value, view: Viewpoint): string[] {
  const { names } = view.catalog;
  const label = (type: "team" | "project" | "person", ids: readonly number[]) =>
    ids.flatMap((id) => names.find(type, id)?.label ?? []).join(", ") || "none";
  switch (value.kind) {
    case "period":
      return [periodDatesText(resolvePeriod(value.period, view.now, view.calendar))];
    case "stage":
      return [
        names
          .statusesOf(value.stage)
          .map((status) => status.label)
          .join(", "),
      ];
    case "current":
      return ["sprints begun and not closed"];
    case "viewer":
      return [
        value.word === "me"
          ? label("person", [view.viewer.person])
          : value.word === "my projects"
            ? label("project", view.viewer.projects)
            : label(
                "team",
                value.word === "my team"
                  ? view.viewer.team === null
                    ? []
                    : [view.viewer.team]
                  : view.viewer.teams,
              ),
      ];
    default:
      return [];
  }
}

function savedFilterNotes({ subject }: Report, view: Viewpoint): Note[] {
  return subject.filter === undefined
    ? []
    : [{ about: "saved filter", says: filterMeaning(subject.filter, view) }];
}

function groupNotes(report: Report, { catalog }: Viewpoint): Note[] {
  const { id } = report.subject;
  return groupsOf(report).flatMap((group): Note[] => {
    const path = catalog.findPath(id, group.field);
    const values = (list: readonly Value[]) => list.map((one) => valueText(one, catalog, path));
    const note = (about: string, says: string | 0 | undefined): Note[] =>
      says ? [{ about, says }] : [];
    const words = path && lastOf(path).many ? lastOf(path).words : undefined;
    const folds = group.folds?.map(
      (fold) => `${values(fold.values).join(" and ")} as ${fold.name}`,
    );
    const cases = group.cases?.map(
      (one) => `${one.name} (${conditionText(one.where, catalog, id)})`,
    );
    const top = group.top && {
      ...group,
      folds: undefined,
      without: undefined,
      withoutRest: undefined,
      always: undefined,
    };
    return [
      ...note(
        "in several",
        words && `one with several ${words} counts in each of them, and once in the total`,
      ),
      ...note("folded", folds?.join("; ")),
      ...note(
        "without",
        group.without?.length &&
          `${values(group.without).join(", ")} left out of the figure and of the total`,
      ),
      ...note(
        "always",
        group.always?.length && `${values(group.always).join(", ")} shown without records, too`,
      ),
      ...note(
        "ranges",
        group.ranges && "each range begins with its lower border and ends before the next",
      ),
      ...note(
        "cases",
        cases && `each in the first case that fits: ${cases.join("; ")}; all others are the rest`,
      ),
      ...note(
        "cut short",
        top &&
          `${groupText(top, catalog, id)}; all others are ${group.withoutRest ? "left out of the figure and of the total" : "the rest"}`,
      ),
    ];
  });
}

/** As of when and for whom, and what an earlier instant does not tell. */
function viewNotes(report: Report, view: Viewpoint, who: string): Note[] {
  const { now, calendar, past, projects } = view;
  const isPast = isHistory(report);
  const unknown = report.stood || isPast ? unknownThen(report, view.catalog) : [];
  const [is, them] = unknown.length === 1 ? ["it is", "it"] : ["they are", "them"];
  return [
    {
      about: "as of",
      says: `${dayText(localDay(now, calendar.zone))}, ${clockText(now, calendar.zone)}${past ? ", as it stood" : ""}`,
    },
    ...(unknown.length
      ? [
          {
            about: "not known then",
            says: `${unknown.join(", ")}: only as ${is} now, for the past of ${them} is not kept`,
          },
        ]
      : []),
    {
      about: "for",
      says:
        projects === null
          ? `${who}: nothing is hidden`
          : `${who}: items of your projects and of none`,
    },
    isPast
      ? { about: "deleted", says: "counted as long as it was there" }
      : { about: "left out", says: "what is deleted" },
  ];
}
