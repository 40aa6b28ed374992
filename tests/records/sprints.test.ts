import { Refused } from "@/server/refused";
import { parseInstant } from "@/core/time";
import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import { perform } from "@/server/acts";
import type { Clock } from "@/server/clock";
import { askSprint, firstSprint, listSprints } from "@/server/sprints/sprintRoom";
import type { Desk } from "@/server/viewer/viewpoint";
import { GOLDEN_BUNDLE } from "../golden/load";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor } from "../support/desk";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock: Clock = { now: () => NOW };
let em: EntityManager;
let desk: Desk;
let ten: number;
let nine: number;

beforeAll(async () => {
  em = await freshDatabase("sprints");
  await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), { now: NOW });
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

test("the ledger has each change of scope, the latest first, with who made it", async () => {
  const { ledger, shown } = await askSprint(em, desk, ten, "points");
  expect(ledger.map(({ key, cause, amount }) => [key, cause, amount])).toEqual([
    ["B15", "re-estimated", "-2"],
    ["B13", "added", "5"],
    ["B15", "reopened", "5"],
    ["B13", "added", "5"],
    ["B16", "added", "2"],
    ["B8", "added", "13"],
  ]);
  expect(
    ledger.every(
      (change) =>
        change.by === null ||
        desk.view.catalog.names.list("person").some((person) => person.label === change.by),
    ),
  ).toBe(true);
  expect(ledger[0].by).not.toBeNull();
  if (shown.answer.kind !== "burndown" || !shown.answer.burndown) throw new Error("no burndown");
  const { committed, totals, remaining } = shown.answer.burndown;
  // The account adds up: what is in the ledger, and what was finished.
  const changed = ledger.reduce(
    (sum, { cause, amount }) => sum + (cause === "removed" ? -1 : 1) * Number(amount),
    0,
  );
  expect(Number(committed) + changed - Number(totals.finished)).toBe(Number(remaining));
});

test("its items are where the burndown has them, and weigh in all what remains", async () => {
  const { finished, open, out, shown } = await askSprint(em, desk, ten, "points");
  if (shown.answer.kind !== "burndown" || !shown.answer.burndown) throw new Error("no burndown");
  expect(open.reduce((sum, item) => sum + Number(item.amount ?? 0), 0)).toBe(
    Number(shown.answer.burndown.remaining),
  );
  expect(open.filter((item) => item.amount === null)).toHaveLength(
    shown.answer.burndown.notEstimated,
  );
  const keys = [...finished, ...open, ...out].map((item) => item.key);
  expect(new Set(keys).size).toBe(keys.length);
  expect(open.map((item) => Number(item.amount ?? 0))).toEqual(
    open.map((item) => Number(item.amount ?? 0)).sort((a, b) => b - a),
  );
});

test.each(["count", "remaining estimate"] as const)("the same in %s", async (unit) => {
  const { open, shown } = await askSprint(em, desk, ten, unit);
  if (shown.answer.kind !== "burndown" || !shown.answer.burndown) throw new Error("no burndown");
  expect(open.reduce((sum, item) => sum + Number(item.amount ?? 0), 0)).toBe(
    Number(shown.answer.burndown.remaining),
  );
});

test("as it stood at the end of a day nothing later has happened", async () => {
  const { ledger, shown } = await askSprint(em, desk, ten, "points", "2026-11-18");
  expect(ledger.map((change) => change.key)).toEqual(["B13", "B16", "B8"]);
  expect(shown.asOf).toContain("as it stood");
  if (shown.answer.kind !== "burndown") throw new Error("no burndown");
  expect(shown.answer.burndown?.remaining).toBe("32");
});

test("before it begins there is no burndown, and nothing is claimed of it", async () => {
  const { ledger, finished, open, out, shown } = await askSprint(
    em,
    desk,
    ten,
    "points",
    "2026-11-10",
  );
  expect([ledger, finished, open, out]).toEqual([[], [], [], []]);
  expect(shown.says.map((said) => said.text).join("")).toMatch(/begins on 16 Nov 2026/);
});

test("a closed sprint ends where it was closed", async () => {
  const { shown, open } = await askSprint(em, desk, nine, "points");
  if (shown.answer.kind !== "burndown" || !shown.answer.burndown) throw new Error("no burndown");
  expect(shown.answer.burndown.until).toBe(parseInstant("2026-11-13T18:00:00Z"));
  expect(open.reduce((sum, item) => sum + Number(item.amount ?? 0), 0)).toBe(
    Number(shown.answer.burndown.remaining),
  );
});

test("a sprint that is not there is not there", async () => {
  const asked = perform("sprint", { em, desk, clock }, { sprint: 999_999, unit: "points" });
  await expect(asked).rejects.toBeInstanceOf(Refused);
});
