import { Exact } from "@/core/base";
import { importBundle, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { addDays, parseInstant, type Day } from "@/core/time";
import { answerBody, answerReport } from "@/server/reports/answerReport";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor, reportOf } from "../support/desk";
import { moneyFiles, randomMoney, type Row, type Tables } from "../support/randomMoney";
import { PlainMoney, TODAY, type Money } from "./plainMoney";

/** Worlds of random projects, entries, rates, plans and changes: what they are told to come to is what a plain evaluation finds. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
const SEED = Number(process.env.MONEY_SEED ?? Date.now() % 1_000_000);
const SEEDS = [7, SEED, SEED + 1];

let em: EntityManager;
let tables: Tables;

type Body = Record<string, unknown>;

async function ask(sentence: string): Promise<Body> {
  const { view } = await deskFor(em, "ada", clock);
  const report = reportOf(sentence, { view });
  return (await answerBody(em, report, await answerReport(em, report, view), view, {})) as Body;
}

const rowsOf = (body: Body) => body.rows as (Body & { group: string[] })[];
const cellsOf = (row: Body) => (row.cells as { value: unknown }[]).map(({ value }) => value);

/** Amounts as texts that are the same where they differ by what a division leaves at its end. */
const told = (value: unknown): string =>
  value === null || value === undefined || value === ""
    ? "empty"
    : /^-?\d+(\.\d+)?$/.test(String(value))
      ? new Exact(String(value)).toDecimalPlaces(8).toFixed()
      : String(value);
const tellAll = (figures: Readonly<Record<string, Money | string>>) =>
  Object.fromEntries(
    Object.entries(figures).map(([name, value]) => [
      name,
      told(value !== null && typeof value === "object" ? value.toFixed() : value),
    ]),
  );

describe.each(SEEDS)("a world from seed %d", (seed) => {
  beforeAll(async () => {
    em = await freshDatabase("random_money");
    tables = randomMoney(seed);
    const { refused } = await importBundle(em, await moneyFiles(tables), { now: NOW });
    expect(refused).toEqual([]);
    // Names are kept by their version: those of each world are newer than those of the one before.
    await withConnection(em, (client) =>
      client.query("UPDATE workspace SET names_version = $1", [100 + SEEDS.indexOf(seed)]),
    );
  });
  afterAll(dropDatabase);

  test("every figure of every project is what its rows come to", async () => {
    const plain = new PlainMoney(tables);
    const wanted = new Map(
      tables.projects!.map((project) => [project.project, tellAll(plain.figuresOf(project))]),
    );
    const fields = Object.keys([...wanted.values()][0]);
    const body = await ask(`list projects showing project, ${fields.join(", ")}`);
    const got = new Map(
      (body.rows as { values: unknown[] }[]).map(({ values: [name, ...values] }) => [
        String(name),
        Object.fromEntries(fields.map((field, i) => [field, told(values[i])])),
      ]),
    );
    expect(Object.fromEntries(got)).toEqual(Object.fromEntries(wanted));
  });

  test("a portfolio is the sum of its projects, and its shares are shares of sums", async () => {
    const plain = new PlainMoney(tables);
    const body = await ask(
      'sum of actual cost, sum of projected cost, measure "budget used" of projects by portfolio',
    );
    for (const row of rowsOf(body)) {
      const figures = tables
        .projects!.filter(({ portfolio }) => portfolio === row.group[0])
        .map((project) => plain.figuresOf(project));
      const sum = (name: string, of = figures) =>
        of.reduce((all, one) => all.plus((one[name] as Money) ?? 0), new Exact(0));
      const budgeted = figures.filter((one) => (one.budget as Money)?.gt(0));
      expect(cellsOf(row).map(told)).toEqual([
        told(sum("actual cost").toFixed()),
        told(sum("projected cost").toFixed()),
        budgeted.length
          ? told(sum("actual cost", budgeted).div(sum("budget", budgeted)).toFixed())
          : "empty",
      ]);
    }
  });

  test("the curve of cost is what was planned, spent and will be, month by month", async () => {
    const plain = new PlainMoney(tables);
    const all = (of: (project: Row) => InstanceType<typeof Exact>) =>
      tables.projects!.reduce((sum, project) => sum.plus(of(project)), new Exact(0)).toFixed();
    const body = await ask("S-curve of cost of projects by month for 2026-07-01 to 2027-05-31");
    for (const row of rowsOf(body)) {
      const { from, to } = row.bucket as { from: Day; to: Day };
      const isOver = to < TODAY;
      const isAhead = from > TODAY;
      expect({
        to,
        planned: told(row.planned),
        actual: told(row.actual),
        projected: told(row.projected),
      }).toEqual({
        to,
        planned: told(all(({ project }) => plain.plannedUntil(project, to))),
        actual: isAhead
          ? "empty"
          : told(all(({ project }) => plain.costUntil(project, isOver ? to : TODAY))),
        projected: isOver
          ? "empty"
          : told(all((project) => plain.projectedUntil(project, to.slice(0, 7)))),
      });
    }
  });

  test("a budget burns down by what was raised, cut and spent", async () => {
    const plain = new PlainMoney(tables);
    for (const project of tables.projects!.filter(({ budget }) => budget)) {
      const [from, to] = ["2026-08-01", "2026-12-15"];
      const body = await ask(
        `burndown of budget of projects where project is "${project.project}" from ${from} to ${to}`,
      );
      const wanted = tellAll(plain.burndownOf(project, from, to));
      expect({
        project: project.project,
        ...Object.fromEntries(Object.keys(wanted).map((key) => [key, told(body[key])])),
      }).toEqual({ project: project.project, ...wanted });
    }
  });

  test("who could work and did is what each of their days says", async () => {
    const plain = new PlainMoney(tables);
    const [from, to] = ["2026-09-01", "2026-12-10"];
    const body = await ask(
      `sum of worked, sum of capacity, measure "utilisation" of person days where date during ${from} to ${to} and date until today by person`,
    );
    const got = new Map(rowsOf(body).map((row) => [row.group[0], cellsOf(row).map(told)]));
    for (const person of tables.people!.filter(({ client }) => !client)) {
      const { worked, capacity, share } = plain.utilisationOf(person, from, to);
      const isThere = worked!.gt(0) || capacity!.gt(0) || got.has(person.login);
      if (!isThere) continue;
      expect([person.login, got.get(person.login)]).toEqual([
        person.login,
        [worked, capacity, share].map((one) => told(one === null ? null : one.toFixed())),
      ]);
    }
    expect(got.has("pell")).toBe(false);
  });

  test("what was spent as it stood on a day is what was booked by then", async () => {
    for (const day of ["2026-08-14", "2026-10-20", addDays(TODAY, -1)]) {
      const plain = new PlainMoney(tables, day);
      const body = await ask(`sum of amount of cost entries by project as it stood on ${day}`);
      const got = new Map(rowsOf(body).map((row) => [row.group[0], told(row.value)]));
      for (const { project } of tables.projects!) {
        const spent = plain.costs().filter((entry) => entry.project === project);
        const amount = spent.reduce((sum, entry) => sum.plus(entry.amount), new Exact(0));
        expect([day, project, got.get(project) ?? "none"]).toEqual([
          day,
          project,
          spent.length ? told(amount.toFixed()) : "none",
        ]);
      }
    }
  });
});
