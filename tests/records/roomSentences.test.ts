import { BRIEFING_KINDS, partsOf, plainText, type BriefingKind } from "@/core/briefing";
import { planBriefing } from "@/core/briefing/planned";
import { parseSentence, printReport } from "@/core/kinds";
import { nameText } from "@/core/sentence";
import { parseInstant } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";
import { sayIn } from "@/server/projects/says";
import { saveFilter } from "@/server/library/filters";
import { bookedSays } from "@/ui/projects/booked";
import * as sentences from "@/ui/projects/sentences";
import { dropDatabase } from "../support/database";
import { deskFor, reportOf } from "../support/desk";
import { goldenDatabase } from "../support/golden";

/** Every sentence that rooms and briefings ask by themselves is understood, and answered. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;

beforeAll(async () => {
  em = await goldenDatabase("roomSentences");
});
afterAll(dropDatabase);

const SPAN = { from: "2026-09-01", to: "2026-12-18" };
const { costCurve, progressCurve, valueCurve, costByMonth, moneyAgainstTime, ...plain } = sentences;
const asked = [
  ...Object.values(plain),
  ...[costCurve, progressCurve, valueCurve, costByMonth].map((curve) => curve(SPAN)),
  moneyAgainstTime(""),
  moneyAgainstTime(" where stage is not finished"),
  bookedSays("2026-11-24"),
];

test.each(asked.map((says) => [says]))("%s", async (says) => {
  const desk = await deskFor(em, "gil", clock);
  const [project] = desk.view.catalog.names.list("project");
  const { shown } = await sayIn(em, desk, { says, here: { thing: "project", id: project.id } });
  expect(shown.asOf).toBeTruthy();
});

const hereOf = (kind: BriefingKind, id: number) => (kind === "filter" ? null : { thing: kind, id });

test.each(BRIEFING_KINDS.filter((kind) => kind !== "filter"))(
  "all parts of a briefing on a %s can be asked",
  async (kind) => {
    const { view } = await deskFor(em, "gil", clock);
    const [thing] = view.catalog.names.list(kind as "project");
    if (kind === "release" && !thing) return;
    await readsWell(kind, thing.id, thing.name);
  },
);

async function readsWell(kind: BriefingKind, id: number, name: string): Promise<void> {
  const desk = await deskFor(em, "gil", clock);
  const parts = partsOf(kind, nameText(name)).map((part) => ({ id: part.id, made: part.id }));
  const here = hereOf(kind, id);
  const { parts: written } = await runPlan(
    em,
    planBriefing(
      { kind, here, name, parts, stood: null, since: null, company: "Saltmarsh Ferries" },
      desk.view,
    ),
  );
  expect(written.length).toBeGreaterThan(1);
  for (const { blocks } of written) {
    expect(plainText(blocks)).not.toMatch(/undefined|NaN|null|cannot be asked/);
    for (const block of blocks)
      if (block.kind === "drawing" || block.kind === "table")
        await sayIn(em, desk, { says: block.says, ...(here ? { here } : {}) });
  }
}

test("all parts of a briefing on a saved filter can be asked", async () => {
  const desk = await deskFor(em, "gil", clock);
  const open = reportOf("list items where status is open", desk);
  const saved = await saveFilter(em, desk.viewer, desk.view, {
    name: "All that is open",
    purpose: "",
    subject: open.subject,
    where: open.where,
  });
  if (!saved.ok) throw new Error(saved.problems[0].message);
  const { view } = await deskFor(em, "gil", clock);
  const filter = view.catalog.data.filters!.find((one) => one.name === "All that is open")!;
  await readsWell("filter", filter.id, filter.name);
});

test("a list of projects can be drawn as a timeline, and no other list", async () => {
  const { view } = await deskFor(em, "gil", clock);
  const says = "list projects showing project sorted by project as timeline";
  const read = parseSentence(says, view);
  expect(read.ok && printReport(read.value, view.catalog)).toBe(says);
  const other = parseSentence("list items as timeline", view);
  expect(other.ok ? "" : other.problems[0].message).toMatch(/drawn of projects/);
});

test("what stands for the thing of a room has no meaning elsewhere, and says so", async () => {
  const { view } = await deskFor(em, "gil", clock);
  const says = "count items where project is this project";
  const nowhere = parseSentence(says, view);
  expect(nowhere.ok ? "" : nowhere.problems[0].message).toMatch(/in the room or a briefing/);
  const [project] = view.catalog.names.list("project");
  const here = parseSentence(says, { ...view, here: { thing: "project", id: project.id } });
  expect(here.ok && printReport(here.value, view.catalog)).toBe(
    `count items where project is ${nameText(project.name)}`,
  );
  const team = parseSentence("count items where team is this team", {
    ...view,
    here: { thing: "project", id: project.id },
  });
  expect(team.ok).toBe(false);
});
