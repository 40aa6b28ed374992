import { alone, figuresIn, partsOf, plainText } from "@/core/briefing";
import { planBriefing, planTold, type Briefing } from "@/core/briefing/planned";
import { parseInstant } from "@/core/time";
import { importBundle, readBundleFiles, runPlan, type EntityManager } from "@/data";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor } from "../support/desk";
import { MONEY_BUNDLE } from "./money/load";

let em: EntityManager;
const NOW = parseInstant("2026-11-24T15:30:00Z")!;

beforeAll(async () => {
  em = await freshDatabase("briefing");
  await importBundle(em, await readBundleFiles(MONEY_BUNDLE), { now: NOW });
});
afterAll(dropDatabase);

/** A briefing on a project, with every part that it can have. */
async function briefingOn(
  name: string,
  login = "ines",
  stood: string | null = null,
  since: string | null = null,
): Promise<Briefing> {
  const { view } = await deskFor(em, login, { now: () => NOW });
  const [project] = view.catalog.names.named("project", name);
  const parts = partsOf("project", name).map(({ id }) => ({ id, made: id }));
  const here = { thing: "project" as const, id: project.id };
  return runPlan(
    em,
    planBriefing(
      { kind: "project", here, name, parts, stood, since, company: "Saltmarsh Ferries" },
      view,
    ),
  );
}

/** What a part reads like, with plain spaces. */
function read({ parts }: Briefing, id: string): string {
  const part = parts.find((one) => one.id === id);
  return part ? plainText(part.blocks).replace(/[\u2009\u00a0\u202f]/g, " ") : "";
}

describe("a refit that costs too much", () => {
  let refit: Briefing;
  beforeAll(async () => {
    refit = await briefingOn("Heron refit");
  });

  test.each([
    [
      "head",
      "A refit in the portfolio Fleet, for Saltmarsh Ferries itself. Manager: Cal Brenner. 1 Sep to 18 Dec 2026.",
    ],
    [
      "verdict",
      "It is at risk of being late, it will cost more than its budget, and its manager calls it stuck.",
    ],
    [
      "since",
      "The schedule has gone from on time to at risk, and the cost from tight to over budget: the projected cost has risen by €4 989.50 to €47 023.34. €12 989.50 was added to the actual cost.",
    ],
    [
      "progress",
      "On 16 Nov 52 % was done, and 60 % was planned: 8 points behind. It does 87 % of what is planned.",
    ],
    [
      "money",
      "€37 023.34 of the budget of €40 000 is spent (93 %); €28 000 was planned until today. With €10 000 still to come, the projected cost is €47 023.34: €7 023.34 over the budget. From 1 Dec the budget is €44 000; that leaves it €3 023.34 over. At the cost of the work done so far, the whole would come to €65 544.88.",
    ],
    [
      "this month",
      "November so far: €12 917.50, of which yard €6 000.00, materials €4 100.00, labour €1 617.50, hire €900.00 and not set €300.00. Planned for the whole month: €10 000. 1 time entry (2 h) has no cost: no rate is known for Inês Duarte.",
    ],
    ["to come", "Entered for later: labour €312.00 on 1 Dec, yard €7 000.00 on 10 Dec."],
    [
      "milestones",
      [
        "Of 3 milestones, 1 is reached and 1 is overdue. Engine in was due on 20 Nov and is 14 days behind its first date. Next: Handed over on 18 Dec, 7 days later than first agreed.",
        "Hull open · 30 Sep · 30 Sep · 28 Sep · reached, 2 days early",
        "Engine in · 10 Nov · 20 Nov ·  · overdue, 14 days",
        "Handed over · 11 Dec · 18 Dec ·  · to come, 7 days later",
      ].join("\n"),
    ],
    [
      "word",
      [
        "Cal Brenner, week of 16 Nov: stuck. Done: Waited for plates. Next: Fit the bed. Worry: No plates before December.",
        "It was worried the week before, and well the week before that. No week is owed since. Bram Okoro also handed in a word for this week.",
      ].join("\n"),
    ],
    [
      "open items",
      [
        "2 items are open, 1 of them overdue. E1 holds up E5.",
        "E1 · Fit the engine bed · Building · Bram Okoro · Fri 20 Nov 2026, 4 days ago",
        "E5 · Order the ramp hinges · Building · Bram Okoro · ",
      ].join("\n"),
    ],
    [
      "time",
      "39 h in all: Bram Okoro 16 h, Sunniva Moe 16 h, Cal Brenner 4 h, Inês Duarte 2 h, Tove Lindqvist 1 h.",
    ],
  ])("%s", (id, text) => expect(read(refit, id)).toBe(text));

  test("its drawings span its plan", () => {
    const drawn = refit.parts.flatMap(({ blocks }) =>
      blocks.flatMap((block) => (block.kind === "drawing" ? [block.says] : [])),
    );
    expect(drawn).toEqual([
      "S-curve of progress of projects where project is this project by month for 2026-09-01 to 2026-12-18 as S-curve",
      "S-curve of cost of projects where project is this project by month for 2026-09-01 to 2026-12-18 as S-curve",
      "burndown of budget of projects where project is this project as line",
    ]);
  });
});

test("frozen at the end of October, it read as it did then", async () => {
  const frozen = await briefingOn("Heron refit", "ines", "2026-10-31");
  expect(read(frozen, "verdict")).toMatch(
    /^It is on time, its budget is tight, and nothing was handed in for 8 weeks/,
  );
  expect(read(frozen, "money")).toMatch(/^€24 033\.84 of the budget of €40 000 is spent \(60 %\)/);
});

test("who sees no money reads none, and is told so once in each part", async () => {
  const bram = await briefingOn("Heron refit", "bram");
  expect(read(bram, "verdict")).toBe(
    "It is at risk of being late, and its manager calls it stuck.",
  );
  for (const part of ["money", "this month", "to come", "money drawn"])
    expect([part, read(bram, part)]).toEqual([part, "Money is not yours to see."]);
  expect(read(bram, "progress")).toMatch(/^On 16 Nov 52 %/);
});

test("other projects, other words", async () => {
  const site = await briefingOn("Booking site");
  expect(read(site, "verdict")).toBe("It is late, and Wren Castell calls it stuck.");
  expect(read(site, "money")).toMatch(/^€2 330\.00 is spent, and there is no budget; €216 was/);
  const quay = await briefingOn("New quay");
  expect(read(quay, "verdict")).toBe(
    "It is on time, will stay within its budget, its manager calls it well, and nothing was handed in for 1 week.",
  );
  expect(read(quay, "revenue")).toBe(
    "€13 597.40 is earned, €10 000.00 is billed; €3 597.40 is not billed yet. The margin is €2 336.17 (17 %).",
  );
  const timetable = await briefingOn("Winter timetable");
  expect(read(timetable, "verdict")).toBe("Nothing is known of its schedule, cost or health yet.");
});

/** Sentences that come to one value: a count, or a sum, without groups. */
const isOneValue = (says: string): boolean => /^(count|sum of) /.test(says) && !/ by /.test(says);

test.each(["ines", "cal", "bram", "gil", "pell"])(
  "for %s, every figure of every project opens into what comes to it",
  async (login) => {
    const desk = await deskFor(em, login, { now: () => NOW });
    let opened = 0;
    for (const project of desk.view.catalog.names.list("project")) {
      const { parts } = await briefingOn(project.label, login);
      const view = { ...desk.view, here: { thing: "project" as const, id: project.id } };
      for (const { key, words, says } of parts.flatMap((part) => figuresIn(part.blocks))) {
        const told = await runPlan(em, planTold(says, view, null));
        expect([says, told.gone, told.isHidden]).toEqual([says, null, false]);
        const own = alone({ key, words, says });
        if (own !== null) {
          const read = await runPlan(em, planTold(own, view, null));
          expect([own, sameValue(read.words)]).toEqual([own, sameValue(words)]);
        }
        if (!isOneValue(says)) continue;
        expect([key, sameValue(told.words)]).toEqual([key, sameValue(words)]);
        opened += 1;
      }
    }
    if (login === "ines") expect(opened).toBeGreaterThan(8);
  },
);

/** What a figure tells, whether it is rounded or counted with its noun or not. */
const sameValue = (words: string): string =>
  /%$/.test(words)
    ? "a percentage"
    : figureText(words)
        .replace(/^(\d+) (items?|open items?)$/, "$1")
        .replace(/^none$/, "0");

/** A plan is written in whole units where it is whole; an entry never is. */
const figureText = (words: string): string => words.replace(/\.00$/, "");

test("what is only partly theirs to see says so", async () => {
  const { view } = await deskFor(em, "gil", { now: () => NOW });
  const told = await runPlan(em, planTold("sum of amount of cost entries", view, null));
  expect(told.words).toMatch(/money of your projects only/);
  const own = view.catalog.names.named("project", "New quay")[0];
  const here = { ...view, here: { thing: "project" as const, id: own.id } };
  const says = "sum of amount of cost entries where project is this project";
  expect((await runPlan(em, planTold(says, here, null))).words).not.toMatch(/only/);
});
