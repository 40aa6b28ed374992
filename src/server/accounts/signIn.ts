import { hash, verify } from "@node-rs/argon2";
import { type EntityManager, loadViewer, type Viewer, withConnection } from "@/data";
import { fine, refused, type Result } from "@/core/base";
import { hashOf, newSecret } from "./secrets";

export const SESSION_DAYS = 30;
const INVITE_DAYS = 7;
/** Failures of one login in WINDOW_MINUTES after which it has to wait. */
export const MOST_FAILURES = 8;
const WINDOW_MINUTES = 10;
export const SHORTEST_PASSWORD = 8;

/** argon2id with the package's defaults (19 MiB, 2 passes), as OWASP's password storage sheet has them. */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** A real hash of no password: an unknown login takes the same time as a known one. */
let nobody: Promise<string> | undefined;
const hashOfNobody = (): Promise<string> => (nobody ??= hash(newSecret()));

const wrong = () =>
  refused({ code: "signIn.wrong", message: "That login and password do not go together." });
const throttled = () =>
  refused({
    code: "signIn.throttled",
    message: `Too many tries. Wait ${WINDOW_MINUTES} minutes, then try again.`,
  });

/** Opens a session. Unknown login, wrong password and inactive person get one answer in one time. @returns the cookie's secret */
export async function signIn(
  em: EntityManager,
  login: string,
  password: string,
): Promise<Result<string>> {
  return withConnection(em, async (client) => {
    const asked = login.trim().toLowerCase();
    const { rows: failed } = await client.query<{ n: number }>(
      "SELECT count(*)::int AS n FROM sign_in_failures WHERE login = $1 AND at > now() - make_interval(mins => $2)",
      [asked, WINDOW_MINUTES],
    );
    if (failed[0].n >= MOST_FAILURES) return throttled();
    const { rows } = await client.query<{ id: number; password_hash: string }>(
      "SELECT p.id, a.password_hash FROM people p JOIN accounts a ON a.person_id = p.id WHERE p.active AND (lower(p.login) = $1 OR lower(p.email) = $1) ORDER BY lower(p.login) = $1 DESC LIMIT 1",
      [asked],
    );
    const known = rows[0];
    const good = await verify(known?.password_hash ?? (await hashOfNobody()), password).catch(
      () => false,
    );
    if (!known || !good) {
      await client.query("INSERT INTO sign_in_failures (login) VALUES ($1)", [asked]);
      await client.query("DELETE FROM sign_in_failures WHERE at < now() - interval '1 day'");
      return wrong();
    }
    await client.query("DELETE FROM sign_in_failures WHERE login = $1", [asked]);
    return fine(await openSession(em, known.id));
  });
}

export async function openSession(em: EntityManager, person: number): Promise<string> {
  const secret = newSecret();
  await withConnection(em, (client) =>
    client.query(
      "INSERT INTO sessions (token_hash, person_id, expires_at) VALUES ($1, $2, now() + make_interval(days => $3))",
      [hashOf(secret), person, SESSION_DAYS],
    ),
  );
  return secret;
}

export async function viewerOfSession(em: EntityManager, secret: string): Promise<Viewer | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ person_id: number }>(
      "SELECT person_id FROM sessions WHERE token_hash = $1 AND expires_at > now()",
      [hashOf(secret)],
    );
    return rows[0] ? loadViewer(client, rows[0].person_id) : null;
  });
}

export const signOut = (em: EntityManager, secret: string): Promise<unknown> =>
  withConnection(em, (client) =>
    client.query("DELETE FROM sessions WHERE token_hash = $1", [hashOf(secret)]),
  );

/** A link that lets somebody choose a password, once. Only its hash is stored. */
export async function invite(em: EntityManager, person: number): Promise<string | null> {
  const secret = newSecret();
  return withConnection(em, async (client) => {
    const { rowCount } = await client.query(
      "INSERT INTO invites (token_hash, person_id, expires_at) SELECT $1, id, now() + make_interval(days => $3) FROM people WHERE id = $2 AND active",
      [hashOf(secret), person, INVITE_DAYS],
    );
    return rowCount ? secret : null;
  });
}

export async function invitedPerson(
  em: EntityManager,
  secret: string,
): Promise<{ id: number; login: string; name: string } | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number; login: string; name: string }>(
      "SELECT p.id, p.login, p.name FROM invites i JOIN people p ON p.id = i.person_id WHERE i.token_hash = $1 AND i.used_at IS NULL AND i.expires_at > now() AND p.active",
      [hashOf(secret)],
    );
    return rows[0] ?? null;
  });
}

export const passwordProblem = (password: string): string | null =>
  password.length < SHORTEST_PASSWORD
    ? `A password has at least ${SHORTEST_PASSWORD} characters.`
    : password.length > 200
      ? "A password has at most 200 characters."
      : null;

/** Takes up an invitation: sets the password and opens a session. */
export async function acceptInvite(
  em: EntityManager,
  secret: string,
  password: string,
): Promise<Result<string>> {
  const problem = passwordProblem(password);
  if (problem) return refused({ code: "invite.password", message: problem, path: "password" });
  const hashed = await hashPassword(password);
  const person = await withConnection(em, async (client) => {
    const { rows } = await client.query<{ person_id: number }>(
      "UPDATE invites SET used_at = now() WHERE token_hash = $1 AND used_at IS NULL AND expires_at > now() RETURNING person_id",
      [hashOf(secret)],
    );
    if (!rows[0]) return null;
    await setPassword(client, rows[0].person_id, hashed);
    await client.query("DELETE FROM sessions WHERE person_id = $1", [rows[0].person_id]);
    return rows[0].person_id;
  });
  return person === null
    ? refused({
        code: "invite.gone",
        message:
          "This link was used already, or its time is over. Ask an administrator for a new one.",
      })
    : fine(await openSession(em, person));
}

const setPassword = (
  client: { query: (text: string, values: unknown[]) => Promise<unknown> },
  person: number,
  hashed: string,
) =>
  client.query(
    "INSERT INTO accounts (person_id, password_hash) VALUES ($1, $2) ON CONFLICT (person_id) DO UPDATE SET password_hash = excluded.password_hash, changed_at = now()",
    [person, hashed],
  );

/** Gives people passwords that are told to everyone: for a demo workspace. */
export async function setPasswords(
  em: EntityManager,
  passwords: readonly { login: string; password: string }[],
): Promise<void> {
  for (const { login, password } of passwords) {
    const hashed = await hashPassword(password);
    await withConnection(em, (client) =>
      client.query(
        "INSERT INTO accounts (person_id, password_hash) SELECT id, $2 FROM people WHERE login = $1 ON CONFLICT (person_id) DO UPDATE SET password_hash = excluded.password_hash",
        [login, hashed],
      ),
    );
  }
}

/** The first administrator of an empty workspace. Refused as soon as there is one. */
export async function firstAdministrator(
  em: EntityManager,
  given: { workspace: string; login: string; name: string; password: string },
): Promise<Result<string>> {
  const problem = passwordProblem(given.password);
  if (problem) return refused({ code: "first.password", message: problem, path: "password" });
  if (!/^[\p{L}\p{N}._-]{1,60}$/u.test(given.login))
    return refused({
      code: "first.login",
      message: "A login has letters, digits, dots, dashes and underscores only.",
      path: "login",
    });
  if (!given.name.trim())
    return refused({ code: "first.name", message: "Say your name.", path: "name" });
  const hashed = await hashPassword(given.password);
  const person = await withConnection(em, async (client) => {
    const { rows } = await client.query<{ id: number }>(
      "INSERT INTO people (login, name, role) SELECT $1, $2, 'administrator' WHERE NOT EXISTS (SELECT 1 FROM accounts) ON CONFLICT (login) DO UPDATE SET role = 'administrator' RETURNING id",
      [given.login, given.name.trim()],
    );
    if (!rows[0]) return null;
    await setPassword(client, rows[0].id, hashed);
    await client.query("UPDATE workspace SET name = $1, names_version = names_version + 1", [
      given.workspace.trim() || "Our workspace",
    ]);
    return rows[0].id;
  });
  return person === null
    ? refused({
        code: "first.taken",
        message: "This workspace has an administrator already. Sign in instead.",
      })
    : fine(await openSession(em, person));
}

/** Whether nobody can sign in yet. */
export async function needsFirstAdministrator(em: EntityManager): Promise<boolean> {
  return withConnection(
    em,
    async (client) => (await client.query("SELECT 1 FROM accounts LIMIT 1")).rowCount === 0,
  );
}
