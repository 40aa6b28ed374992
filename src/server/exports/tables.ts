import { percentagesOf, type CountAnswer, type HistoryAnswer } from "@/core/answer";
import { lastOf, pathWords } from "@/core/catalog";
import type { Dress, Report } from "@/core/definition";
import { nameKey } from "@/core/figure";
import { defaultShowing, isHistory, type Workings } from "@/core/plan";
import { instantText, localDay } from "@/core/time";
import type { EntityManager } from "@/data";
import { answerCount, answerHistory, answerWorkings } from "../reports/answerReport";
import type { Desk } from "../viewer/viewpoint";

/** A cell as a spreadsheet takes it: a text, a number, or nothing. */
export type TableCell = string | number | null;
export interface Table {
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly TableCell[])[];
}

const numberOf = (value: string | null): TableCell =>
  value === null ? null : /^-?\d+(\.\d+)?$/.test(value) ? Number(value) : value;

/** The figure of a report as a table in full precision; null for a list, whose records are its figure. */
export async function figureTable(
  em: EntityManager,
  desk: Desk,
  report: Report,
  dress: Dress,
): Promise<Table | null> {
  if (report.kind === "list") return null;
  return isHistory(report)
    ? historyTable(await answerHistory(em, report, desk.view), desk)
    : countTable(await answerCount(em, report, desk.view), report, dress);
}

function countTable(answer: CountAnswer, report: Report & { kind: "count" }, dress: Dress): Table {
  const shares = percentagesOf(answer, dress.base, 4);
  const hasShares = shares.rows.some((share) => share !== null);
  const name = (place: number | "split", head: { key: string; label: string }) =>
    dress.names[nameKey(place, head.key)] ?? head.label;
  const measures = answer.measures.map(
    (measure, i) => dress.names[nameKey("measure", String(i))] ?? measure.words,
  );
  const split = answer.split.flatMap((head) =>
    measures.map((words) =>
      measures.length > 1 ? `${name("split", head)}: ${words}` : name("split", head),
    ),
  );
  const groups = report.by.map((group) =>
    group.cases ? "case" : `${group.grain ? `${group.grain} of ` : ""}${group.field.join("'s ")}`,
  );
  const rows = answer.rows.map((row, i) => [
    ...row.path.map((head, tier) => name(tier, head)),
    ...row.parts.flatMap((cells) => cells.map((cell) => numberOf(cell.value))),
    ...row.cells.map((cell) => numberOf(cell.value)),
    ...(hasShares ? [shares.rows[i] === null ? null : Number(shares.rows[i])] : []),
    ...(row.before === undefined ? [] : [numberOf(row.before?.[0]?.value ?? null)]),
  ]);
  const total = [
    ...(groups.length ? ["All", ...groups.slice(1).map(() => null)] : []),
    ...answer.columnTotals.flatMap((cells) => cells.map((cell) => numberOf(cell.value))),
    ...answer.total.map((cell) => numberOf(cell.value)),
    ...(hasShares ? [null] : []),
    ...(answer.before ? [numberOf(answer.before[0].value)] : []),
  ];
  return {
    name: "Figure",
    columns: [
      ...groups,
      ...split,
      ...measures,
      ...(hasShares ? ["percent"] : []),
      ...(answer.before ? ["before"] : []),
    ],
    rows: [...rows, total],
  };
}

function historyTable(answer: HistoryAnswer, { view: { calendar } }: Desk): Table {
  const day = (instant: number) => localDay(instant, calendar.zone);
  switch (answer.kind) {
    case "level":
      return {
        name: "Figure",
        columns: ["from", "to", ...answer.split.map((head) => head.label), answer.measure.words],
        rows: answer.rows.map(({ bucket, cell, parts }) => [
          bucket.from,
          bucket.to,
          ...parts.map((part) => numberOf(part?.value ?? null)),
          numberOf(cell?.value ?? null),
        ]),
      };
    case "crossings":
      return {
        name: "Figure",
        columns: [
          "from",
          "to",
          "level at the start",
          "arrivals",
          "departures",
          "revalued",
          "level at the end",
          ...(answer.isRunning ? ["arrivals since the start", "departures since the start"] : []),
        ],
        rows: answer.rows.map(({ bucket, crossing: c, since }) => [
          bucket.from,
          bucket.to,
          ...(c
            ? [c.levelStart, c.arrived, c.departed, c.revalued, c.levelEnd].map(numberOf)
            : [null, null, null, null, null]),
          ...(answer.isRunning
            ? [since?.arrived ?? null, since?.departed ?? null].map(numberOf)
            : []),
        ]),
      };
    case "bridge":
      return {
        name: "Figure",
        columns: ["cause", "amount", "items"],
        rows: [
          [`level on ${day(answer.from - 1)}`, numberOf(answer.levelFrom), null],
          ...answer.parts.map((part) => [
            part.fields.length ? `${part.cause}: ${part.fields.join(", ")}` : part.cause,
            numberOf(part.amount),
            part.keys.join(" "),
          ]),
          [`level on ${day(answer.to - 1)}`, numberOf(answer.levelTo), null],
        ],
      };
    case "burndown":
      return {
        name: "Figure",
        columns: ["at", "item", "cause", "amount", "remaining"],
        rows: answer.burndown
          ? [
              [
                instantText(answer.burndown.start),
                null,
                "committed",
                null,
                numberOf(answer.burndown.committed),
              ],
              ...answer.burndown.steps.map((step) => [
                instantText(step.at),
                step.key,
                step.cause,
                numberOf(step.amount),
                numberOf(step.remaining),
              ]),
            ]
          : [],
      };
    case "velocity":
      return {
        name: "Figure",
        columns: ["sprint", "committed", "finished", "closed"],
        rows: answer.sprints.map((sprint) => [
          sprint.name,
          numberOf(sprint.committed),
          numberOf(sprint.finished),
          instantText(sprint.closed),
        ]),
      };
  }
}

export async function workingsTable(em: EntityManager, desk: Desk, report: Report): Promise<Table> {
  const workings: Workings = await answerWorkings(em, report, desk.view, desk.viewer.name);
  return {
    name: "Workings",
    columns: ["condition", "what it meant", "where it came from", "left"],
    rows: [
      ...workings.lines.map((line) => [line.says, line.meant, line.from, line.left]),
      [],
      ...workings.notes.map((note) => [note.about, note.says]),
    ],
  };
}

/** The columns that the records of a report go out with. */
export function exportColumns(
  report: Report,
  desk: Desk,
): { showing: readonly (readonly string[])[]; words: string[] } {
  const showing =
    report.kind === "list" && report.showing.length ? report.showing : defaultShowing(report);
  return {
    showing,
    words: showing.map((ids) => {
      const path = desk.view.catalog.findPath(report.subject.id, ids)!;
      const field = lastOf(path);
      return `${pathWords(path)}${field.type === "duration" ? " (minutes)" : ""}`;
    }),
  };
}
