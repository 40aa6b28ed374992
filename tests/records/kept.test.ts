import type { Report } from "@/core/kinds";
import { PLAIN_DRESS } from "@/core/definition";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import {
  bringDefinition,
  readDefinition,
  writeDefinition,
} from "@/server/definitions/definitionFile";
import { loadDashboard, saveDashboard } from "@/server/dashboards/dashboards";
import { loadDraft, keepDraft } from "@/server/library/drafts";
import { listFilters, saveFilter } from "@/server/library/filters";
import {
  binKept,
  listBin,
  listStrangers,
  reachOf,
  listShares,
  listVersions,
  restoreFromBin,
  setShares,
} from "@/server/library/kept";
import { saveMeasure } from "@/server/library/measures";
import {
  findTwins,
  listReports,
  loadReport,
  reportsOfFilter,
  saveReport,
} from "@/server/library/reports";
import { makeFirstReadyMade, readyMade } from "@/server/library/readyMade";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf as readReport } from "../support/desk";

/** Everything that is kept: who may see and change it, its versions, its drafts, its files. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
let em: EntityManager;
let builder: Desk;
let other: Desk;
let member: Desk;

const reportOf = (sentence: string, desk = builder): Report => readReport(sentence, desk);
const save = async (
  name: string,
  sentence = "count items where status is open by priority as bars",
  desk = builder,
): Promise<number> => {
  const saved = await saveReport(em, desk.viewer, desk.view, {
    name,
    definition: reportOf(sentence),
    dress: PLAIN_DRESS,
  });
  if (!saved.ok) throw new Error(saved.problems[0].message);
  return saved.value.id;
};
const share = (more: object = {}) => ({
  everyone: false,
  person: null,
  team: null,
  mayChange: false,
  ...more,
});

beforeAll(async () => {
  em = await goldenDatabase("kept");
  [builder, other, member] = [
    await deskFor(em, "ines", { now: () => NOW }),
    await deskFor(em, "ruth", { now: () => NOW }),
    await deskFor(em, "tove", { now: () => NOW }),
  ];
});
afterAll(dropDatabase);

describe("what sharing reaches", () => {
  const tile = (report: number) => ({ id: `t${report}`, report, x: 0, y: 0, w: 6, h: 4 });
  const boardOf = async (name: string, desk: Desk, reports: readonly number[]) => {
    const saved = await saveDashboard(em, desk.viewer, { name, tiles: reports.map(tile) });
    if (!saved.ok) throw new Error(saved.problems[0].message);
    return saved.value.id;
  };

  test("a dashboard names the reports that come with it, and a report the dashboards that hand it on", async () => {
    const [mine, theirs] = [await save("Comes"), await save("Of another", undefined, other)];
    await setShares(em, other.viewer, "report", theirs, [share({ person: builder.viewer.person })]);
    const board = await boardOf("Reaching", builder, [mine, theirs]);
    await setShares(em, builder.viewer, "dashboard", board, [share({ everyone: true })]);
    const reach = await reachOf(em, builder.viewer, "dashboard", board);
    expect(reach.reports.map((report) => report.name)).toEqual(["Comes", "Of another"]);
    expect((await reachOf(em, builder.viewer, "report", mine)).boards).toEqual([
      { id: board, name: "Reaching", with: ["everyone"] },
    ]);
    await setShares(em, other.viewer, "report", theirs, []);
    const after = await reachOf(em, builder.viewer, "dashboard", board);
    expect(after.reports.map((report) => report.name)).toEqual(["Comes"]);
  });

  test("chosen people who may not read it are named, and not to whoever may not read it either", async () => {
    const id = await save("For few");
    const asked = { kind: "report" as const, id, people: [member.viewer.person], teams: [] };
    expect(await listStrangers(em, builder.viewer, asked)).toEqual([
      { id: member.viewer.person, name: member.viewer.name },
    ]);
    expect(await listStrangers(em, member.viewer, asked)).toEqual([]);
    await setShares(em, builder.viewer, "report", id, [share({ person: member.viewer.person })]);
    expect(await listStrangers(em, builder.viewer, asked)).toEqual([]);
    expect((await reachOf(em, member.viewer, "report", await save("Hidden"))).boards).toEqual([]);
  });

  test("a dashboard that others may read makes nobody a stranger to its reports", async () => {
    const id = await save("On the wall");
    const board = await boardOf("Wall", builder, [id]);
    const asked = { kind: "report" as const, id, people: [member.viewer.person], teams: [] };
    expect(await listStrangers(em, builder.viewer, asked)).toHaveLength(1);
    await setShares(em, builder.viewer, "dashboard", board, [
      share({ person: member.viewer.person }),
    ]);
    expect(await listStrangers(em, builder.viewer, asked)).toEqual([]);
  });
});

describe("sharing", () => {
  test("a report is its owner's alone until it is shared, with a person, a team or everyone", async () => {
    const id = await save("Mine");
    expect(await loadReport(em, member.viewer, id)).toBeNull();
    await setShares(em, builder.viewer, "report", id, [share({ person: member.viewer.person })]);
    expect(await loadReport(em, member.viewer, id)).toMatchObject({
      name: "Mine",
      mayChange: false,
    });
    expect(await loadReport(em, other.viewer, id)).toBeNull();
    await setShares(em, builder.viewer, "report", id, [share({ team: other.viewer.team })]);
    expect(await loadReport(em, other.viewer, id)).not.toBeNull();
    await setShares(em, builder.viewer, "report", id, [share({ everyone: true })]);
    expect(
      (await listReports(em, member.viewer, member.view.catalog)).map((line) => line.name),
    ).toContain("Mine");
    expect(await listShares(em, member.viewer, "report", id)).toEqual([share({ everyone: true })]);
  });
  test("whoever may change it may save over it, put it into the bin, and share it on", async () => {
    const id = await save("Ours");
    await setShares(em, builder.viewer, "report", id, [
      share({ person: other.viewer.person, mayChange: true }),
    ]);
    expect(
      await saveReport(em, other.viewer, other.view, {
        id,
        version: 1,
        name: "Ours, better",
        definition: reportOf("count items by team as bars"),
        dress: PLAIN_DRESS,
      }),
    ).toMatchObject({ ok: true, value: { version: 2 } });
    expect(
      (
        await setShares(em, other.viewer, "report", id, [
          share({ everyone: true }),
          share({ person: other.viewer.person, mayChange: true }),
        ])
      ).ok,
    ).toBe(true);
    expect((await binKept(em, other.viewer, "report", id)).ok).toBe(true);
  });
  test("a member may change nothing, whatever is shared with them", async () => {
    const id = await save("Not theirs");
    await setShares(em, builder.viewer, "report", id, [
      share({ person: member.viewer.person, mayChange: true }),
    ]);
    expect(await loadReport(em, member.viewer, id)).toMatchObject({ mayChange: false });
    expect((await binKept(em, member.viewer, "report", id)).ok).toBe(false);
    expect((await setShares(em, member.viewer, "report", id, [])).ok).toBe(false);
  });
  test("a dashboard that one may see shows its reports", async () => {
    const id = await save("On a board");
    const board = await saveDashboard(em, builder.viewer, {
      name: "Board",
      tiles: [{ id: "a", report: id, x: 0, y: 0, w: 6, h: 6 }],
      forEveryone: true,
    });
    expect(board.ok && (await loadDashboard(em, member.viewer, board.value.id))).toBeTruthy();
    expect(await loadReport(em, member.viewer, id)).not.toBeNull();
  });
});

describe("a tile gives no right", () => {
  const tile = (report: number) => ({ id: `t${report}`, report, x: 0, y: 0, w: 6, h: 6 });
  const board = (desk: Desk, tiles: object[], more: object = {}) =>
    saveDashboard(em, desk.viewer, { name: "Theirs", tiles, ...more });
  test("nobody puts a report on a board that they may not read", async () => {
    const secret = await save("Secret");
    const tried = await board(other, [tile(secret)]);
    expect(tried.ok).toBe(false);
    expect(await loadReport(em, other.viewer, secret)).toBeNull();
  });
  test("who may change a board cannot read through it what its owner alone may", async () => {
    const secret = await save("Secret of the owner");
    const own = await board(builder, [], { forEveryone: false });
    if (!own.ok) throw new Error("not saved");
    await setShares(em, builder.viewer, "dashboard", own.value.id, [
      share({ person: other.viewer.person, mayChange: true }),
    ]);
    const { id, version } = own.value;
    expect((await board(other, [tile(secret)], { id, version })).ok).toBe(false);
    // Their own report stands there, and hands on what they may read: to the owner of the board, too.
    const theirs = await save("Theirs to show", undefined, other);
    expect((await board(other, [{ ...tile(theirs), by: 1 }], { id, version })).ok).toBe(true);
    expect(await loadReport(em, builder.viewer, theirs)).not.toBeNull();
  });
  test("a forged giver of a tile is not believed, and a lost right is lost on the board", async () => {
    const lent = await save("Lent");
    await setShares(em, builder.viewer, "report", lent, [share({ person: other.viewer.person })]);
    const made = await board(other, [{ ...tile(lent), by: builder.viewer.person }], {
      forEveryone: true,
    });
    expect(made.ok).toBe(true);
    expect(await loadReport(em, member.viewer, lent)).not.toBeNull();
    await setShares(em, builder.viewer, "report", lent, []);
    expect(await loadReport(em, other.viewer, lent)).toBeNull();
    expect(await loadReport(em, member.viewer, lent)).toBeNull();
  });
});

describe("versions, drafts and the bin", () => {
  test("every save is a version with its whole body", async () => {
    const id = await save("Versioned");
    await saveReport(em, builder.viewer, builder.view, {
      id,
      version: 1,
      name: "Versioned anew",
      definition: reportOf("count items by team as columns"),
      dress: { ...PLAIN_DRESS, subtitle: "of today" },
    });
    const versions = await listVersions(em, builder.viewer, "report", id);
    expect(versions.map((line) => [line.version, line.name])).toEqual([
      [2, "Versioned anew"],
      [1, "Versioned"],
    ]);
    expect(versions[0].report).toMatchObject({
      definition: { by: [{ field: ["team"] }] },
      dress: { subtitle: "of today" },
    });
    expect(await listVersions(em, member.viewer, "report", id)).toEqual([]);
  });
  test("a draft is each person's own, and gone once it is forgotten", async () => {
    const draft = {
      report: reportOf("count items"),
      dress: PLAIN_DRESS,
      name: "Half done",
      baseVersion: 0,
    };
    await keepDraft(em, builder.viewer, 0, draft);
    await keepDraft(em, builder.viewer, 0, { ...draft, name: "Nearly done" });
    expect(await loadDraft(em, builder.viewer, 0)).toEqual({ ...draft, name: "Nearly done" });
    expect(await loadDraft(em, other.viewer, 0)).toBeNull();
    await keepDraft(em, builder.viewer, 0, null);
    expect(await loadDraft(em, builder.viewer, 0)).toBeNull();
  });
  test("what lies in the bin is listed and taken out again by those who may change it", async () => {
    const id = await save("Thrown away");
    await binKept(em, builder.viewer, "report", id);
    expect((await listBin(em, builder.viewer)).map((line) => line.name)).toContain("Thrown away");
    expect(await listBin(em, member.viewer)).toEqual([]);
    expect((await restoreFromBin(em, other.viewer, "report", id)).ok).toBe(false);
    expect((await restoreFromBin(em, builder.viewer, "report", id)).ok).toBe(true);
    expect(await loadReport(em, builder.viewer, id)).not.toBeNull();
  });
});

describe("saved filters, named measures and twins", () => {
  const filter = (desk: Desk, more: object = {}) =>
    saveFilter(em, desk.viewer, desk.view, {
      name: "Loud",
      purpose: "what wakes us",
      subject: { id: "items" },
      where: reportOf("count items where priority is P1").where,
      ...more,
    });
  test("a filter is spelled out, used by reports, and cannot lead to itself", async () => {
    const saved = await filter(builder);
    if (!saved.ok) throw new Error("not saved");
    builder = await deskFor(em, "ines", { now: () => NOW });
    expect(
      (await listFilters(em, builder.viewer, builder.view.catalog)).map((line) => [
        line.name,
        line.says,
      ]),
    ).toContainEqual(["Loud", "priority is P1"]);
    const id = await save("Uses it", "count items where in filter Loud by team as bars");
    expect(
      (await reportsOfFilter(em, builder.viewer, builder.view.catalog, saved.value.id)).map(
        (line) => line.id,
      ),
    ).toEqual([id]);
    expect(
      await filter(builder, {
        id: saved.value.id,
        version: 1,
        where: reportOf("count items where in filter Loud").where,
      }),
    ).toMatchObject({ ok: false, problems: [{ code: "filter.itself" }] });
    expect(await filter(builder, { name: "loud" })).toMatchObject({
      ok: false,
      problems: [{ code: "filter.name" }],
    });
    expect(await filter(member)).toMatchObject({ ok: false, problems: [{ code: "filter.right" }] });
    expect(
      await filter(builder, {
        name: "Broken",
        where: { kind: "test", field: ["nothing"], operator: "is", values: [] },
      }),
    ).toMatchObject({ ok: false });
  });
  test("a measure has a name and says in one line what it means", async () => {
    expect(
      await saveMeasure(em, builder.viewer, builder.view, {
        name: "Effort",
        means: "points of all",
        subject: "items",
        measure: { measure: "sum", field: ["points"] },
      }),
    ).toMatchObject({ ok: true });
    expect(
      await saveMeasure(em, member.viewer, member.view, {
        name: "Mine",
        means: "x",
        subject: "items",
        measure: { measure: "count" },
      }),
    ).toMatchObject({ ok: false });
    expect(
      await saveMeasure(em, builder.viewer, builder.view, {
        name: "Wrong",
        means: "x",
        subject: "items",
        measure: { measure: "sum", field: ["title"] },
      }),
    ).toMatchObject({ ok: false });
  });
  test("a report that asks the same, or of the same records, is named", async () => {
    const id = await save(
      "The first",
      "count items where status is open and team is Desk by service as bars",
    );
    const twins = (sentence: string) =>
      findTwins(em, builder.viewer, builder.view.catalog, reportOf(sentence), null);
    expect(
      await twins("count items where status is open and team is Desk by service as donut"),
    ).toEqual([{ id, name: "The first", same: "sentence" }]);
    expect(await twins("count items where status is open and team is Desk by priority")).toEqual([
      { id, name: "The first", same: "conditions" },
    ]);
    expect(
      await findTwins(
        em,
        member.viewer,
        member.view.catalog,
        reportOf("count items where status is open and team is Desk by service"),
        null,
      ),
    ).toEqual([]);
  });
});

describe("definitions as files", () => {
  test("a report, a filter and a dashboard go out and come in, and say the same", async () => {
    const id = await save(
      "To and fro",
      "count items where status is open by service top 3 as donut",
    );
    const board = await saveDashboard(em, builder.viewer, {
      name: "Board to and fro",
      tiles: [{ id: "a", report: id, x: 0, y: 0, w: 6, h: 6 }],
    });
    for (const [kind, target] of [
      ["report", id],
      ["dashboard", board.ok ? board.value.id : 0],
    ] as const) {
      const written = await writeDefinition(em, builder, kind, target);
      const brought = await bringDefinition(em, builder, JSON.stringify(written!.file));
      expect(brought).toMatchObject({ ok: true, value: { kind } });
      if (!brought.ok) continue;
      expect((await writeDefinition(em, builder, kind, brought.value.id))!.file).toEqual(
        written!.file,
      );
    }
    expect(await writeDefinition(em, member, "report", id)).toBeNull();
  });
  test.each([
    ["no JSON at all", "{", "file.json", undefined],
    ["not one of ours", "{}", "file.kind", "grandTally"],
    ["a newer version", '{"grandTally": 99, "kind": "report"}', "file.version", undefined],
    [
      "an unknown key",
      '{"grandTally": 1, "kind": "report", "report": {"name": "x", "sentence": "count items"}, "surprise": 1}',
      "file.part",
      undefined,
    ],
    [
      "a wrong type",
      '{"grandTally": 1, "kind": "report", "report": {"name": 7, "sentence": "count items"}}',
      "file.part",
      "report.name",
    ],
  ])("a file with %s is refused with the place and the reason", (_what, text, code, path) => {
    const read = readDefinition(text);
    expect(read).toMatchObject({
      ok: false,
      problems: [expect.objectContaining({ code, ...(path ? { path } : {}) })],
    });
  });
});

describe("ready-made reports", () => {
  test("those that the workspace has words for are offered, in its own words", () => {
    const made = readyMade(builder.view);
    expect(made.length).toBeGreaterThan(8);
    expect(new Set(made.map((one) => one.name)).size).toBe(made.length);
  });
  test("they come with the first import only", async () => {
    const before = (await listReports(em, builder.viewer, builder.view.catalog)).length;
    await makeFirstReadyMade(em, builder.viewer.person);
    expect((await listReports(em, builder.viewer, builder.view.catalog)).length).toBe(before);
  });
});
