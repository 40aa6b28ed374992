import { Refused } from "@/server/refused";
import { PLAIN_DRESS } from "@/core/definition";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import type { FindingLine } from "@/contract/notes";
import { perform } from "@/server/acts";
import type { Clock } from "@/server/clock";
import { setShares } from "@/server/library/kept";
import { saveReport } from "@/server/library/reports";
import {
  dropDayNote,
  keepFinding,
  listDayNotes,
  listFindings,
  listNotices,
  noticeSeen,
  saveDayNote,
  tellOnce,
} from "@/server/reports/notes";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf } from "../support/desk";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock: Clock = { now: () => NOW };
const PICTURE = "data:image/svg+xml;base64,PHN2Zy8+";
let em: EntityManager;
let builder: Desk;
let other: Desk;
let member: Desk;
let administrator: Desk;
let report: number;

beforeAll(async () => {
  em = await goldenDatabase("notes");
  [builder, other, member, administrator] = await Promise.all(
    ["ines", "ruth", "tove", "gil"].map((login) => deskFor(em, login, clock)),
  );
  const saved = await saveReport(em, builder.viewer, builder.view, {
    name: "Followed",
    definition: reportOf(
      "level of items where status is open at month ends for last 6 months as line",
      builder,
    ),
    dress: PLAIN_DRESS,
  });
  if (!saved.ok) throw new Error("not saved");
  report = saved.value.id;
});
afterAll(dropDatabase);

const keep = (desk: Desk, input: Record<string, unknown>) =>
  perform(
    "keepFinding",
    { em, desk, clock },
    { report, words: "It doubled", address: "/reports/new?s=x", picture: null, ...input },
  );
const found = (desk: Desk) =>
  perform("findings", { em, desk, clock }, { id: report }) as Promise<FindingLine[]>;

describe("findings", () => {
  test("are kept with their report, the latest first, with words, picture, address and who found them", async () => {
    await keep(builder, {});
    await keep(builder, { words: "And fell again", picture: PICTURE, address: "/reports/new?s=y" });
    expect(
      (await found(builder)).map(({ words, picture, owner, address }) => ({
        words,
        picture,
        owner,
        address,
      })),
    ).toEqual([
      {
        words: "And fell again",
        picture: PICTURE,
        owner: "Inês Duarte",
        address: "/reports/new?s=y",
      },
      { words: "It doubled", picture: null, owner: "Inês Duarte", address: "/reports/new?s=x" },
    ]);
  });
  test("somebody who may not read the report neither sees nor adds any, and is not told that it is there", async () => {
    expect(await found(member)).toEqual([]);
    await expect(keep(member, {})).rejects.toMatchObject({ status: 404 });
    await expect(keep(member, { report: 987_654 })).rejects.toMatchObject({ status: 404 });
    await setShares(em, builder.viewer, "report", report, [
      { everyone: false, person: member.viewer.person, team: null, mayChange: false },
    ]);
    expect(await found(member)).toHaveLength(2);
    await keep(member, { words: "Mine, too" });
    expect((await found(builder))[0]).toMatchObject({
      words: "Mine, too",
      owner: "Tove Lindqvist",
    });
  });
  test.each([
    ["https://elsewhere.example/", "finding.address"],
    ["//elsewhere.example/", "finding.address"],
    ["reports/1", "finding.address"],
  ])("the address %s leads out and is refused", async (address, code) => {
    expect(
      await keepFinding(em, builder.viewer, { report, words: "x", address, picture: null }),
    ).toMatchObject({ ok: false, problems: [{ code }] });
  });
  test.each([
    "https://elsewhere.example/x.png",
    "/api/mail/1",
    "data:text/html;base64,eA==",
    "javascript:alert(1)",
  ])("the picture %s is none of its own and is refused", async (picture) => {
    expect(
      await keepFinding(em, builder.viewer, { report, words: "x", address: "/reports/1", picture }),
    ).toMatchObject({ ok: false, problems: [{ code: "finding.picture" }] });
    await expect(keep(builder, { picture })).rejects.toBeInstanceOf(Refused);
  });
  test("what was refused is nowhere", async () =>
    expect((await listFindings(em, report)).map((finding) => finding.words)).toEqual([
      "Mine, too",
      "And fell again",
      "It doubled",
    ]));
});

describe("day notes", () => {
  const note = (more: Record<string, unknown> = {}) =>
    ({ day: "2026-11-09", words: "Storm", service: null, report: null, ...more }) as Parameters<
      typeof saveDayNote
    >[2];
  test("those of everywhere are seen on every report, those of one report on that one, by day", async () => {
    expect(await saveDayNote(em, builder.viewer, note())).toMatchObject({ ok: true });
    expect(
      await saveDayNote(
        em,
        builder.viewer,
        note({ day: "2026-10-01", words: "New readers", report }),
      ),
    ).toMatchObject({ ok: true });
    expect((await listDayNotes(em, other.viewer, report)).map(({ words }) => words)).toEqual([
      "Storm",
    ]);
    const reader = { everyone: false, person: other.viewer.person, team: null, mayChange: false };
    await setShares(em, builder.viewer, "report", report, [reader]);
    expect(
      (await listDayNotes(em, other.viewer, report)).map(({ day, words, mayChange }) => [
        day,
        words,
        mayChange,
      ]),
    ).toEqual([
      ["2026-10-01", "New readers", false],
      ["2026-11-09", "Storm", false],
    ]);
    expect(
      (await listDayNotes(em, builder.viewer, null)).map(({ words, mayChange }) => [
        words,
        mayChange,
      ]),
    ).toEqual([["Storm", true]]);
  });
  test("a member writes none and is told whom to ask", async () => {
    expect(await saveDayNote(em, member.viewer, note())).toMatchObject({
      ok: false,
      problems: [{ code: "note.right", message: expect.stringContaining("ask a builder") }],
    });
  });
  test("only its owner or an administrator changes one or takes it away", async () => {
    const [storm] = await listDayNotes(em, builder.viewer, null);
    expect(
      await saveDayNote(em, other.viewer, note({ id: storm.id, words: "Calm" })),
    ).toMatchObject({ ok: false, problems: [{ message: "This note is somebody else's." }] });
    await dropDayNote(em, other.viewer, storm.id);
    expect((await listDayNotes(em, builder.viewer, null)).map((one) => one.words)).toEqual([
      "Storm",
    ]);
    expect(
      await saveDayNote(
        em,
        administrator.viewer,
        note({ id: storm.id, words: "Gale", day: "2026-11-10" }),
      ),
    ).toMatchObject({ ok: true });
    expect(
      (await listDayNotes(em, builder.viewer, null)).map(({ day, words }) => [day, words]),
    ).toEqual([["2026-11-10", "Gale"]]);
    await dropDayNote(em, builder.viewer, storm.id);
  });
});

describe("notices", () => {
  const notice = { about: "placed:7", words: "Web crew is not placed yet", href: "/reports/7" };
  test("are told once, to one person, until they are seen", async () => {
    await tellOnce(em, builder.viewer.person, notice);
    await tellOnce(em, builder.viewer.person, { ...notice, words: "again" });
    expect(await listNotices(em, builder.viewer)).toEqual([notice]);
    expect(await listNotices(em, other.viewer)).toEqual([]);
    await noticeSeen(em, other.viewer, notice.about);
    expect(await listNotices(em, builder.viewer)).toHaveLength(1);
    await noticeSeen(em, builder.viewer, notice.about);
    expect(await listNotices(em, builder.viewer)).toEqual([]);
    await tellOnce(em, builder.viewer.person, notice);
    expect(await listNotices(em, builder.viewer)).toEqual([]);
  });
});
