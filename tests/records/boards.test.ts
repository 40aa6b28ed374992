import { isReportTile, PLAIN_DRESS } from "@/core/definition";
import { isDrawable, narrowed, printReport, type Report } from "@/core/kinds";
import { parseConditionText } from "@/core/sentence";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { keepChoice, loadDashboard, saveDashboard, visit } from "@/server/dashboards/dashboards";
import { answerTile, beamOf, boardSince, sinceThen } from "@/server/dashboards/tile";
import { makeBoard } from "@/server/dashboards/template";
import { setShares } from "@/server/library/kept";
import { saveReport } from "@/server/library/reports";
import { askFigure } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf as readReport } from "../support/desk";

/** What narrows a dashboard: filters and beams, as conditions of the tiles that have a field for them. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let builder: Desk;
let member: Desk;

beforeAll(async () => {
  em = await goldenDatabase("boards");
  [builder, member] = [await deskFor(em, "ines", clock), await deskFor(em, "tove", clock)];
});
afterAll(dropDatabase);

const reportOf = (sentence: string): Report => readReport(sentence, builder);
const tileOf = async (sentence: string): Promise<number> => {
  const saved = await saveReport(em, builder.viewer, builder.view, {
    name: sentence.slice(0, 100),
    definition: reportOf(sentence),
    dress: PLAIN_DRESS,
  });
  if (!saved.ok) throw new Error(saved.problems[0].message);
  return saved.value.id;
};
/** How many records a report counts in all. */
const countOf = async (report: Report): Promise<number> => {
  const shown = await askFigure(em, builder, report, PLAIN_DRESS);
  if (!isDrawable(shown)) return shown.records.count;
  if (shown.kind !== "count") throw new Error("no count");
  return shown.answer.total[0].records;
};
const team = { id: "team", subject: "items" as const, says: "team is not empty" };

describe("tiles of sprints", () => {
  const ofTeam = (name: string) => ({
    id: "team",
    subject: "items" as const,
    says: `team is ${name}`,
  });

  test.each([
    [
      "burndown of sprint current in points as planks",
      "burndown of sprint current of team Booking in points as planks",
    ],
    [
      "burndown of sprint current of team Quay as planks",
      "burndown of sprint current of team Booking as planks",
    ],
    ["velocity of team Quay in points as columns", "velocity of team Booking in points as columns"],
  ])("%s: a filter for one team says whose sprint is meant", async (sentence, narrow) => {
    const tile = await tileOf(sentence);
    const { definition, heard } = await answerTile(em, builder, {
      report: tile,
      narrowed: [ofTeam("Booking")],
    });
    expect([printReport(definition, builder.view.catalog), heard]).toEqual([narrow, ["team"]]);
  });

  test("what is not one team is not heard, and a sprint that is named stays the one that is named", async () => {
    for (const [sentence, says] of [
      ["burndown of sprint current as planks", "team is any of (Booking, Quay)"],
      ["burndown of sprint current as planks", "team is not Booking"],
      ["burndown of sprint current as planks", "priority is P1"],
      ['burndown of sprint "Sprint 9" as planks', "team is Quay"],
    ]) {
      const tile = await tileOf(sentence);
      const narrowed = [{ id: "any", subject: "items" as const, says }];
      expect((await answerTile(em, builder, { report: tile, narrowed })).heard).toEqual([]);
    }
  });

  test("a sprint board begins with the team whose sprints there are, and another team changes all of its tiles", async () => {
    const made = await makeBoard(em, builder, { name: "Ours", purpose: "", template: "Sprint" });
    if (!made.ok) throw new Error(made.problems[0].message);
    const board = (await loadDashboard(em, builder.viewer, made.value.id, builder.view))!;
    const [filter] = board.filters;
    expect([filter.id, filter.says]).toEqual(["team", "team is Booking"]);
    const tiles = board.tiles.filter(isReportTile);
    expect(tiles).toHaveLength(4);
    for (const { report } of tiles) {
      const { definition, heard } = await answerTile(em, builder, {
        report,
        narrowed: [ofTeam("Quay")],
      });
      const asks = printReport(definition, builder.view.catalog);
      expect([asks, heard]).toEqual([expect.stringMatching(/team (is )?Quay/), ["team"]]);
      expect(asks).not.toContain("Booking");
    }
  });

  test("between two sprints the last of the team burns down, and says so", async () => {
    const desk = await deskFor(em, "ines", { now: () => parseInstant("2026-11-14T09:00:00Z")! });
    const shown = await askFigure(
      em,
      desk,
      readReport("burndown of sprint current of team Booking in points", desk),
      PLAIN_DRESS,
    );
    if (!isDrawable(shown)) throw new Error("a burndown is drawn");
    const says = shown.says.map(({ text }) => text).join("");
    expect(says).toMatch(/^No sprint runs now. Of the last one, Sprint 9, \d/);
  });
});

describe("a tile under filters", () => {
  test.each([
    ["count items by priority as bars", "count items where team is not empty by priority as bars"],
    [
      "list items where status is open showing key as list",
      "list items where status is open and team is not empty showing key as list",
    ],
    [
      "level of items where status is open at month ends for last 3 months",
      "level of items where status is open and team is not empty at month ends for last 3 months",
    ],
    [
      "count time entries by person as bars",
      "count time entries where item's team is not empty by person as bars",
    ],
  ])("%s is asked as %s", async (sentence, says) => {
    const shown = await answerTile(em, builder, {
      report: await tileOf(sentence),
      narrowed: [team],
    });
    expect(shown.definition).toEqual({ ...reportOf(says) });
    expect(shown.heard).toEqual(["team"]);
  });

  test("what has no such field does not listen, and says which it obeys", async () => {
    const projects = await tileOf("count projects by manager as bars");
    const sprint = await tileOf("velocity of team my team as columns");
    for (const report of [projects, sprint]) {
      const shown = await answerTile(em, builder, {
        report,
        narrowed: [{ ...team, says: "priority is not empty" }],
      });
      expect(shown.heard).toEqual([]);
    }
  });

  test("several join by and, the values of one by or", async () => {
    const report = await tileOf("count items as number");
    const one = (id: string, says: string) => ({ id, subject: "items" as const, says });
    const shown = await answerTile(em, builder, {
      report,
      narrowed: [one("a", "status is open"), one("b", "(priority is P1) or (priority is P2)")],
    });
    expect(await countOf(shown.definition)).toBe(
      await countOf(reportOf("count items where status is open and priority is any of (P1, P2)")),
    );
  });

  test("a value that is gone narrows nothing, and is named", async () => {
    const shown = await answerTile(em, builder, {
      report: await tileOf("count items by team as bars"),
      narrowed: [
        { ...team, says: 'team is "No such team"' },
        { ...team, id: "open", says: "status is open" },
      ],
    });
    expect(shown.dropped).toEqual([{ id: "team", why: expect.stringContaining("No such team") }]);
    expect(shown.heard).toEqual(["open"]);
  });
});

test("a second period beside one that is compared is not asked, and the tile says so", async () => {
  const shown = await answerTile(em, builder, {
    report: await tileOf(
      "count items where created during last month by priority compared with the period before as bars",
    ),
    narrowed: [
      { id: "when", subject: "items", says: "due during last month" },
      { id: "open", subject: "items", says: "status is open" },
    ],
  });
  expect(shown.heard).toEqual(["open"]);
  expect(shown.dropped).toEqual([{ id: "when", why: expect.stringMatching(/period/) }]);
});

describe("a beam", () => {
  const REPORTS = [
    "count items by priority as bars",
    "count items by status split by priority as stacked bars",
    "count items where status is open by assignee as donut",
    "count items by stage as bars",
    "count items by month of created as columns",
    "count items by week of created for last 3 months as columns",
    "count items by points in ranges (2, 5) as bars",
    "count items by cases (urgent: priority is P1, open: status is open) as bars",
    'count items by priority folding (P1, P2 as "the worst") as bars',
    "count items by tags as bars",
    "count moves by field as bars",
  ];

  test.each(REPORTS)("of any part of %s tells exactly its records", async (sentence) => {
    const report = reportOf(sentence);
    const shown = await askFigure(em, builder, report, PLAIN_DRESS);
    if (!isDrawable(shown) || shown.kind !== "count") throw new Error("no count");
    let told = 0;
    for (const row of shown.answer.rows) {
      const path = row.path.map((head) => head.key);
      const parts = shown.answer.split.length
        ? shown.answer.split.map((head, i) => ({ split: head.key, cell: row.parts[i][0] }))
        : [{ cell: row.cells[0] }];
      for (const { cell, ...part } of parts) {
        const beam = beamOf(report, { path, ...part }, builder);
        if (!beam) continue;
        told += 1;
        const where = parseConditionText(beam.says!, beam.subject, builder.view);
        if (!where.ok) throw new Error(`${beam.says}: ${where.problems[0].message}`);
        const all = { ...report, by: [], shape: "number" as const } as Report & { kind: "count" };
        const { split: _split, period: _period, ...plain } = all;
        const narrow = narrowed(
          plain,
          [{ subject: beam.subject, where: where.value }],
          builder.view.catalog,
        );
        expect([beam.says, await countOf(narrow.report as Report)]).toEqual([
          beam.says,
          cell.records,
        ]);
      }
    }
    expect(told).toBeGreaterThan(0);
  });

  test("of a point of a level is the day at whose end it was counted, with its part", () => {
    const report = reportOf(
      "level of items where status is open at month ends for 2026-09 to 2026-10 split by priority",
    );
    expect(beamOf(report, { path: ["b0"] }, builder)).toEqual({
      subject: "items",
      says: null,
      stood: "2026-09-30",
    });
    expect(beamOf(report, { path: ["b1"], split: "n" }, builder)).toEqual({
      subject: "items",
      says: "priority is empty",
      stood: "2026-10-31",
    });
  });

  test("a rest, an hour of the day and a step of a flow tell nothing", () => {
    const of = (sentence: string, path: string[]) => beamOf(reportOf(sentence), { path }, builder);
    expect(of("count items by assignee top 2 as bars", ["r"])).toBeNull();
    expect(of("count items by hour of created as columns", ["v9"])).toBeNull();
    expect(
      of("arrivals of items where status is open by month for last 3 months as columns", ["b0"]),
    ).toBeNull();
  });
});

describe("since one last looked", () => {
  const keysOf = async (sentence: string): Promise<Set<string>> => {
    const shown = await askFigure(em, builder, reportOf(sentence), PLAIN_DRESS);
    if (isDrawable(shown)) throw new Error("no list");
    const { count, rows } = shown.records;
    expect(rows).toHaveLength(count);
    return new Set(rows.map((row) => row.key!));
  };
  const without = (some: Set<string>, others: Set<string>) =>
    [...some].filter((key) => !others.has(key)).length;

  test.each([
    ["status is open", "2026-11-18T08:00:00.000Z"],
    ["status is open and priority is any of (P1, P2)", "2026-11-20T00:00:00.000Z"],
    ["status is open and team is not empty", "2026-11-23T12:00:00.000Z"],
  ])(
    "what came and left where %s are those that were not, and are not any more",
    async (where, since) => {
      const report = await tileOf(`count items where ${where} by priority as bars`);
      const told = (await sinceThen(em, builder, { report, narrowed: [], since }))!;
      const now = await keysOf(`list items where ${where} showing key as list`);
      const then = await keysOf(
        `list items where ${where} showing key as it stood on ${since.replace(".000", "")} as list`,
      );
      expect([told.came, told.left]).toEqual([without(now, then), without(then, now)]);
      expect(reportOf(told.says).kind).toBe("bridge");
    },
  );

  test.each([
    [[], "status is open"],
    [
      [{ id: "team", subject: "items" as const, says: "team is Booking" }],
      "status is open and team is Booking",
    ],
  ])(
    "a dashboard narrowed by %j tells it of all that is open in one line",
    async (narrowed, where) => {
      const since = "2026-11-18T08:00:00.000Z";
      const told = (await boardSince(em, builder, { narrowed, since }))!;
      const now = await keysOf(`list items where ${where} showing key as list`);
      const then = await keysOf(
        `list items where ${where} showing key as it stood on 2026-11-18T08:00:00Z as list`,
      );
      expect([told.came, told.left]).toEqual([without(now, then), without(then, now)]);
      const says = [told.came && `${told.came} came`, told.left && `${told.left} left`];
      expect(told.words).toBe(says.filter(Boolean).join(", "));
      expect(told.says).toContain(`bridge of items where ${where} from`);
    },
  );

  test("is not told of what is no count of items, nor of a time to come", async () => {
    const of = async (sentence: string, since = "2026-11-20T00:00:00.000Z") =>
      sinceThen(em, builder, { report: await tileOf(sentence), narrowed: [], since });
    expect(await of("average points of items by team as bars")).toBeNull();
    expect(await of("count projects by manager as bars")).toBeNull();
    expect(await of("list items where status is open showing key as list")).toBeNull();
    expect(
      await of("count items where status is open as number", "2027-01-01T00:00:00.000Z"),
    ).toBeNull();
  });
});

describe("a dashboard", () => {
  const filters = [
    {
      id: "team",
      subject: "items",
      field: ["team"],
      begins: { kind: "test", field: ["team"], operator: "isNotEmpty", values: [] },
    },
    { id: "who", subject: "items", field: ["assignee"], dependsOn: "team" },
  ];
  const save = async () => {
    const report = await tileOf("count items by team as bars");
    const saved = await saveDashboard(em, builder.viewer, {
      name: "Narrowed",
      tiles: [
        { id: "a", report, deck: "d", x: 0, y: 0, w: 6, h: 6, deaf: ["who"] },
        { id: "b", text: "**Read this**", x: 6, y: 0, w: 6, h: 4 },
      ],
      decks: [{ id: "d", title: "Right now", note: "", isClosed: true }],
      filters,
    });
    if (!saved.ok) throw new Error(saved.problems[0].message);
    return saved.value;
  };

  test("keeps its decks, filters and tiles of words, and says what its filters begin with", async () => {
    const { id } = await save();
    const board = await loadDashboard(em, builder.viewer, id, builder.view);
    expect(board!.decks).toEqual([{ id: "d", title: "Right now", note: "", isClosed: true }]);
    expect(board!.filters.map((one) => [one.id, one.says])).toEqual([
      ["team", "team is not empty"],
      ["who", null],
    ]);
    expect(board!.tiles).toHaveLength(2);
  });

  test("saved without a word of its filters and decks keeps them", async () => {
    const { id, version } = await save();
    const board = (await loadDashboard(em, builder.viewer, id))!;
    await saveDashboard(em, builder.viewer, { id, version, name: "Again", tiles: board.tiles });
    const again = await loadDashboard(em, builder.viewer, id, builder.view);
    expect([again!.name, again!.decks.length, again!.filters.length]).toEqual(["Again", 1, 2]);
  });

  test("remembers for each viewer what they chose and when they were there before", async () => {
    const { id } = await save();
    expect(await visit(em, builder.viewer, clock, id)).toEqual({ chosen: {}, before: null });
    await keepChoice(em, builder.viewer, clock, id, { team: null });
    const later = { now: () => NOW + 3_600_000_000 };
    expect(await visit(em, builder.viewer, later, id)).toEqual({
      chosen: { team: null },
      before: "2026-11-24T15:30:00.000Z",
    });
    const atOnce = { now: () => NOW + 3_660_000_000 };
    expect((await visit(em, builder.viewer, atOnce, id)).before).toBe("2026-11-24T15:30:00.000Z");
    await setShares(em, builder.viewer, "dashboard", id, [
      { everyone: true, person: null, team: null, mayChange: false },
    ]);
    expect((await visit(em, member.viewer, clock, id)).chosen).toEqual({});
  });

  test("is opened for the first time in many windows at once", async () => {
    const { id } = await save();
    const visits = Array.from({ length: 12 }, () => visit(em, builder.viewer, clock, id));
    const kept = Array.from({ length: 6 }, () =>
      keepChoice(em, builder.viewer, clock, id, { team: null }),
    );
    const told = await Promise.all([...visits, ...kept]);
    expect(told).toHaveLength(18);
    expect((await visit(em, builder.viewer, clock, id)).chosen).toEqual({ team: null });
  });

  test("lets nobody keep a choice of one that they may not read", async () => {
    const { id } = await save();
    await expect(keepChoice(em, member.viewer, clock, id, {})).rejects.toThrow();
  });
});

test("what is hidden and what is gone narrow alike: not at all, in the same words", async () => {
  const { teams } = member.viewer;
  const { rows } = await withConnection(em, (client) =>
    client.query<{ name: string }>(
      `WITH hidden AS (SELECT id, name FROM projects WHERE manager_id IS DISTINCT FROM $1 ORDER BY id LIMIT 1),
            gone AS (DELETE FROM project_teams WHERE project_id IN (SELECT id FROM hidden) AND team_id = ANY($2)),
            kept AS (INSERT INTO project_teams (project_id, team_id)
              SELECT hidden.id, (SELECT id FROM teams WHERE id <> ALL($2) ORDER BY id LIMIT 1) FROM hidden ON CONFLICT DO NOTHING)
       SELECT name FROM hidden`,
      [member.viewer.person, teams],
    ),
  );
  const narrower = await deskFor(em, "tove", clock);
  expect(narrower.view.catalog.names.list("project").map((one) => one.name)).not.toContain(
    rows[0].name,
  );
  const saved = await tileOf("count items by priority as bars");
  await setShares(em, builder.viewer, "report", saved, [
    { everyone: true, person: null, team: null, mayChange: false },
  ]);
  const whyOf = async (name: string) => {
    const says = `project is "${name}"`;
    const { dropped } = await answerTile(em, narrower, {
      report: saved,
      narrowed: [{ id: "p", subject: "items", says }],
    });
    return dropped[0].why.replaceAll(name, "…");
  };
  expect(await whyOf(rows[0].name)).toBe(await whyOf("Never was one"));
});
