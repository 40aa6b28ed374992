import { importBundle, sweep, type EntityManager, type Viewer, addMail, mailsOf } from "@/data";
import { withConnection, unitOfWork } from "@/data/database";
import { PLAIN_DRESS } from "@/core/definition";
import type { CountReport } from "@/core/kinds";
import {
  acceptInvite,
  invite,
  setPasswords,
  signIn,
  viewerOfSession,
} from "@/server/accounts/signIn";
import { setShares } from "@/server/library/kept";
import { saveReport } from "@/server/library/reports";
import { keepFinding } from "@/server/reports/notes";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor, fixedClock } from "../support/desk";
import { viewerNamed } from "../support/viewer";
import type { Viewpoint } from "@/core/relation";

/** One act is one unit of work, and no failure of one is felt by another. */

let em: EntityManager;
let ines: Viewer;
let view: Viewpoint;

const COUNT: CountReport = {
  kind: "count",
  measures: [{ measure: "count" }],
  subject: { id: "items" },
  by: [],
};
const save = (name: string, more: { id?: number; version?: number } = {}) =>
  saveReport(em, ines, view, { name, definition: COUNT, dress: PLAIN_DRESS, ...more });
const saved = async (name: string) => {
  const result = await save(name);
  if (!result.ok) throw new Error(result.problems[0].message);
  return result.value;
};
const rows = async (text: string): Promise<Record<string, unknown>[]> =>
  (await withConnection(em, (client) => client.query<Record<string, unknown>>(text))).rows;

beforeAll(async () => {
  em = await freshDatabase("units");
  await importBundle(
    em,
    {
      statuses: { columns: ["status", "stage"], rows: [["Logged", "waiting"]] },
      people: {
        columns: ["login", "name", "role", "active"],
        rows: [
          ["ines", "Inês Duarte", "builder", "yes"],
          ["mika", "Mika Brandt", "member", "yes"],
        ],
      },
      items: {
        columns: ["key", "status", "created_at"],
        rows: [["A1", "Logged", "2026-11-01T09:00:00Z"]],
      },
    },
    { now: 0 },
  );
  ines = await viewerNamed(em, "ines");
  ({ view } = await deskFor(em, "ines", fixedClock));
});
afterAll(dropDatabase);

test("sharing with somebody unknown is refused, changes nothing, and harms no other request", async () => {
  const { id } = await saved("Shared");
  const share = { everyone: false, team: null, mayChange: false };
  await setShares(em, ines, "report", id, [{ ...share, person: ines.person }]);
  const refusals = await Promise.all(
    Array.from({ length: 40 }, () =>
      setShares(em, ines, "report", id, [{ ...share, person: 999_999 }]),
    ),
  );
  expect(refusals.every((one) => !one.ok && one.problems[0].code === "shares.nobody")).toBe(true);
  const others = await Promise.all(Array.from({ length: 20 }, () => rows("SELECT 1 AS one")));
  expect(others.every(([row]) => row.one === 1)).toBe(true);
  expect(await rows(`SELECT person_id FROM shares WHERE target_id = ${id}`)).toEqual([
    { person_id: ines.person },
  ]);
});

test("a report without its version is not saved", async () => {
  const [{ next }] = await rows("SELECT nextval('reports_id_seq')::int + 1 AS next");
  await rows(
    `INSERT INTO reports (id, name, definition, dress, owner_id, updated_by_id) VALUES (${Number(next) + 500}, 'x', '{}', '{}', ${ines.person}, ${ines.person})`,
  );
  // The version that the next report would get is taken: its save fails after the report itself was written.
  await rows(`ALTER TABLE versions ADD CONSTRAINT none_called_half CHECK (name <> 'Half')`);
  await expect(save("Half")).rejects.toThrow(/none_called_half/);
  expect(await rows("SELECT 1 FROM reports WHERE name = 'Half'")).toEqual([]);
  const whole = await saved("Whole");
  await expect(save("Half", whole)).rejects.toThrow(/none_called_half/);
  expect(await rows(`SELECT name, version FROM reports WHERE id = ${whole.id}`)).toEqual([
    { name: "Whole", version: 1 },
  ]);
  await rows(`ALTER TABLE versions DROP CONSTRAINT none_called_half`);
});

test("of many who save one report at once, one does and the others are told", async () => {
  const first = await saved("Contended");
  const all = await Promise.all(
    Array.from({ length: 12 }, (_, i) => save(`Contended ${i}`, first)),
  );
  expect(all.filter((one) => one.ok)).toHaveLength(1);
  const told = all.flatMap((one) => (one.ok ? [] : [one.problems[0]]));
  expect(told.every(({ code }) => code === "report.version")).toBe(true);
  expect(told[0].message).toContain("Inês Duarte saved this report meanwhile");
  expect(
    await rows(`SELECT version FROM versions WHERE target_id = ${first.id} ORDER BY 1`),
  ).toEqual([{ version: 1 }, { version: 2 }]);
});

test("more people than connections sign in at once, and all of them do", async () => {
  await setPasswords(em, [{ login: "ines", password: "low-tide-at-nine" }]);
  const opened = await Promise.all(
    Array.from({ length: 24 }, () => signIn(em, "ines", "low-tide-at-nine")),
  );
  expect(opened.every((one) => one.ok)).toBe(true);
});

test("an invitation that two take up at once is taken up by one, with its password and its session", async () => {
  const mika = await viewerNamed(em, "mika");
  const secret = (await invite(em, mika.person))!;
  const all = await Promise.all(
    ["first-of-two", "second-of-two"].map((password) => acceptInvite(em, secret, password)),
  );
  const [won] = all.filter((one) => one.ok);
  expect(all.filter((one) => one.ok)).toHaveLength(1);
  expect(won.ok && (await viewerOfSession(em, won.value))).toMatchObject({ login: "mika" });
  const password = all[0].ok ? "first-of-two" : "second-of-two";
  expect((await signIn(em, "mika", password)).ok).toBe(true);
});

test("an invitation whose session cannot be opened can still be used", async () => {
  const mika = await viewerNamed(em, "mika");
  const secret = (await invite(em, mika.person))!;
  await rows(`ALTER TABLE sessions ADD CONSTRAINT closed CHECK (false) NOT VALID`);
  await expect(acceptInvite(em, secret, "never kept at all")).rejects.toThrow(/closed/);
  await rows(`ALTER TABLE sessions DROP CONSTRAINT closed`);
  expect((await acceptInvite(em, secret, "kept after all")).ok).toBe(true);
});

test("a unit whose connection is cut off is told, and the connection is not given to another", async () => {
  await expect(
    unitOfWork(em, (unit) =>
      withConnection(unit, (client) =>
        client.query("SELECT pg_terminate_backend(pg_backend_pid())"),
      ),
    ),
  ).rejects.toThrow();
  const after = await Promise.all(Array.from({ length: 16 }, () => rows("SELECT 1 AS one")));
  expect(after.every(([row]) => row.one === 1)).toBe(true);
});

test("a unit within a unit is one: what fails outside takes back what was done inside", async () => {
  await expect(
    unitOfWork(em, async (unit) => {
      await saveReport(unit, ines, view, { name: "Inner", definition: COUNT, dress: PLAIN_DRESS });
      throw new Error("outside");
    }),
  ).rejects.toThrow("outside");
  expect(await rows("SELECT 1 FROM reports WHERE name = 'Inner'")).toEqual([]);
});

test("a mail with a NUL in it is kept, and the mail room goes on", async () => {
  const mail = {
    messageId: "",
    sender: "a@b.example",
    receivers: ["c@d.example"],
    bodyHtml: "",
    files: [],
  };
  await addMail(em, { ...mail, subject: "nul\u0000", bodyText: "one\u0000two" });
  await addMail(em, { ...mail, subject: "plain", bodyText: "three" });
  expect((await mailsOf(em, null)).map(({ subject, text }) => [subject, text])).toEqual([
    ["plain", "three"],
    ["nul", "onetwo"],
  ]);
});

test("what is swept away leaves nothing behind that hung on it", async () => {
  const { id } = await saved("Swept");
  await setShares(em, ines, "report", id, [
    { everyone: true, person: null, team: null, mayChange: false },
  ]);
  await keepFinding(em, ines, { report: id, words: "seen", address: "/reports", picture: null });
  await rows(
    `INSERT INTO pins (person_id, kind, target_id) VALUES (${ines.person}, 'report', ${id}); INSERT INTO opens (person_id, kind, target_id) VALUES (${ines.person}, 'report', ${id}); INSERT INTO day_notes (day, words, report_id, owner_id) VALUES ('2026-11-01', 'x', ${id}, ${ines.person}); UPDATE reports SET deleted_at = now() - interval '31 days' WHERE id = ${id}`,
  );
  await sweep(em);
  expect(await rows(`SELECT 1 FROM reports WHERE id = ${id}`)).toEqual([]);
  for (const table of ["shares", "versions", "pins", "opens"])
    expect([table, await rows(`SELECT 1 FROM ${table} WHERE target_id = ${id}`)]).toEqual([
      table,
      [],
    ]);
  for (const table of ["findings", "day_notes"])
    expect([table, await rows(`SELECT 1 FROM ${table} WHERE report_id = ${id}`)]).toEqual([
      table,
      [],
    ]);
});
