import { type ActId, actContracts } from "@/contract/acts";
import { findPersonByLogin, pinsOf, type EntityManager } from "@/data";
import { Refused } from "@/server/refused";
import type { CountReport, Report } from "@/core/kinds";
import { durationWords } from "@/core/base";
import { parseInstant } from "@/core/time";
import { PLAIN_DRESS } from "@/core/definition";
import { acts, perform } from "@/server/acts";
import type { Clock } from "@/server/clock";
import { binKept, setPin, setShares } from "@/server/library/kept";
import { listReports, loadReport, saveReport } from "@/server/library/reports";
import {
  boardsToChange,
  listDashboards,
  loadDashboard,
  saveDashboard,
} from "@/server/dashboards/dashboards";
import { find } from "@/server/library/find";
import { makeReadyMade } from "@/server/library/readyMade";
import { askFigure, askRecords, askValues } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf as readReport } from "../support/desk";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock: Clock = { now: () => NOW };
const EVERYONE = [{ everyone: true, person: null, team: null, mayChange: false }];
let em: EntityManager;
let builder: Desk;
let member: Desk;
let administrator: Desk;

const reportOf = (sentence: string, desk = builder): Report => readReport(sentence, desk);

beforeAll(async () => {
  em = await goldenDatabase("rooms");
  [builder, member, administrator] = [
    await deskFor(em, "ines", clock),
    await deskFor(em, "tove", clock),
    await deskFor(em, "gil", clock),
  ];
});
afterAll(dropDatabase);

describe("saving reports", () => {
  const save = (desk: Desk, more: object = {}) =>
    saveReport(em, desk.viewer, desk.view, {
      name: "Open items",
      definition: reportOf("count items where status is open by priority as bars"),
      dress: PLAIN_DRESS,
      ...more,
    });

  test("what was saved is found again, as it was", async () => {
    const saved = await save(builder);
    if (!saved.ok) throw new Error("not saved");
    expect(await loadReport(em, member.viewer, saved.value.id)).toBeNull();
    await setShares(em, builder.viewer, "report", saved.value.id, EVERYONE);
    const kept = await loadReport(em, member.viewer, saved.value.id);
    expect(kept).toMatchObject({
      name: "Open items",
      version: 1,
      dress: PLAIN_DRESS,
      owner: { name: "Inês Duarte" },
    });
    expect(kept!.definition).toEqual(
      reportOf("count items where status is open by priority as bars"),
    );
  });
  test("a member keeps reports of their own, and changes nobody else's", async () => {
    const own = await save(member);
    if (!own.ok) throw new Error(own.problems[0].message);
    expect(await loadReport(em, member.viewer, own.value.id)).toMatchObject({ mayChange: true });
    expect(await loadReport(em, builder.viewer, own.value.id)).toBeNull();
    const shared = [{ everyone: true, person: null, team: null, mayChange: true }];
    expect((await setShares(em, member.viewer, "report", own.value.id, shared)).ok).toBe(false);
    const others = await save(builder);
    if (!others.ok) throw new Error(others.problems[0].message);
    await setShares(em, builder.viewer, "report", others.value.id, shared);
    const { id, version } = others.value;
    expect(await save(member, { id, version })).toMatchObject({
      ok: false,
      problems: [{ code: "report.right" }],
    });
  });
  test("somebody of a client keeps nothing", async () => {
    const client: Desk = { ...member, viewer: { ...member.viewer, isClient: true } };
    expect(await save(client)).toMatchObject({ ok: false, problems: [{ code: "report.right" }] });
  });
  test.each([
    ["", "needs a name"],
    ["   ", "needs a name"],
    ["x".repeat(201), "at most 200"],
  ])("the name %j is refused", async (name, says) => {
    expect(await save(builder, { name })).toMatchObject({
      ok: false,
      problems: [{ path: "name", message: expect.stringContaining(says) }],
    });
  });
  test("what is no report is refused, and so is what does not fit together", async () => {
    expect(await save(builder, { definition: { kind: "count" } })).toMatchObject({ ok: false });
    const broken: CountReport = {
      ...(reportOf("count items by priority") as CountReport),
      by: [{ field: ["nothing"] }],
    };
    expect(await save(builder, { definition: broken })).toMatchObject({
      ok: false,
      problems: [{ code: "report.noField" }],
    });
    expect(
      await save(builder, { definition: { ...reportOf("count items"), shape: "bars" } }),
    ).toMatchObject({ ok: false, problems: [{ code: "report.shape" }] });
  });
  test("only the version that was seen is overwritten, and only by its owner or an administrator", async () => {
    const saved = await save(builder, { name: "Versions" });
    if (!saved.ok) throw new Error("not saved");
    const { id } = saved.value;
    expect(await save(builder, { id, version: 1, name: "Versions, newer" })).toMatchObject({
      ok: true,
      value: { version: 2 },
    });
    expect(await save(builder, { id, version: 1 })).toMatchObject({
      ok: false,
      problems: [{ code: "report.version", message: expect.stringContaining("Inês Duarte") }],
    });
    const other = await deskFor(em, "ruth", clock);
    await setShares(em, builder.viewer, "report", id, EVERYONE);
    expect(await save(other, { id, version: 2 })).toMatchObject({
      ok: false,
      problems: [{ code: "report.owner" }],
    });
    expect(await save(administrator, { id, version: 2 })).toMatchObject({ ok: true });
    expect(await binKept(em, other.viewer, "report", id)).toMatchObject({ ok: false });
    expect(await binKept(em, builder.viewer, "report", id)).toEqual({ ok: true, value: true });
    expect(await loadReport(em, builder.viewer, id)).toBeNull();
    expect(await save(builder, { id, version: 3 })).toMatchObject({
      ok: false,
      problems: [{ code: "report.none" }],
    });
  });
  test("pins are each person's own", async () => {
    const [line] = await listReports(em, builder.viewer, builder.view.catalog);
    await setPin(em, builder.viewer, "report", line.id, true);
    await setPin(em, builder.viewer, "report", line.id, true);
    expect(await pinsOf(em, builder.viewer)).toEqual([
      { kind: "report", id: line.id, name: line.name },
    ]);
    expect(await pinsOf(em, member.viewer)).toEqual([]);
    await setPin(em, builder.viewer, "report", line.id, false);
    expect(await pinsOf(em, builder.viewer)).toEqual([]);
  });
});

describe("dashboards", () => {
  const tile = { id: "a", report: 1, x: 0, y: 0, w: 5, h: 6 };
  test("are saved, found, overwritten by version and put into the bin", async () => {
    const saved = await saveDashboard(em, builder.viewer, {
      name: "Morning",
      purpose: "What is open?",
      tiles: [tile],
    });
    if (!saved.ok) throw new Error("not saved");
    const { id } = saved.value;
    expect(await loadDashboard(em, member.viewer, id)).toBeNull();
    await setShares(em, builder.viewer, "dashboard", id, EVERYONE);
    expect(await loadDashboard(em, member.viewer, id)).toMatchObject({
      name: "Morning",
      tiles: [tile],
      mayChange: false,
    });
    expect(await loadDashboard(em, builder.viewer, id)).toMatchObject({ mayChange: true });
    expect((await boardsToChange(em, builder.viewer)).map((board) => board.id)).toContain(id);
    expect(await boardsToChange(em, member.viewer)).toEqual([]);
    expect(
      await saveDashboard(em, builder.viewer, {
        id,
        version: 1,
        name: "Morning, wider",
        tiles: [],
      }),
    ).toMatchObject({ ok: true, value: { version: 2 } });
    expect(
      await saveDashboard(em, builder.viewer, { id, version: 1, name: "Late", tiles: [] }),
    ).toMatchObject({ ok: false, problems: [{ code: "dashboard.version" }] });
    expect(await binKept(em, member.viewer, "dashboard", id)).toMatchObject({ ok: false });
    expect(await binKept(em, builder.viewer, "dashboard", id)).toMatchObject({ ok: true });
    expect((await listDashboards(em, builder.viewer)).map((line) => line.id)).not.toContain(id);
  });
  test.each([
    [{ ...tile, x: 12 }],
    [{ ...tile, w: 13 }],
    [{ ...tile, h: 0 }],
    [{ ...tile, id: "" }],
  ])("a tile off the grid is refused", async (wrong) => {
    expect(
      await saveDashboard(em, builder.viewer, { name: "Wrong", tiles: [wrong] }),
    ).toMatchObject({ ok: false });
  });
  test("a name is needed", async () => {
    expect(await saveDashboard(em, builder.viewer, { name: " ", tiles: [] })).toMatchObject({
      ok: false,
      problems: [{ path: "name" }],
    });
    expect(await saveDashboard(em, member.viewer, { name: "Mine", tiles: [] })).toMatchObject({
      ok: false,
      problems: [{ code: "dashboard.right" }],
    });
  });
  test("ready-made ones fit the workspace's own fields", async () => {
    await makeReadyMade(em, (await findPersonByLogin(em, "ruth"))!);
    const board = (await listDashboards(em, builder.viewer)).find(
      (line) => line.name === "Desk morning",
    )!;
    expect(board.tiles).toBeGreaterThanOrEqual(6);
  });
});

describe("the report room", () => {
  test("a figure comes with its sentence, and says when it is of", async () => {
    const shown = await askFigure(
      em,
      builder,
      reportOf("count items where status is open by priority as bars"),
      PLAIN_DRESS,
    );
    if (shown.kind !== "count") throw new Error("not a count");
    expect(shown.asOf).toBe("15:30");
    expect(shown.figure.rows.map((row) => row.label)).toEqual(["P1", "P2", "P3", "P4", "not set"]);
    expect(shown.says.map((said) => said.text).join("")).toMatch(
      /^On 24 Nov 2026 \d+ items were open; \d+ of them under P3\.$/,
    );
  });
  test("as it stood is told", async () => {
    const shown = await askFigure(
      em,
      builder,
      reportOf("count items where status is open by priority as it stood on 2026-10-31 as bars"),
      PLAIN_DRESS,
    );
    expect(shown.asOf).toBe("Sat 31 Oct 2026, as it stood");
  });
  test("records come in words: names, dates with their weekday, durations", async () => {
    const records = await askRecords(em, builder, reportOf("list items where key is D1"), {
      showing: [["key"], ["assignee"], ["created"], ["lead time"], ["tags"], ["gone"]],
      sorts: [],
      offset: 0,
      limit: 10,
    });
    expect(records.columns.map((column) => column.words)).toEqual([
      "key",
      "assignee",
      "created",
      "lead time",
      "tags",
    ]);
    expect(records.rows[0].cells.slice(0, 3)).toEqual([
      "D1",
      "Bram Okoro",
      "Mon 2 Nov 2026, 09:00",
    ]);
    expect(records.rows[0].cells[4]).toBe("storm, berth 2");
  });
  test.each([
    [5, "5 min"],
    [90, "1 h 30 min"],
    [1440, "1 d"],
    [1500, "1 d 1 h"],
    [41 * 1440 + 300, "41 d"],
  ])("%d minutes are %s", (minutes, words) => expect(durationWords(minutes)).toBe(words));
  test("a picker counts what each value would give, without the condition in hand", async () => {
    const report = reportOf("count items where status is open and priority is P1");
    const lines = await askValues(em, builder, report, ["priority"], 1);
    const whole = await askFigure(
      em,
      builder,
      reportOf("count items where status is open by priority"),
      PLAIN_DRESS,
    );
    if (whole.kind !== "count") throw new Error("not a count");
    const counts = Object.fromEntries(
      whole.answer.rows.map((row) => [row.path[0].label, row.cells[0].records]),
    );
    expect(lines.map((line) => [line.label, line.count])).toEqual(
      ["P1", "P2", "P3", "P4"].map((label) => [label, counts[label] ?? 0]),
    );
  });
  test("values of texts are those that are there", async () => {
    expect((await askValues(em, builder, reportOf("count items"), ["vessel"])).length).toBe(0);
    const vessel = builder.view.catalog
      .fieldsOf("items")
      .find((field) => field.words === "vessel")!;
    expect(
      (await askValues(em, builder, reportOf("count items"), [vessel.id])).map(
        (line) => line.label,
      ),
    ).toEqual(["Grey Heron", "Little Auk", "Tern 2", "Tern 10"]);
  });
});

describe("the quick box", () => {
  const kinds = async (words: string) => (await find(em, builder, words)).map((one) => one.kind);
  test("takes a sentence", async () =>
    expect(await kinds("count items by priority")).toEqual(["sentence"]));
  test("takes a key, whatever its case", async () =>
    expect((await find(em, builder, "d4"))[0]).toMatchObject({ kind: "item", href: "/items/D4" }));
  test("takes a name", async () => expect(await kinds("desk morning")).toEqual(["dashboard"]));
  test("finds titles", async () =>
    expect((await find(em, builder, "berth radio 4"))[0]).toMatchObject({
      words: "D1 Berth radio 4: hiss, then nothing",
    }));
  test.each(["created resolved", "opened vs closed", "what came and went"])(
    "offers arrivals and departures to who looks for %s",
    async (words) =>
      expect((await find(em, builder, words))[0].words).toMatch(
        /^arrivals and departures of items/,
      ),
  );
  test("offers trends to who looks for one", async () =>
    expect((await find(em, builder, "trend")).map((one) => one.words)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^level of|^count items by week/)]),
    ));
  test("finds nothing for nothing", async () => expect(await kinds("  ")).toEqual([]));
});

describe("the gate of the rooms", () => {
  test("only administrators have the acts of administrators", () => {
    const guarded = (Object.keys(acts) as ActId[]).filter((id) => "roles" in acts[id]);
    expect(guarded.sort()).toEqual([
      "dropTemplate",
      "import",
      "invite",
      "saveTemplate",
      "setBrand",
    ]);
  });
  test("what does not fit together is refused before it is planned", async () => {
    const definition = {
      ...(reportOf("count items by priority") as CountReport),
      by: [{ field: ["created"] }],
    };
    await expect(async () =>
      perform("figure", { em, desk: builder, clock }, { definition, dress: PLAIN_DRESS }),
    ).rejects.toThrow(Refused);
  });
  test.each(Object.keys(acts) as ActId[])("%s refuses what it is not asked", (id) => {
    expect(actContracts[id].asks.safeParse("nonsense").success).toBe(false);
  });
});
