import type { PersonLine } from "@/contract/workspace";
import { raw } from "@mikro-orm/core";

import { fresh, LockMode, unitOfWork, withConnection, type EntityManager } from "../database";
import { Account, Invite, Person, Session, SignInTry, Token, Workspace } from "../entities";

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;
const ahead = (days: number): Date => new Date(Date.now() + days * DAY_MS);

/** The password of whoever has a login or a mail address; a login comes before an address. null for nobody active. */
export async function findAccount(
  em: EntityManager,
  asked: string,
): Promise<{ person: number; passwordHash: string } | null> {
  const people = await fresh(em).find(Person, {
    active: true,
    $or: [{ [raw("lower(login)")]: asked }, { [raw("lower(email)")]: asked }],
  });
  const [first] = people.sort(
    (a, b) => Number(b.login.toLowerCase() === asked) - Number(a.login.toLowerCase() === asked),
  );
  const account = first && (await fresh(em).findOne(Account, { person: first.id }));
  return account ? { person: first.id, passwordHash: account.passwordHash } : null;
}

/** How tries of one sort are held back: so many are free, then each waits twice as long as the one before, up to a bound. */
export interface Pauses {
  readonly key: string;
  readonly free: number;
  readonly firstMs: number;
  readonly mostMs: number;
}

const FORGOTTEN_MS = 60 * MINUTE_MS;

/**
 * Counts a try before it is looked at, under each of its keys; of several at once each sees those before it.
 * @returns how long to wait, in ms, where one of the keys asks for it (then nothing is counted); 0 where it may be looked at
 */
export const beginTry = (
  em: EntityManager,
  pauses: readonly Pauses[],
  now: Date,
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    const ordered = [...pauses].sort((a, b) => (a.key < b.key ? -1 : 1));
    const kept = [];
    for (const { key } of ordered) {
      await unit.upsert(
        SignInTry,
        { key, nextAt: new Date(0) },
        { onConflictAction: "ignore", onConflictFields: ["key"] },
      );
      kept.push(
        await unit.findOneOrFail(
          SignInTry,
          { key },
          { lockMode: LockMode.PESSIMISTIC_WRITE, refresh: true },
        ),
      );
    }
    const wait = Math.max(...kept.map(({ nextAt }) => nextAt.getTime() - now.getTime()));
    if (wait > 0) return wait;
    for (const [i, one] of kept.entries()) {
      const { free, firstMs, mostMs } = ordered[i];
      const isOld = now.getTime() - one.lastAt.getTime() > FORGOTTEN_MS;
      const failures = (isOld ? 0 : one.failures) + 1;
      const pause = failures < free ? 0 : Math.min(firstMs * 2 ** (failures - free), mostMs);
      Object.assign(one, { failures, lastAt: now, nextAt: new Date(now.getTime() + pause) });
    }
    return 0;
  });

/** Opens a session; after a right password the tries for that person are forgotten, and this one from its place is taken back. */
export const addSession = (
  em: EntityManager,
  person: number,
  tokenHash: string,
  days: number,
  tries?: { readonly forgotten: readonly string[]; readonly takenBack: string },
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    if (tries) {
      await unit.nativeDelete(SignInTry, { key: { $in: [...tries.forgotten] } });
      await unit.nativeUpdate(
        SignInTry,
        { key: tries.takenBack, failures: { $gt: 0 } },
        { failures: raw("failures - 1") },
      );
    }
    unit.create(Session, { tokenHash, person, expiresAt: ahead(days) });
  });

export async function personOfSession(
  em: EntityManager,
  tokenHash: string,
): Promise<number | null> {
  const session = await fresh(em).findOne(Session, { tokenHash, expiresAt: { $gt: new Date() } });
  return session?.person.id ?? null;
}

export const removeSession = (em: EntityManager, tokenHash: string): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeDelete(Session, { tokenHash });
  });

/** Invites somebody; what invited them before ends. @returns whether there is somebody active to invite */
export const addInvite = (
  em: EntityManager,
  person: number,
  tokenHash: string,
  days: number,
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    if (!(await unit.findOne(Person, { id: person, active: true }))) return false;
    await unit.nativeDelete(Invite, { person, usedAt: null });
    unit.create(Invite, { tokenHash, person, expiresAt: ahead(days) });
    return true;
  });

const usable = (tokenHash: string) => ({
  tokenHash,
  usedAt: null,
  expiresAt: { $gt: new Date() },
});

export async function personInvited(
  em: EntityManager,
  tokenHash: string,
): Promise<{ id: number; login: string; name: string } | null> {
  const invite = await fresh(em).findOne(Invite, usable(tokenHash), { populate: ["person"] });
  return invite?.person.active
    ? { id: invite.person.id, login: invite.person.login, name: invite.person.name }
    : null;
}

/**
 * Takes up an invitation: it is used, the password is set, other sessions (and, if wanted, tokens of programs) end
 * and one session is opened, all of it or nothing.
 * @returns whether it could still be used
 */
export const takeInvite = (
  em: EntityManager,
  invitation: string,
  passwordHash: string,
  session: { readonly tokenHash: string; readonly days: number },
  endsTokens: boolean,
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const [person] = await usedInvite(unit, invitation);
    if (person === undefined) return false;
    await putPassword(unit, person, passwordHash);
    await unit.nativeDelete(Session, { person });
    if (endsTokens) await unit.nativeDelete(Token, { person });
    await addSession(unit, person, session.tokenHash, session.days);
    return true;
  });

/** Marks an invitation as used, if nobody else has meanwhile. @returns for whom it was */
async function usedInvite(unit: EntityManager, tokenHash: string): Promise<number[]> {
  const { rows } = await withConnection(unit, (client) =>
    client.query<{ person_id: number }>(
      "UPDATE invites SET used_at = now() WHERE token_hash = $1 AND used_at IS NULL AND expires_at > now() RETURNING person_id",
      [tokenHash],
    ),
  );
  return rows.map((row) => row.person_id);
}

const putPassword = (unit: EntityManager, person: number, passwordHash: string): Promise<unknown> =>
  unit.upsert(Account, { person, passwordHash, changedAt: new Date() });

/** Sets passwords by login; nothing for a login that nobody has. */
export const putPasswords = (
  em: EntityManager,
  passwords: readonly { readonly login: string; readonly passwordHash: string }[],
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    for (const { login, passwordHash } of passwords) {
      const person = await unit.findOne(Person, { login });
      if (person) await putPassword(unit, person.id, passwordHash);
    }
  });

export const hasAccounts = async (em: EntityManager): Promise<boolean> =>
  (await fresh(em).count(Account)) > 0;

/** The first administrator of a workspace, and its name. @returns whether there was none yet */
export const addFirstAdministrator = (
  em: EntityManager,
  given: { readonly workspace: string; readonly login: string; readonly name: string },
  passwordHash: string,
  session: { readonly tokenHash: string; readonly days: number },
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    // Two who come at once are told apart here: the second waits for the first.
    const workspace = await unit.findOneOrFail(Workspace, 1, { lockMode: 4 });
    if (await hasAccounts(unit)) return false;
    const known = await unit.findOne(Person, { login: given.login });
    const person =
      known ?? unit.create(Person, { login: given.login, name: given.name, role: "administrator" });
    person.role = "administrator";
    workspace.name = given.workspace;
    workspace.namesVersion += 1;
    await unit.flush();
    await putPassword(unit, person.id, passwordHash);
    await addSession(unit, person.id, session.tokenHash, session.days);
    return true;
  });

/** @returns whether somebody active has the login */
export const addToken = (
  em: EntityManager,
  login: string,
  tokenHash: string,
  name: string,
  days: number,
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const person = await unit.findOne(Person, { login, active: true });
    if (person) unit.create(Token, { tokenHash, person, name, expiresAt: ahead(days) });
    return person !== null;
  });

/** Whose token it is; that it was used is noted. */
export const personOfToken = (em: EntityManager, tokenHash: string): Promise<number | null> =>
  unitOfWork(em, async (unit) => {
    const token = await unit.findOne(Token, { tokenHash, expiresAt: { $gt: new Date() } });
    if (token) token.usedAt = new Date();
    return token?.person.id ?? null;
  });

/** Everyone, by name. */
export async function everyone(em: EntityManager): Promise<PersonLine[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<PersonLine>(
      `SELECT p.id, p.login, p.name, p.role, t.name AS team, p.active, a.person_id IS NOT NULL AS "hasAccount" FROM people p LEFT JOIN teams t ON t.id = p.team_id LEFT JOIN accounts a ON a.person_id = p.id ORDER BY p.name COLLATE "natural", p.login`,
    ),
  );
  return rows;
}

/** Which of some people and teams there are. */
export async function knownReceivers(
  em: EntityManager,
  people: readonly number[],
  teams: readonly number[],
): Promise<{ people: number[]; teams: number[] }> {
  const { rows } = await withConnection(em, (client) =>
    client.query<{ people: number[]; teams: number[] }>(
      "SELECT ARRAY(SELECT id FROM people WHERE id = ANY($1::int[])) AS people, ARRAY(SELECT id FROM teams WHERE id = ANY($2::int[])) AS teams",
      [people, teams],
    ),
  );
  return rows[0];
}

export const findPersonByLogin = async (em: EntityManager, login: string): Promise<number | null> =>
  (await fresh(em).findOne(Person, { login }))?.id ?? null;

export const mailAddressOf = async (em: EntityManager, person: number): Promise<string | null> =>
  (await fresh(em).findOne(Person, person))?.email ?? null;

/** The identities of those who administer the workspace. */
export async function administratorsOf(em: EntityManager): Promise<number[]> {
  const people = await em.find(Person, { role: "administrator", active: true });
  return people.map((person) => person.id);
}
