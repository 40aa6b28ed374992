import { compile, joined, Relation, sql, type Viewpoint } from "../sql";
import { groupsOf, plainMeasure, unknownThen, type Report } from "../definition";
import {
  conditionSql,
  leavesOf,
  savedCondition,
  stretchOf,
  topParts,
  usesFilter,
  valuesOf,
  type Condition,
  type Value,
} from "../filter";
import { conditionText, groupText, measureText, valueText } from "../sentence";
import { clockText, dayText, localDay, periodDatesText, resolvePeriod } from "../time";
import type { Plan } from "./planCount";
import { reportTests, subjectTests } from "./count";
import { historyNotes } from "./historyNotes";
import { isHistory } from "./openedItems";

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
  readonly notes: readonly { readonly about: string; readonly says: string }[];
  /** The figure tells of the past, while the account is of what matches as of now. */
  readonly isOfPast: boolean;
}

/** Counts what is left after each condition, in the order of the sentence. */
export function* planWorkings(report: Report, view: Viewpoint, who: string): Plan<Workings> {
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
  if (report.kind === "count" && report.period)
    steps.push({
      says: `for ${valueText({ kind: "period", period: report.period }, catalog)}`,
      meant: periodDatesText(resolvePeriod(report.period, view.now, view.calendar)),
      from: "the report",
      ...(report.where ? { where: report.where } : {}),
      period: true,
    });
  const statements = steps.map((step) => {
    const relation = new Relation(subject, view);
    const tests = step.period
      ? reportTests(report, relation)
      : [
          ...subjectTests(report, relation),
          ...(step.where ? [conditionSql(step.where, relation)] : []),
        ];
    return compile(
      sql`SELECT count(*) FROM ${relation.from()} WHERE ${joined([...tests, relation.guard()], " AND ")}`,
    );
  });
  const counted = yield statements;
  const past = isHistory(report) ? yield* historyNotes(report, view) : [];
  return {
    lines: steps.map(({ says, meant, from }, i) => ({
      says,
      meant,
      from,
      left: Number(counted[i][0][0]),
    })),
    notes: [...past, ...notesOf(report, view, who)],
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

function notesOf(report: Report, view: Viewpoint, who: string): Workings["notes"] {
  const { catalog, calendar, now } = view;
  const notes: { about: string; says: string }[] = [];
  if (report.subject.filter !== undefined)
    notes.push({ about: "saved filter", says: filterMeaning(report.subject.filter, view) });
  if (report.kind === "count")
    for (const measure of report.measures) {
      const plain = plainMeasure(measure, catalog);
      if ("named" in measure)
        notes.push({
          about: catalog.findMeasure(measure.named)!.name,
          says: `${catalog.findMeasure(measure.named)!.means}: ${measureText(plain, catalog, report.subject.id)}`,
        });
      else if (plain.where || plain.per)
        notes.push({ about: "measure", says: measureText(plain, catalog, report.subject.id) });
    }
  for (const group of groupsOf(report)) {
    const field = catalog.findPath(report.subject.id, group.field);
    if (field?.[field.length - 1].many)
      notes.push({
        about: "in several",
        says: `one with several ${field[field.length - 1].words} counts in each of them, and once in the total`,
      });
    if (group.folds)
      notes.push({
        about: "folded",
        says: group.folds
          .map(
            (fold) =>
              `${fold.values.map((v) => valueText(v, catalog, field)).join(" and ")} as ${fold.name}`,
          )
          .join("; "),
      });
    if (group.without?.length)
      notes.push({
        about: "without",
        says: `${group.without.map((v) => valueText(v, catalog, field)).join(", ")} left out of the figure and of the total`,
      });
    if (group.always?.length)
      notes.push({
        about: "always",
        says: `${group.always.map((v) => valueText(v, catalog, field)).join(", ")} shown without records, too`,
      });
    if (group.ranges)
      notes.push({
        about: "ranges",
        says: "each range begins with its lower border and ends before the next",
      });
    if (group.cases)
      notes.push({
        about: "cases",
        says: `each in the first case that fits: ${group.cases.map((one) => `${one.name} (${conditionText(one.where, catalog, report.subject.id)})`).join("; ")}; all others are the rest`,
      });
    if (group.top)
      notes.push({
        about: "cut short",
        says: `${groupText({ ...group, folds: undefined, without: undefined, always: undefined }, catalog, report.subject.id)}; all others are the rest`,
      });
  }
  if (report.kind === "count" && report.compared) {
    const then = { ...view, compared: report.compared };
    const periods = [
      ...valuesOf(report.where),
      ...(report.period ? [{ kind: "period" as const, period: report.period }] : []),
    ].flatMap((value) =>
      value.kind === "period" ? [periodDatesText(stretchOf(value.period, then))] : [],
    );
    notes.push({
      about: "compared with",
      says: `${report.compared}${periods.length ? `: ${[...new Set(periods)].join("; ")}` : ""}`,
    });
  }
  notes.push({
    about: "as of",
    says: `${dayText(localDay(now, calendar.zone))}, ${clockText(now, calendar.zone)}${view.past ? ", as it stood" : ""}`,
  });
  const unknown = report.stood || isHistory(report) ? unknownThen(report, catalog) : [];
  if (unknown.length)
    notes.push({
      about: "not known then",
      says: `${unknown.join(", ")}: only as ${unknown.length === 1 ? "it is" : "they are"} now, for the past of ${unknown.length === 1 ? "it" : "them"} is not kept`,
    });
  notes.push({
    about: "for",
    says:
      view.projects === null
        ? `${who}: nothing is hidden`
        : `${who}: items of your projects and of none`,
  });
  notes.push(
    isHistory(report)
      ? { about: "deleted", says: "counted as long as it was there" }
      : { about: "left out", says: "what is deleted" },
  );
  return notes;
}
