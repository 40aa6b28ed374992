import type { WorkUnit } from "@/core/definition";
import { CAUSES, type AccountLine } from "@/core/history";
import { burndownParts, type ShownRecords } from "@/core/kinds";
import { Refused } from "@/server/refused";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import { perform } from "@/server/acts";
import type { Clock } from "@/server/clock";
import { askSprint, firstSprint, listSprints } from "@/server/sprints/sprintRoom";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor } from "../support/desk";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock: Clock = { now: () => NOW };
let em: EntityManager;
let desk: Desk;
let ten: number;
let nine: number;

beforeAll(async () => {
  em = await goldenDatabase("sprints");
  desk = await deskFor(em, "ruth", clock);
  const id = (name: string) => desk.view.catalog.names.named("sprint", name)[0].id;
  [ten, nine] = [id("Sprint 10"), id("Sprint 9")];
});
afterAll(dropDatabase);

test("sprints are listed the latest first, each with its days and how far it is", () => {
  expect(
    listSprints(desk).map((line) => [line.name, line.team, line.starts, line.ends, line.stage]),
  ).toEqual([
    ["Sprint 10", "Booking", "2026-11-16", "2026-11-27", "running"],
    ["Sprint 9", "Booking", "2026-11-02", "2026-11-13", "closed"],
    ["Sprint 8", "Booking", "2026-10-19", "2026-10-30", "closed"],
  ]);
  expect(firstSprint(desk)).toBe(ten);
});

const askedFor = async (...[sprint, unit, stood]: [number, WorkUnit, string?]) => {
  const asked = await askSprint(em, desk, sprint, unit, stood);
  const { answer } = asked.shown;
  if (answer.kind !== "burndown" || !answer.burndown) throw new Error("no burndown");
  const line = (name: AccountLine) =>
    asked.account.find((one) => one.line === name)!.entries.map((entry) => entry.key);
  const sum = (name: AccountLine) =>
    asked.account
      .find((one) => one.line === name)!
      .entries.reduce((all, entry) => all + Number(entry.amount ?? 0), 0);
  return { ...asked, burndown: answer.burndown, line, sum };
};

test("the steps are told with who made them, and what remained after each", async () => {
  const { steps, burndown } = await askedFor(ten, "points");
  const scope = steps.filter((step) => step.cause !== "finished").reverse();
  expect(scope.map(({ key, cause, amount }) => [key, cause, amount])).toEqual([
    ["B15", "re-estimated", "-2"],
    ["B13", "added", "5"],
    ["B15", "reopened", "5"],
    ["B13", "added", "5"],
    ["B16", "added", "2"],
    ["B8", "added", "13"],
  ]);
  const known = desk.view.catalog.names.list("person").map((person) => person.label);
  expect(steps.every((step) => step.by === null || known.includes(step.by))).toBe(true);
  expect(scope[0].by).not.toBeNull();
  expect(steps.at(-1)!.remaining).toBe(burndown.remaining);
});

test.each(["points", "count", "remaining estimate"] as const)(
  "each line of the account has its items, which add up to it, in %s",
  async (unit) => {
    const { burndown, sum, line, account } = await askedFor(ten, unit);
    expect(sum("committed")).toBe(Number(burndown.committed));
    expect(sum("remaining")).toBe(Number(burndown.remaining));
    for (const cause of CAUSES) expect(sum(cause)).toBe(Number(burndown.totals[cause]));
    const missing = account
      .find((one) => one.line === "remaining")!
      .entries.filter((entry) => entry.amount === null);
    expect(missing).toHaveLength(burndown.notEstimated);
    expect(new Set(line("remaining")).size).toBe(line("remaining").length);
    // What was finished before is on no line of the account.
    const before = line("finished before");
    expect(before.filter((key) => line("finished").includes(key))).toEqual([]);
  },
);

test("each line opens as records into exactly its items", async () => {
  const { account, definition } = await askedFor(ten, "points");
  for (const { line, entries } of account) {
    const { rows } = (await perform(
      "records",
      { em, desk, clock },
      {
        definition,
        opened: { path: [burndownParts.write({ kind: line })] },
        showing: [],
        sorts: [],
        offset: 0,
        limit: 100,
      },
    )) as ShownRecords;
    expect(rows.map((row) => row.key).sort()).toEqual(
      [...new Set(entries.map((entry) => entry.key))].sort(),
    );
  }
});

test("as it stood at the end of a day nothing later has happened", async () => {
  const { steps, shown, burndown } = await askedFor(ten, "points", "2026-11-18");
  const scope = steps.filter((step) => step.cause !== "finished").reverse();
  expect(scope.map((step) => step.key)).toEqual(["B13", "B16", "B8"]);
  expect(shown.asOf).toContain("as it stood");
  expect(burndown.remaining).toBe("32");
});

test("before it begins there is no burndown, and nothing is claimed of it", async () => {
  const { account, steps, shown } = await askSprint(em, desk, ten, "points", "2026-11-10");
  expect([account, steps]).toEqual([[], []]);
  expect(shown.says.map((said) => said.text).join("")).toMatch(/begins on 16 Nov 2026/);
});

test("a closed sprint ends where it was closed", async () => {
  const { burndown, sum } = await askedFor(nine, "points");
  expect(burndown.until).toBe(parseInstant("2026-11-13T18:00:00Z"));
  expect(sum("remaining")).toBe(Number(burndown.remaining));
});

test("a sprint that is not there is not there", async () => {
  const asked = perform("sprint", { em, desk, clock }, { sprint: 999_999, unit: "points" });
  await expect(asked).rejects.toBeInstanceOf(Refused);
});
