import { importBundle, newSession, type EntityManager } from "@/data";
import { parseInstant } from "@/core/time";
import { readingsOf } from "@/server/questions/readings";
import { forget, noteDoubted, teach, wordsShown } from "@/server/questions/words";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { PLAIN_DRESS } from "@/core/definition";
import { withConnection } from "@/data/database";
import { saveReport } from "@/server/library/reports";
import { suggestionsOf } from "@/server/questions/suggestions";
import { deskFor, reportOf } from "../support/desk";

/** What words of the desk mean, for whom, and what is kept of questions that were in doubt. */
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
let em: EntityManager;
let administrator: Desk;
let builder: Desk;
let member: Desk;

beforeAll(async () => {
  em = await goldenDatabase("questions");
  [administrator, builder, member] = [
    await deskFor(em, "gil", clock),
    await deskFor(em, "ines", clock),
    await deskFor(em, "tove", clock),
  ];
});
afterAll(dropDatabase);

const sentences = async (desk: Desk, question: string) =>
  (await readingsOf(em, desk, question)).readings.map(({ sentence, isSure }) => [sentence, isSure]);

test("a reading comes with its figure, other questions with theirs", async () => {
  const { readings, near } = await readingsOf(em, administrator, "open faults by priority");
  expect(readings).toMatchObject([
    {
      sentence: "count faults where status is open by priority",
      pictured: "count faults where status is open by priority as bars",
      isSure: true,
    },
  ]);
  expect(Number(readings[0].figure!.replace(/\D/g, ""))).toBeGreaterThan(0);
  expect(near.map(({ label }) => label)).toContain("by month");
});

test("read without being counted, the readings are the same and have no figures yet", async () => {
  const question = "urgent faults by priority";
  const counted = await readingsOf(em, administrator, question);
  const read = await readingsOf(em, administrator, question, false);
  const bare = (one: object) => ({ ...one, figure: null });
  expect(read.readings).toEqual(counted.readings.map(bare));
  expect(read.near).toEqual(counted.near.map(bare));
  expect(read.there).toEqual(counted.there);
  expect(counted.readings.every(({ figure }) => figure !== null)).toBe(true);
});

test("what one chose is so for oneself and for nobody else, and is forgotten again", async () => {
  expect(await sentences(builder, "urgent faults")).toHaveLength(2);
  const taught = await teach(em, builder, {
    words: "urgent",
    means: "priority is any of (P1, P2)",
    forAll: false,
  });
  expect(await sentences(builder, "Urgent faults")).toEqual([
    ["list faults where priority is any of (P1, P2)", true],
  ]);
  expect(await sentences(member, "urgent faults")).toHaveLength(2);
  const id = taught.ok ? taught.value : 0;
  expect(await forget(em, member, id)).toMatchObject({ ok: false });
  expect(await forget(em, builder, id)).toMatchObject({ ok: true });
  expect(await sentences(builder, "urgent faults")).toHaveLength(2);
});

test("a builder says it for everyone; one's own word comes first; a member may not, and a condition has to be one", async () => {
  expect(
    await teach(em, member, { words: "loud", means: "priority is P1", forAll: true }),
  ).toMatchObject({ ok: false, problems: [{ code: "words.right" }] });
  for (const means of [
    "priority is P99",
    "nonsense",
    "status is open by team",
    "status is open as bars",
  ])
    expect([means, await teach(em, builder, { words: "loud", means, forAll: true })]).toMatchObject(
      [means, { ok: false, problems: [{ code: "words.means", path: "means" }] }],
    );
  await teach(em, builder, { words: "loud", means: "priority is P1", forAll: true });
  await teach(em, builder, { words: "Loud", means: "priority is any of (P1, P2)", forAll: true });
  expect(await sentences(member, "loud faults")).toEqual([
    ["list faults where priority is any of (P1, P2)", true],
  ]);
  await teach(em, member, { words: "loud", means: "priority is P2", forAll: false });
  expect(await sentences(member, "loud faults")).toEqual([
    ["list faults where priority is P2", true],
  ]);
  expect((await wordsShown(em, builder)).taught).toMatchObject([
    { words: "Loud", isForAll: true, by: "Inês Duarte" },
  ]);
});

test("what a builder keeps for everyone is no longer their own beside it", async () => {
  const means = "priority is P3";
  await teach(em, builder, { words: "mild", means, forAll: false });
  await teach(em, builder, { words: "Mild", means, forAll: true });
  const { taught } = await wordsShown(em, builder);
  expect(taught.filter(({ words }) => words.toLowerCase() === "mild")).toMatchObject([
    { words: "Mild", means, isForAll: true },
  ]);
});

test("of several readings the first is what the reports say that one may see", async () => {
  const first = async (desk: Desk) => (await sentences(desk, "important faults"))[0][0];
  expect(await first(builder)).toBe("list faults where priority is P1");
  for (const by of ["team", "service"])
    await saveReport(em, builder.viewer, builder.view, {
      name: `By ${by}`,
      definition: reportOf(`count faults where priority is any of (P1, P2) by ${by}`, builder),
      dress: PLAIN_DRESS,
    });
  expect(await first(builder)).toBe("list faults where priority is any of (P1, P2)");
  // They are the builder's own: nobody else's readings change by them.
  expect(await first(member)).toBe("list faults where priority is P1");
  expect((await sentences(builder, "important faults")).every(([, isSure]) => !isSure)).toBe(true);
});

test("a word of everyone's that names what one may not know is not there for one, as if it had never been said", async () => {
  const words = "the quiet ones";
  const projects = { columns: ["project", "teams"], rows: [["Secret quay", "Quay"]] };
  await importBundle(em, { projects }, { now: NOW });
  [administrator, member] = [await deskFor(em, "gil", clock), await deskFor(em, "tove", clock)];
  const before = [await sentences(member, `open ${words}`), await wordsShown(em, member)];
  const means = 'project is "Secret quay"';
  expect(await teach(em, administrator, { words, means, forAll: true })).toMatchObject({
    ok: true,
  });
  expect(await sentences(administrator, `open ${words}`)).toMatchObject([
    [expect.any(String), true],
  ]);
  expect([await sentences(member, `open ${words}`), await wordsShown(em, member)]).toEqual(before);
});

test("two who teach the same words at once leave one of them; what is kept of one person is bounded", async () => {
  const sessions = [await newSession(), await newSession(), await newSession()];
  await Promise.all(
    sessions.map((one, i) =>
      teach(one, builder, { words: "shaky", means: `priority is P${i + 1}`, forAll: false }),
    ),
  );
  const { taught } = await wordsShown(em, builder);
  expect(taught.filter((one) => one.words === "shaky")).toHaveLength(1);
  for (let n = 0; n < 120; n += 1) await noteDoubted(em, builder, `moon ${n % 110} xyzzy`, null);
  const { rows } = await withConnection(em, (client) =>
    client.query("SELECT question FROM doubted_questions WHERE person_id = $1", [
      builder.viewer.person,
    ]),
  );
  expect(rows).toHaveLength(100);
  await withConnection(em, (client) => client.query("DELETE FROM doubted_questions"));
});

test("signs of patterns in taught words are only signs", async () => {
  await teach(em, builder, { words: "gate (old).*", means: "priority is P1", forAll: true });
  expect(await sentences(member, "faults gate (old).*")).toEqual([
    ["list faults where priority is P1", true],
  ]);
  expect((await sentences(member, "faults gate older"))[0]?.[1]).not.toBe(true);
});

test("questions in doubt are kept for administrators, sure ones are not", async () => {
  await noteDoubted(em, member, "faults that nobody understands", null);
  await noteDoubted(em, member, "open faults by team", "count faults");
  await noteDoubted(em, member, "   ", null);
  expect((await wordsShown(em, administrator)).doubted).toMatchObject([
    { question: "faults that nobody understands", by: member.viewer.name, chosen: null },
  ]);
  expect((await wordsShown(em, builder)).doubted).toEqual([]);
});

describe("what is worth asking", () => {
  const query = (text: string) => withConnection(em, (client) => client.query(text));
  test("what one opened last comes first, then what one's team opens; each may be read, and has its figure", async () => {
    const saved: number[] = [];
    for (const name of ["Mine", "Theirs", "Private"]) {
      const one = await saveReport(em, builder.viewer, builder.view, {
        name,
        definition: reportOf(`count items where title contains "${name}"`, builder),
        dress: PLAIN_DRESS,
      });
      if (one.ok) saved.push(one.value.id);
    }
    const [mine, theirs] = saved;
    await query(
      `INSERT INTO opens (kind, target_id, person_id, at) VALUES
        ('report', ${mine}, ${builder.viewer.person}, now()),
        ('report', ${theirs}, (SELECT min(person_id) FROM team_members WHERE team_id = ANY('{${builder.viewer.teams.join(",")}}') AND person_id <> ${builder.viewer.person}), now())`,
    );
    const lines = await suggestionsOf(em, builder);
    expect(lines.filter(({ why }) => why !== "unusual")).toEqual([
      { label: "Mine", why: "asked last", href: `/reports/${mine}`, figure: "0" },
      { label: "Theirs", why: "asked by your team", href: `/reports/${theirs}`, figure: "0" },
    ]);
    expect((await suggestionsOf(em, member)).map(({ label }) => label)).not.toContain("Private");
  });
  test("a week with far more than usual is told, with the count and what is usual", async () => {
    const [{ name }] = builder.view.catalog.names.list("service");
    const rows = Array.from({ length: 9 }, (_, n) => [
      `U${n}`,
      "fault",
      "more",
      "Logged",
      name,
      `2026-11-18T10:0${n}:00Z`,
    ]);
    const columns = ["key", "kind", "title", "status", "service", "created_at"];
    await importBundle(em, { items: { columns, rows } }, { now: NOW });
    const [first] = await suggestionsOf(em, administrator);
    expect(first).toMatchObject({ why: "unusual" });
    expect(first.label).toMatch(/: (9|1\d) came last week, usually [01]/);
    const sentence = new URLSearchParams(first.href.split("?")[1]).get("s")!;
    expect(reportOf(sentence, administrator).kind).toBe("count");
  });
});
