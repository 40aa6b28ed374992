import { Exact } from "@/core/base";
import type { RawBundle, RawTable } from "@/core/bundle";
import { addDays, parseInstant } from "@/core/time";
import { importBundle, readBundleFiles, runPlan, type EntityManager } from "@/data";
import { Random } from "@/demo/random";
import { planIdentities, viewOf } from "@/core/kinds/planned";
import { answerBody, answerReport } from "@/server/reports/answerReport";
import { MONEY_BUNDLE } from "../golden/money/load";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor, reportOf } from "../support/desk";

/** A world of projects with many random entries: whatever is in it, its figures agree with one another, for any viewer. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
const VIEWERS = ["ines", "cal", "gil", "aoife"];
let em: EntityManager;

beforeAll(async () => {
  em = await freshDatabase("money_agrees");
  const { refused } = await importBundle(em, crowded(await readBundleFiles(MONEY_BUNDLE)), {
    now: NOW,
  });
  expect(refused).toEqual([]);
});
afterAll(dropDatabase);

/** The golden world with some hundred entries more, of the days around now. */
function crowded(bundle: RawBundle): RawBundle {
  const random = new Random(11);
  const column = (table: RawTable, name: string) => table.columns.indexOf(name);
  const names = (id: "projects" | "people" | "items") =>
    bundle[id]!.rows.map((row) => row[0]).filter((name) => name !== "E4" && name !== "pell");
  const [projects, people, items] = [names("projects"), names("people"), names("items")];
  const day = () => addDays("2026-09-20", random.whole(0, 90));
  const more = (table: RawTable, rows: readonly Record<string, string>[]): RawTable => ({
    columns: table.columns,
    rows: [
      ...table.rows,
      ...rows.map((row) => {
        const cells = table.columns.map(() => "");
        for (const [name, value] of Object.entries(row)) cells[column(table, name)] = value;
        return cells;
      }),
    ],
  });
  const times = Array.from({ length: 300 }, (_, i) => ({
    id: `r${i}`,
    ...(random.chance(0.5) ? { key: random.pick(items) } : {}),
    ...(random.chance(0.6) ? { project: random.pick(projects) } : {}),
    person: random.pick(people),
    on: day(),
    minutes: String(random.whole(1, 600)),
    billable: random.pick(["yes", "no", ""]),
  }));
  const costs = Array.from({ length: 120 }, (_, i) => ({
    id: `k${i}`,
    project: random.pick(projects),
    on: day(),
    category: random.pick(["yard", "hire", "materials", ""]),
    amount: (random.whole(-20_000, 200_000) / 100).toFixed(2),
    billable: random.pick(["yes", "no", ""]),
  }));
  return {
    ...bundle,
    time_entries: more(bundle.time_entries!, times),
    cost_entries: more(bundle.cost_entries!, costs),
  };
}

type Body = Record<string, unknown>;

async function ask(sentence: string, login: string): Promise<Body> {
  const { view } = await deskFor(em, login, clock);
  const report = reportOf(sentence, { view });
  return (await answerBody(em, report, await answerReport(em, report, view), view, {})) as Body;
}

const totalOf = (body: Body): string => String((body.total as { value: unknown }).value);
const rowsOf = (body: Body) => body.rows as (Body & { value: unknown; group: string[] })[];
const sum = (values: readonly unknown[]): string =>
  values.reduce<Exact>((all, one) => all.plus(String(one ?? 0)), new Exact(0)).toFixed();
/** Equal but for what a division leaves at its end. */
const agree = (a: string, b: string) =>
  expect({ a, b, agree: new Exact(a).minus(b).abs().lt("1e-9") }).toEqual({ a, b, agree: true });

const STOOD = ["", " as it stood on 2026-10-20"];

describe.each(VIEWERS)("for %s", (login) => {
  test.each(STOOD)("actual cost is the sum of the cost entries until then%s", async (stood) => {
    const until = stood ? "2026-10-20" : "today";
    const actual = await ask(`sum of actual cost of projects by project${stood}`, login);
    const entries = await ask(
      `sum of amount of cost entries where spent on until ${until} and project is not empty by project${stood}`,
      login,
    );
    const spent = new Map(rowsOf(entries).map((row) => [row.group[0], row.value]));
    for (const row of rowsOf(actual))
      agree(String(row.value), String(spent.get(row.group[0]) ?? 0));
    agree(totalOf(actual), sum(rowsOf(actual).map((row) => row.value)));
    agree(totalOf(actual), sum([...spent.values()]));
  });

  test("a portfolio is the sum of its projects", async () => {
    for (const field of ["projected cost", "planned cost", "revenue", "unbilled", "earned value"]) {
      const body = await ask(`sum of ${field} of projects by portfolio then project`, login);
      agree(totalOf(body), sum(rowsOf(body).map((row) => row.value)));
    }
  });

  test("the curve of cost ends at the actual and at the projected cost, and its stretches add up", async () => {
    const figures = await ask("sum of actual cost, sum of projected cost of projects", login);
    const cells = (figures.total as { cells: { value: unknown }[] }).cells;
    for (const grain of ["month", "week"]) {
      const curve = await ask(
        `S-curve of cost of projects by ${grain} for 2026-01 to 2027-12`,
        login,
      );
      const rows = rowsOf(curve);
      const last = (key: string) => String(rows.filter((row) => row[key] !== null).at(-1)![key]);
      agree(last("actual"), String(cells[0].value));
      agree(last("projected"), String(cells[1].value));
      agree(last("actual"), sum(rows.map((row) => row.actualIn)));
      agree(last("planned"), sum(rows.map((row) => row.plannedIn)));
      const ahead = rows.filter((row) => row.projected !== null);
      const before = rows[rows.indexOf(ahead[0]) - 1];
      agree(last("projected"), sum([before.actual, ...ahead.map((row) => row.projectedIn)]));
    }
  });

  test("a budget that burns down adds up, and leaves what budget left says", async () => {
    const account = await ask("burndown of budget of projects where budget is not empty", login);
    const left = await ask("sum of budget left of projects where budget is not empty", login);
    agree(String(account.remaining), totalOf(left));
    const steps = account.steps as { cause: string; amount: unknown }[];
    const of = (cause: string) =>
      sum(steps.filter((step) => step.cause === cause).map((step) => step.amount));
    for (const cause of ["raised", "cut", "spent"]) agree(of(cause), String(account[cause]));
  });

  test("utilisation is the work of the capacity, day by day", async () => {
    const days = "person days where date during 2026-10 to 2026-11 and date until today";
    const body = await ask(
      `sum of worked, sum of capacity, measure "utilisation" of ${days}`,
      login,
    );
    const [worked, capacity, share] = (body.total as { cells: { value: unknown }[] }).cells;
    agree(
      String(share.value),
      new Exact(String(worked.value)).div(String(capacity.value)).toFixed(),
    );
    const entries = await ask(
      "sum of minutes of time entries where worked on during 2026-10 to 2026-11 and worked on until today and person's client is empty",
      login,
    );
    agree(String(worked.value), totalOf(entries));
  });

  test("every group opens into as many records as it counts", async () => {
    const { view } = await deskFor(em, login, clock);
    for (const sentence of [
      "count cost entries by category",
      "count time entries by project",
      "count projects by cost verdict",
      "count person days where date during 2026-11 by person",
      "count planned costs by project",
      "count weekly words by health",
    ]) {
      const report = reportOf(sentence, { view });
      const answer = await answerReport(em, report, view);
      if (answer.kind !== "count") throw new Error(`${sentence} is no count`);
      for (const row of answer.rows) {
        const opened = { path: row.path.map((head) => head.key) };
        const ids = await runPlan(em, planIdentities(report, opened, viewOf(report, view)));
        expect([sentence, row.path[0].label, ids.length]).toEqual([
          sentence,
          row.path[0].label,
          row.cells[0].records,
        ]);
        expect(new Set(ids).size).toBe(ids.length);
      }
    }
  });
});

test("a question of money is hidden from who sees none of it, in each of its kinds", async () => {
  for (const sentence of [
    "sum of actual cost of projects",
    "count projects by cost verdict",
    "count projects where overrun over 0",
    "list projects showing project sorted by budget",
    "S-curve of earned value of projects by month for 2026",
    "S-curve of progress of projects by month for 2026",
    "burndown of budget of projects",
    "sum of amount of cost entries",
    "sum of cost of time entries by person",
    'measure "budget used" of projects',
    "count items by project's cost verdict",
  ])
    expect([sentence, await ask(sentence, "bram")]).toEqual([
      sentence,
      { hidden: "not yours to see" },
    ]);
  const list = await ask("list projects showing project, budget, cost verdict", "bram");
  for (const { values } of list.rows as { values: unknown[] }[])
    expect(values.slice(1)).toEqual(["not yours to see", "not yours to see"]);
});
