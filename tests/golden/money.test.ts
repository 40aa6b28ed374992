import { Exact } from "@/core/base";
import { parseSentence } from "@/core/kinds";
import { parseInstant } from "@/core/time";
import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import { answerBody, answerReport } from "@/server/reports/answerReport";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor } from "../support/desk";
import { MONEY_BUNDLE, moneyCases, type MoneyCase } from "./money/load";

type Told = Record<string, unknown>;
interface Cell {
  readonly value: unknown;
  readonly records: number;
  readonly empties: number;
}
interface Row extends Cell {
  readonly group: readonly unknown[];
  readonly cells?: readonly Cell[];
  readonly parts?: readonly (Row & { readonly group: unknown })[];
  readonly running?: unknown;
}

let em: EntityManager;

beforeAll(async () => {
  em = await freshDatabase("money");
  const outcome = await importBundle(em, await readBundleFiles(MONEY_BUNDLE), {
    now: parseInstant("2026-11-24T15:30:00Z")!,
  });
  expect(outcome.refused).toEqual([]);
});
afterAll(dropDatabase);

const measured = (row: Row) => {
  const cells = row.cells ?? [row];
  return {
    values: cells.map((cell) => cell.value),
    records: cells[0].records,
    empties: cells.map((cell) => cell.empties),
  };
};

/** A range by its borders, as the cases name it. */
function borders(name: unknown): unknown {
  const under = /^under (\d+)$/.exec(String(name));
  const between = /^(\d+) to (\d+)$/.exec(String(name));
  if (under) return [null, Number(under[1])];
  return between ? [Number(between[1]), Number(between[2])] : name;
}

/** A count as the cases tell it: groups within groups, each with its parts. */
function countTold(body: Told, expected: Told): Told {
  const rows = body.rows as readonly Row[];
  const subtotals = (body.subtotals ?? []) as readonly (readonly Row[])[];
  const part = (one: Row & { group: unknown }) => ({ name: one.group, ...measured(one) });
  const inner = (row: Row) => ({
    name: borders(row.group.at(-1)),
    ...measured(row),
    ...(row.running === undefined ? {} : { running: [row.running] }),
    ...(row.parts ? { parts: row.parts.map(part) } : {}),
  });
  const groups =
    subtotals.length > 0
      ? subtotals[0].map((outer) => ({
          name: outer.group[0],
          ...measured(outer),
          groups: rows
            .filter((row) => JSON.stringify(row.group[0]) === JSON.stringify(outer.group[0]))
            .map(inner),
        }))
      : rows.map(inner);
  const total = measured(body.total as Row);
  const columns = body.columnTotals as readonly Row[] | undefined;
  return {
    total: {
      ...total,
      ...(columns ? { parts: columns.map((one) => part(one as never)) } : {}),
    },
    ...(expected.groups ? { groups } : {}),
  };
}

/** Everything about an answer that the cases tell. */
async function told({ sentence, viewer, now, expected }: MoneyCase): Promise<Told> {
  const desk = await deskFor(em, viewer, { now: () => parseInstant(now)! });
  const parsed = parseSentence(sentence, desk.view);
  if (!parsed.ok) return { refused: parsed.problems[0].message };
  const report = parsed.value;
  const answer = await answerReport(em, report, desk.view);
  const body = (await answerBody(em, report, answer, desk.view, {})) as Told;
  const more = body.narrowed ? { narrowed: body.narrowed } : {};
  if (body.hidden) return { hidden: body.hidden };
  if (report.kind === "list") {
    const columns = body.columns as { name: string }[];
    const rows = body.rows as { values: unknown[] }[];
    return {
      showing: columns.map(({ name }) => name),
      rows: rows.map(({ values }) => values),
      ...more,
    };
  }
  if (report.kind === "count") return { ...countTold(body, expected), ...more };
  return { ...(report.kind === "sCurve" ? curveTold(body) : budgetTold(body)), ...more };
}

const snake = (key: string): string =>
  key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const snaked = (told: Told): Told =>
  Object.fromEntries(Object.entries(told).map(([key, value]) => [snake(key), value]));

const curveTold = ({ projects, rows }: Told): Told => ({
  projects,
  buckets: (rows as { bucket: Told }[]).map(({ bucket, ...values }) => ({
    from: bucket.from,
    to: bucket.to,
    so_far: bucket.soFar,
    ...snaked(values),
  })),
});

const budgetTold = ({ steps, leftOut, projects: _, ...account }: Told): Told => ({
  ...snaked(account),
  steps: (steps as unknown[]).length,
  left_out: (leftOut as unknown[]).length,
});

const isNumber = (one: unknown): boolean =>
  typeof one === "number" || (typeof one === "string" && /^-?\d+(\.\d+)?$/.test(one));

/** Numbers within 1e-9, all else to the letter. */
function differences(got: unknown, wanted: unknown, path = ""): string[] {
  if (isNumber(got) && isNumber(wanted))
    return new Exact(String(got)).minus(String(wanted)).abs().lte("1e-9")
      ? []
      : [`${path}: ${String(got)} is not ${String(wanted)}`];
  if (got === null || wanted === null || typeof got !== "object" || typeof wanted !== "object")
    return got === wanted
      ? []
      : [`${path}: ${JSON.stringify(got)} is not ${JSON.stringify(wanted)}`];
  const keys = new Set([...Object.keys(got), ...Object.keys(wanted)]);
  return [...keys].flatMap((key) =>
    differences((got as Told)[key], (wanted as Told)[key], `${path}.${key}`),
  );
}

test.each(moneyCases().map((one) => [one.name, one] as const))("%s", async (_name, one) => {
  const got = await told(one);
  expect(differences(got, one.expected)).toEqual([]);
});
