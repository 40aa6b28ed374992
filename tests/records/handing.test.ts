import type { Report } from "@/core/kinds";
import { parse } from "csv-parse/sync";
import Excel from "exceljs";
import { PLAIN_DRESS } from "@/core/definition";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import { exportReport, type ExportAsk } from "@/server/exports/exportReport";
import type { Drawer } from "@/server/render/drawer";
import { changeItems } from "@/server/items/changeItems";
import { saveReport } from "@/server/library/reports";
import { listMails, loadAttachment, mailAddress, openMailRoom } from "@/server/mail/mailRoom";
import { dropMailing, listMailings, saveMailing, sendDue, sendSoon } from "@/server/mail/mailings";
import { systemClock } from "@/server/clock";
import { compareWith, quickLook } from "@/server/reports/compare";
import {
  keepFinding,
  listDayNotes,
  listFindings,
  listNotices,
  saveDayNote,
  tellOnce,
} from "@/server/reports/notes";
import { askEmptied, askFigure, askRecords } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf as readReport } from "../support/desk";

/** What leaves the application and what is done from the records: files, mails, comparisons, changes. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let builder: Desk;
let member: Desk;

const reportOf = (sentence: string, desk = builder): Report => readReport(sentence, desk);
/** A drawer that draws the title: the real one needs a browser. */
const drawer: Drawer = {
  draw: async (ask, format) => new TextEncoder().encode(`${format} of ${ask.title}`),
  drawBriefing: async ({ title }) => new TextEncoder().encode(`pdf of ${title}`),
};
const asked = (
  format: ExportAsk["format"],
  sentence: string,
  more: Partial<ExportAsk> = {},
): ExportAsk => ({
  format,
  of: "records",
  report: reportOf(sentence),
  dress: PLAIN_DRESS,
  title: "Open ones",
  link: "/reports/1",
  ...more,
});
const file = async (ask: ExportAsk) => {
  const made = await exportReport(em, builder, drawer, ask);
  if ("why" in made) throw new Error(made.why);
  return made;
};
async function textOf(body: unknown): Promise<string> {
  if (typeof body === "string") return body;
  const chunks: Buffer[] = [];
  for await (const chunk of body as AsyncIterable<Buffer>) chunks.push(Buffer.from(chunk));
  return Buffer.concat(chunks).toString("utf8");
}

beforeAll(async () => {
  em = await goldenDatabase("handing");
  [builder, member] = [await deskFor(em, "ines", clock), await deskFor(em, "tove", clock)];
});
afterAll(dropDatabase);

describe("files", () => {
  const OPEN = "count items where status is open by priority split by team as stacked bars";
  test.each([
    ["csv", ","],
    ["tsv", "\t"],
  ] as const)("%s holds every record once, streamed, with its count", async (format, delimiter) => {
    const made = await file(asked(format, OPEN));
    const text = await textOf(made.body);
    const rows = parse(text, { delimiter, bom: true }) as string[][];
    const total = await askRecords(em, builder, reportOf(OPEN), {
      showing: [["key"]],
      sorts: [],
      offset: 0,
      limit: 500,
    });
    expect(rows.length - 1).toBe(total.count);
    expect(made.rows).toBe(total.count);
    expect(new Set(rows.slice(1).map((row) => row[0])).size).toBe(total.count);
    expect(made.name).toBe(`Open-ones.${format}`);
  });
  test("the records of one part only", async () => {
    const shown = await askFigure(em, builder, reportOf(OPEN), PLAIN_DRESS);
    if (shown.kind !== "count") throw new Error("not a count");
    const row = shown.answer.rows[0];
    const rows = parse(
      await textOf((await file(asked("csv", OPEN, { opened: { path: [row.path[0].key] } }))).body),
      { bom: true },
    ) as string[][];
    expect(rows.length - 1).toBe(row.cells[0].records);
  });
  test("a figure as a table has its groups, its parts and its total", async () => {
    const rows = parse(await textOf((await file(asked("csv", OPEN, { of: "figure" }))).body), {
      bom: true,
      relax_column_count: true,
    }) as string[][];
    expect(rows[0].length).toBeGreaterThan(2);
    expect(rows.length).toBeGreaterThan(4);
  });
  test("a duration goes out in the unit that its heading names", async () => {
    const list =
      "list items where status is open showing created, age, time spent, resolution target as list";
    const made = await file(asked("csv", list));
    const [headings, ...rows] = parse(await textOf(made.body), { bom: true }) as string[][];
    expect(headings.slice(1)).toEqual([
      "age (days)",
      "time spent (hours)",
      "resolution target (hours)",
    ]);
    expect(rows.length).toBeGreaterThan(5);
    for (const [created, age] of rows) {
      const days = (NOW / 1000 - Date.parse(`${created.replace(" ", "T")}Z`)) / 86_400_000;
      expect(Math.abs(Number(age) - days)).toBeLessThan(0.1);
    }
  });
  test("a flow goes out with one row for each crossing and when it was", async () => {
    const flow = "arrivals of items where assignee is bram by month for last 2 years";
    const [headings, ...rows] = parse(await textOf((await file(asked("csv", flow))).body), {
      bom: true,
    }) as string[][];
    expect(headings.at(-1)).toBe("came or went at");
    const shown = await askFigure(em, builder, reportOf(flow), PLAIN_DRESS);
    if (shown.kind !== "history" || shown.answer.kind !== "crossings") throw new Error("no flow");
    const crossings = shown.answer.rows.reduce(
      (sum, { crossing }) => sum + (crossing ? crossing.arrivals + crossing.departures : 0),
      0,
    );
    expect(rows).toHaveLength(crossings);
  });
  test("text that a spreadsheet would run is made harmless", async () => {
    await withConnection(em, (client) =>
      client.query("UPDATE items SET title = '=HYPERLINK(\"x\")' WHERE key = 'D1'"),
    );
    const text = await textOf(
      (await file(asked("csv", "list items where key is D1 showing key, title as list"))).body,
    );
    expect(text).toContain("'=HYPERLINK");
  });
  test("a spreadsheet has numbers and dates as such, a head that stays, and figure, records and workings on sheets of their own", async () => {
    const book = new Excel.Workbook();
    await book.xlsx.read(
      (await file(asked("xlsx", "count items where status is open by team as bars"))).body as never,
    );
    expect(book.worksheets).toHaveLength(3);
    const [figure, records, workings] = book.worksheets;
    expect(typeof figure.getRow(2).getCell(2).value).toBe("number");
    expect(records.views[0]).toMatchObject({ state: "frozen", ySplit: 1 });
    const head = records.getRow(1).values as string[];
    const created = head.indexOf("created");
    if (created > 0) expect(records.getRow(2).getCell(created).value).toBeInstanceOf(Date);
    expect(workings.rowCount).toBeGreaterThan(3);
  });
  test("JSON carries the same figure as the API, with how it was counted", async () => {
    const body = JSON.parse(await textOf((await file(asked("json", OPEN))).body)) as Record<
      string,
      unknown
    >;
    expect(JSON.stringify(body)).toContain("status is open");
    expect(Object.keys(body).length).toBeGreaterThan(1);
  });
  test("pictures are drawn by the browser, and what is no drawing says why", async () => {
    expect(new TextDecoder().decode((await file(asked("pdf", OPEN))).body as Uint8Array)).toBe(
      "pdf of Open ones",
    );
    expect(await exportReport(em, builder, drawer, asked("svg", "list items as list"))).toEqual({
      why: "this shape is not a drawing",
    });
    expect(await exportReport(em, builder, drawer, asked("png", "count items by team"))).toEqual({
      why: "choose a picture first",
    });
  });
});

describe("mailings and the mail room", () => {
  let room: Awaited<ReturnType<typeof openMailRoom>>;
  let report: number;
  const mailing = (more: object = {}) =>
    saveMailing(em, clock, builder.viewer, {
      kind: "report",
      target: report,
      every: "week",
      on: 1,
      at: "07:30",
      people: [builder.viewer.person],
      teams: [],
      skipEmpty: true,
      paper: "A4",
      across: true,
      ...more,
    } as never);
  beforeAll(async () => {
    room = await openMailRoom(0);
    process.env.GRAND_TALLY_SMTP = String(room.port);
    await withConnection(em, (client) =>
      client.query("UPDATE people SET email = login || '@saltmarsh.example'"),
    );
    const saved = await saveReport(em, builder.viewer, builder.view, {
      name: "Each Monday",
      definition: reportOf("count items where status is open by priority as bars"),
      dress: PLAIN_DRESS,
    });
    report = saved.ok ? saved.value.id : 0;
  });
  afterAll(() => room.close());

  test("a mail goes out through SMTP and is read in the mail room, with its file, by its receiver and by nobody else", async () => {
    const saved = await mailing();
    if (!saved.ok) throw new Error(saved.problems[0].message);
    expect(await sendDue(em, clock, drawer)).toBe(0);
    expect(await sendSoon(em, systemClock, builder.viewer, saved.value)).toMatchObject({
      ok: true,
    });
    expect(await sendDue(em, { now: () => (Date.now() + 1000) * 1000 }, drawer)).toBe(1);
    const [mail] = await listMails(em, await mailAddress(em, builder.viewer));
    expect(mail.subject).toContain("Each Monday");
    expect(mail.text).toContain("count items where status is open by priority as bars");
    expect(mail.to).toEqual(["ines@saltmarsh.example"]);
    expect(
      (await loadAttachment(
        em,
        mail.attachments[0].id,
        "ines@saltmarsh.example",
      ))!.bytes.toString(),
    ).toBe("pdf of Each Monday");
    expect(await loadAttachment(em, mail.attachments[0].id, "tove@saltmarsh.example")).toBeNull();
    expect(await listMails(em, await mailAddress(em, member.viewer))).toEqual([]);
    expect((await listMailings(em, builder))[0]).toMatchObject({ lastSaid: "sent to 1" });
    expect((await listMailings(em, builder))[0].nextAt! > "2026-11-24").toBe(true);
  });
  test("one that is empty for its receiver is skipped, and one that is not theirs to see is not sent", async () => {
    const none = await saveReport(em, builder.viewer, builder.view, {
      name: "Nothing",
      definition: reportOf('count items where title contains "no such title" by team as bars'),
      dress: PLAIN_DRESS,
    });
    const saved = await mailing({
      target: none.ok ? none.value.id : 0,
      people: [builder.viewer.person, member.viewer.person],
    });
    if (!saved.ok) throw new Error("not saved");
    await sendSoon(em, systemClock, builder.viewer, saved.value);
    await sendDue(em, { now: () => (Date.now() + 1000) * 1000 }, drawer);
    expect(
      (await listMailings(em, builder)).find((line) => line.id === saved.value)!.lastSaid,
    ).toBe("sent to 0; empty for 1, and skipped; not theirs to see for 1");
    await dropMailing(em, builder.viewer, saved.value);
    expect((await listMailings(em, builder)).map((line) => line.id)).not.toContain(saved.value);
  });
  test("it needs somebody to go to, something to send, and the right", async () => {
    expect(await mailing({ people: [] })).toMatchObject({
      ok: false,
      problems: [{ code: "mailing.nobody", path: "people" }],
    });
    expect(await mailing({ target: 99999 })).toMatchObject({ ok: false });
    expect(
      await saveMailing(em, clock, member.viewer, {
        kind: "report",
        target: report,
        every: "day",
        on: 1,
        at: "07:30",
        people: [1],
        teams: [],
        skipEmpty: false,
        paper: "A4",
        across: true,
      }),
    ).toMatchObject({ ok: false, problems: [{ code: "mailing.right" }] });
  });
});

describe("a figure held against another", () => {
  test("in both, only here, only there, and the condition that parts them", async () => {
    const here = reportOf("count items where status is open");
    const told = await compareWith(em, builder, here, undefined, {
      kind: "sentence",
      sentence: "count items where status is open and priority is any of (P1, P2)",
    });
    if (!told.ok) throw new Error(told.problems[0].message);
    const all = (
      await askRecords(em, builder, here, { showing: [["key"]], sorts: [], offset: 0, limit: 1 })
    ).count;
    expect(told.value.both + told.value.onlyHereCount).toBe(all);
    expect(told.value.onlyThereCount).toBe(0);
    expect(told.value.partedBy[0]).toMatchObject({
      says: "priority is any of (P1, P2)",
      side: "there",
      fails: told.value.onlyHereCount,
    });
  });
  test("pasted keys, with those that nobody knows", async () => {
    const told = await compareWith(
      em,
      builder,
      reportOf("count items where key is any of (D1, D2)"),
      undefined,
      { kind: "keys", text: "D1; D3\nNOPE-1" },
    );
    expect(told).toMatchObject({
      ok: true,
      value: { both: 1, onlyHereCount: 1, onlyThereCount: 1, unknown: ["NOPE-1"] },
    });
  });
  test("a sentence that does not read says where", async () => {
    expect(
      await compareWith(em, builder, reportOf("count items"), undefined, {
        kind: "sentence",
        sentence: "count fualts",
      }),
    ).toMatchObject({ ok: false });
  });
  test("a quick look counts what is missing and what comes more than once", async () => {
    const look = await quickLook(em, builder, reportOf("count items"), undefined, ["assignee"]);
    const missing = await askRecords(em, builder, reportOf("count items where assignee is empty"), {
      showing: [["key"]],
      sorts: [],
      offset: 0,
      limit: 1,
    });
    expect(look.missing).toBe(missing.count);
    expect(look.doubled.reduce((sum, one) => sum + one.count, 0)).toBeLessThanOrEqual(
      look.records - look.missing,
    );
  });
  test("the condition that empties a figure is the one without which it is not empty", async () => {
    const emptied = await askEmptied(
      em,
      builder,
      reportOf('count items where status is open and title contains "no such title"'),
    );
    expect(emptied[0]).toMatchObject({ index: 1 });
    expect(emptied[0].without).toBeGreaterThan(0);
  });
});

describe("changes from the records", () => {
  test("many at once, each a move; what cannot be changed is left and says why; the opposite moves bring all back", async () => {
    const { names } = builder.view.catalog;
    const [p1, p2] = names.list("priority");
    const desk = names.list("status");
    const foreign = desk.find((status) => status.workflow !== desk[0].workflow)!;
    const before = await withConnection(
      em,
      async (client) =>
        (
          await client.query<{ key: string; priority_id: number | null }>(
            "SELECT key, priority_id FROM items WHERE key IN ('D1', 'D2') ORDER BY key",
          )
        ).rows,
    );
    const told = await changeItems(em, clock, builder, [
      { key: "D1", field: "priority", to: String(p1.id) },
      { key: "D2", field: "priority", to: String(p2.id) },
      { key: "D1", field: "status", to: String(foreign.id) },
      { key: "GONE-1", field: "priority", to: String(p1.id) },
    ]);
    if (!told.ok) throw new Error(told.problems[0].message);
    expect(told.value.left).toEqual([
      { key: "D1", why: "that status is of another workflow" },
      { key: "GONE-1", why: "there is no such item" },
    ]);
    const back = await changeItems(
      em,
      clock,
      builder,
      told.value.changed.map(({ key, field, from, to }) => ({
        key,
        field,
        to: from,
        expected: to,
      })),
    );
    expect(back).toMatchObject({ ok: true, value: { left: [] } });
    expect(
      await withConnection(
        em,
        async (client) =>
          (
            await client.query(
              "SELECT key, priority_id FROM items WHERE key IN ('D1', 'D2') ORDER BY key",
            )
          ).rows,
      ),
    ).toEqual(before);
  });
  test.each([
    ["title", "x", "item.field"],
    ["status", null, "item.status"],
    ["priority", "999", "item.value"],
    ["due", "someday", "item.value"],
  ])("%s to %j is refused", async (field, to, code) => {
    expect(await changeItems(em, clock, builder, [{ key: "D1", field, to }])).toMatchObject({
      ok: false,
      problems: [{ code }],
    });
  });
});

describe("notes", () => {
  test("a day note is seen with its report, a finding is kept with its address, a notice is told once", async () => {
    expect(
      await saveDayNote(em, builder.viewer, {
        day: "2026-11-09",
        words: "Storm",
        service: null,
        report: null,
      }),
    ).toMatchObject({ ok: true });
    expect((await listDayNotes(em, member.viewer, null)).map((note) => note.words)).toEqual([
      "Storm",
    ]);
    expect(
      await keepFinding(em, builder.viewer, {
        report: null,
        words: "It doubled",
        address: "/reports/new?s=x",
        picture: null,
      }),
    ).toMatchObject({ ok: true });
    expect(await listFindings(em, 99999)).toEqual([]);
    const notice = { about: "placed:1", words: "Web crew is not placed yet", href: "/reports/1" };
    await tellOnce(em, builder.viewer.person, notice);
    await tellOnce(em, builder.viewer.person, notice);
    expect(await listNotices(em, builder.viewer)).toEqual([notice]);
  });
});
