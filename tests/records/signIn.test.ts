import { importBundle, type EntityManager } from "@/data";
import { withConnection } from "@/data/database";
import {
  acceptInvite,
  firstAdministrator,
  invite,
  invitedPerson,
  MOST_FAILURES,
  needsFirstAdministrator,
  setPasswords,
  signIn,
  signOut,
  viewerOfSession,
} from "@/server/accounts/signIn";
import { makeToken, viewerOfToken } from "@/server/accounts/tokens";
import { dropDatabase, freshDatabase } from "../support/database";

let em: EntityManager;
beforeAll(async () => {
  em = await freshDatabase("sign_in");
  await importBundle(
    em,
    {
      statuses: { columns: ["status", "stage"], rows: [["Logged", "waiting"]] },
      people: {
        columns: ["login", "name", "email", "role", "active"],
        rows: [
          ["ines", "Inês Duarte", "ines@saltmarsh.example", "builder", "yes"],
          ["old", "Old Hand", "", "member", "no"],
          ["mika", "Mika Brandt", "", "member", "yes"],
        ],
      },
      items: {
        columns: ["key", "status", "created_at"],
        rows: [["A1", "Logged", "2026-11-01T09:00:00Z"]],
      },
    },
    { now: 0 },
  );
});
afterAll(dropDatabase);

test("an empty workspace gets its first administrator, once", async () => {
  expect(await needsFirstAdministrator(em)).toBe(true);
  const given = { workspace: "Ours", login: "runa", name: "Runa Vale", password: "long enough" };
  expect(await firstAdministrator(em, { ...given, password: "short" })).toMatchObject({
    ok: false,
    problems: [{ path: "password" }],
  });
  expect(await firstAdministrator(em, { ...given, login: "with space" })).toMatchObject({
    ok: false,
    problems: [{ path: "login" }],
  });
  const opened = await firstAdministrator(em, given);
  expect(opened.ok && (await viewerOfSession(em, opened.value))).toMatchObject({
    login: "runa",
    role: "administrator",
    visible: null,
  });
  expect(await needsFirstAdministrator(em)).toBe(false);
  expect(await firstAdministrator(em, { ...given, login: "other" })).toMatchObject({
    ok: false,
    problems: [{ code: "first.taken" }],
  });
});

test("passwords are stored as argon2id, sessions and tokens as hashes", async () => {
  await setPasswords(em, [{ login: "ines", password: "low-tide-at-nine" }]);
  const opened = await signIn(em, "ines", "low-tide-at-nine");
  const token = (await makeToken(em, "ines"))!;
  const kept = JSON.stringify(
    await withConnection(em, async (client) => [
      (await client.query("SELECT * FROM accounts")).rows,
      (await client.query("SELECT * FROM sessions")).rows,
      (await client.query("SELECT * FROM tokens")).rows,
    ]),
  );
  expect(kept).toContain("$argon2id$");
  expect(kept).not.toContain(opened.ok ? opened.value : "");
  expect(kept).not.toContain(token);
  expect(await viewerOfToken(em, token)).toMatchObject({ login: "ines" });
  expect(await viewerOfToken(em, `${token}x`)).toBeNull();
  expect(await makeToken(em, "nobody")).toBeNull();
});

test("mail addresses sign in too, whatever their case; signing out ends the session", async () => {
  const opened = await signIn(em, "INES@Saltmarsh.example", "low-tide-at-nine");
  if (!opened.ok) throw new Error("not signed in");
  expect(await viewerOfSession(em, opened.value)).toMatchObject({ login: "ines" });
  await signOut(em, opened.value);
  expect(await viewerOfSession(em, opened.value)).toBeNull();
});

test("an unknown login, a wrong password and somebody inactive get one answer in about one time", async () => {
  const timed = async (login: string) => {
    const start = performance.now();
    const answer = await signIn(em, login, "wrong, surely");
    return { answer, took: performance.now() - start };
  };
  await timed("warm-up");
  const [unknown, known, inactive] = [
    await timed("nobody"),
    await timed("ines"),
    await timed("old"),
  ];
  expect(unknown.answer).toEqual(known.answer);
  expect(inactive.answer).toEqual(known.answer);
  expect(Math.min(unknown.took, known.took)).toBeGreaterThan(
    Math.max(unknown.took, known.took) / 5,
  );
});

test("after too many failures even the right password has to wait", async () => {
  for (let i = 0; i < MOST_FAILURES; i += 1) await signIn(em, "ines", "wrong");
  expect(await signIn(em, "ines", "low-tide-at-nine")).toMatchObject({
    ok: false,
    problems: [{ code: "signIn.throttled" }],
  });
  await withConnection(em, (client) =>
    client.query("UPDATE sign_in_tries SET next_at = next_at - interval '1 minute'"),
  );
  expect((await signIn(em, "ines", "low-tide-at-nine")).ok).toBe(true);
});

test("an invitation works once", async () => {
  const id = await withConnection(
    em,
    async (client) =>
      (await client.query<{ id: number }>("SELECT id FROM people WHERE login = 'mika'")).rows[0].id,
  );
  const secret = (await invite(em, id))!;
  expect(await invitedPerson(em, secret)).toMatchObject({ login: "mika" });
  expect(await acceptInvite(em, secret, "short")).toMatchObject({
    ok: false,
    problems: [{ code: "invite.password" }],
  });
  expect((await acceptInvite(em, secret, "long enough now")).ok).toBe(true);
  expect(await acceptInvite(em, secret, "long enough again")).toMatchObject({
    ok: false,
    problems: [{ code: "invite.gone" }],
  });
  expect((await signIn(em, "mika", "long enough now")).ok).toBe(true);
});

describe("tries that go wrong", () => {
  const wrongs = async (
    tries: readonly Promise<{ ok: boolean; problems?: readonly { code: string }[] }>[],
  ) => (await Promise.all(tries)).map((one) => (one.ok ? "in" : one.problems![0].code));
  beforeEach(async () => {
    await withConnection(em, (client) => client.query("DELETE FROM sign_in_tries"));
  });

  test("of sixty at once no more are looked at than of sixty one after another", async () => {
    const codes = await wrongs(
      Array.from({ length: 60 }, (_, i) => signIn(em, "ines", `guess ${i}`, "198.51.100.7")),
    );
    expect(codes.filter((code) => code === "signIn.wrong")).toHaveLength(MOST_FAILURES);
    expect(codes.filter((code) => code === "signIn.throttled")).toHaveLength(60 - MOST_FAILURES);
  });

  test("who guesses from elsewhere keeps nobody out", async () => {
    await wrongs(
      Array.from({ length: 30 }, (_, i) => signIn(em, "ines", `guess ${i}`, "198.51.100.7")),
    );
    expect((await signIn(em, "ines", "low-tide-at-nine", "192.0.2.1")).ok).toBe(true);
  });

  test("a login and a mail address are one person, whatever their case", async () => {
    const names = ["ines", "INES", "ines@saltmarsh.example", "Ines@Saltmarsh.example"];
    const codes = await wrongs(
      Array.from({ length: 12 }, (_, i) => signIn(em, names[i % 4], "guess", "198.51.100.7")),
    );
    expect(codes.filter((code) => code === "signIn.wrong")).toHaveLength(MOST_FAILURES);
  });

  test("each further try waits longer, and how long is said", async () => {
    const waits: string[] = [];
    for (let i = 0; i < MOST_FAILURES; i += 1) await signIn(em, "ines", "guess");
    for (let i = 0; i < 4; i += 1) {
      const told = await signIn(em, "ines", "guess");
      waits.push(told.ok ? "" : told.problems[0].message);
      await withConnection(em, (client) =>
        client.query("UPDATE sign_in_tries SET next_at = next_at - interval '1 hour'"),
      );
      await signIn(em, "ines", "guess");
    }
    expect(waits.map((words) => /Wait (.*), then/.exec(words)![1])).toEqual([
      "5 seconds",
      "10 seconds",
      "20 seconds",
      "40 seconds",
    ]);
  });
});

test("a later invitation ends an earlier one; a password that is guessed first is not taken", async () => {
  const id = await withConnection(
    em,
    async (client) =>
      (await client.query<{ id: number }>("SELECT id FROM people WHERE login = 'mika'")).rows[0].id,
  );
  const [first, second] = [(await invite(em, id))!, (await invite(em, id))!];
  expect(await invitedPerson(em, first)).toBeNull();
  for (const password of ["password1", "qwertyuiop", "12345678", "mikamika"])
    expect([password, await acceptInvite(em, second, password)]).toMatchObject([
      password,
      { ok: false, problems: [{ code: "invite.password" }] },
    ]);
  const token = (await makeToken(em, "mika"))!;
  expect((await acceptInvite(em, second, "gulls over the quay", true)).ok).toBe(true);
  expect(await viewerOfToken(em, token)).toBeNull();
});

test("a token ends on its day", async () => {
  const token = (await makeToken(em, "ines", "", 1))!;
  expect(await viewerOfToken(em, token)).toMatchObject({ login: "ines" });
  await withConnection(em, (client) =>
    client.query("UPDATE tokens SET expires_at = expires_at - interval '2 days'"),
  );
  expect(await viewerOfToken(em, token)).toBeNull();
});
