import { hash, verify } from "@node-rs/argon2";
import {
  addFirstAdministrator,
  addInvite,
  addSession,
  beginTry,
  findAccount,
  hasAccounts,
  loadViewer,
  personInvited,
  personOfSession,
  putPasswords,
  removeSession,
  takeInvite,
  type EntityManager,
  type Viewer,
} from "@/data";
import { fine, refused, type Result } from "@/core/base";
import { passwordProblem } from "./passwords";
import { hashOf, newSecret } from "./secrets";

export const SESSION_DAYS = 30;
const INVITE_DAYS = 7;
/** Failures of one person from one place after which each further try waits. */
export const MOST_FAILURES = 8;
const SECOND = 1000;

/** argon2id with the package's defaults (19 MiB, 2 passes), as OWASP's password storage sheet has them. */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** A real hash of no password: an unknown login takes the same time as a known one. */
let nobody: Promise<string> | undefined;
const hashOfNobody = (): Promise<string> => (nobody ??= hash(newSecret()));

const wrong = () =>
  refused({ code: "signIn.wrong", message: "That login and password do not go together." });
const throttled = (waitMs: number) => {
  const seconds = Math.ceil(waitMs / SECOND);
  const wait = seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
  return refused({
    code: "signIn.throttled",
    message: `Too many tries. Wait ${wait}, then try again.`,
  });
};

/**
 * What a try counts under: this person from this place, which soon waits long; all who try from this place; and this person
 * from wherever, which waits a minute at most, so that nobody can keep another out.
 */
const pausesOf = (who: string, sender: string) => [
  { key: `${who} from ${sender}`, free: MOST_FAILURES, firstMs: 5 * SECOND, mostMs: 900 * SECOND },
  { key: `from ${sender}`, free: 60, firstMs: SECOND, mostMs: 300 * SECOND },
  { key: who, free: 40, firstMs: SECOND, mostMs: 60 * SECOND },
];

/** Tries of one person from one place in this process, one after another, so that each knows what came of those before it. */
const queues = new Map<string, Promise<unknown>>();
async function inTurn<T>(key: string, act: () => Promise<T>): Promise<T> {
  const mine = (queues.get(key) ?? Promise.resolve()).then(act, act);
  queues.set(key, mine);
  try {
    return await mine;
  } finally {
    if (queues.get(key) === mine) queues.delete(key);
  }
}

/**
 * Opens a session. Unknown login, wrong password and inactive person get one answer in one time. While a password is checked,
 * which takes long by intent, no connection is held. What is tried counts by whom it names (a login and a mail address name
 * one person) and where it comes from.
 * @returns the cookie's secret
 */
export async function signIn(
  em: EntityManager,
  login: string,
  password: string,
  sender = "here",
): Promise<Result<string>> {
  const asked = login.trim().toLowerCase();
  const known = await findAccount(em, asked);
  const who = known ? `person ${known.person}` : `login ${hashOf(asked)}`;
  return inTurn(`${who} from ${sender}`, async () => {
    const pauses = pausesOf(who, sender);
    const wait = await beginTry(em, pauses, new Date());
    if (wait > 0) return throttled(wait);
    const good = await verify(known?.passwordHash ?? (await hashOfNobody()), password).catch(
      () => false,
    );
    if (!known || !good) return wrong();
    const secret = newSecret();
    const [pair, place, anywhere] = pauses.map(({ key }) => key);
    await addSession(em, known.person, hashOf(secret), SESSION_DAYS, {
      forgotten: [pair, anywhere],
      takenBack: place,
    });
    return fine(secret);
  });
}

export async function openSession(em: EntityManager, person: number): Promise<string> {
  const secret = newSecret();
  await addSession(em, person, hashOf(secret), SESSION_DAYS);
  return secret;
}

export async function viewerOfSession(em: EntityManager, secret: string): Promise<Viewer | null> {
  const person = await personOfSession(em, hashOf(secret));
  return person === null ? null : loadViewer(em, person);
}

export const signOut = (em: EntityManager, secret: string): Promise<void> =>
  removeSession(em, hashOf(secret));

/** A link that lets somebody choose a password, once. Only its hash is stored. */
export async function invite(em: EntityManager, person: number): Promise<string | null> {
  const secret = newSecret();
  return (await addInvite(em, person, hashOf(secret), INVITE_DAYS)) ? secret : null;
}

export const invitedPerson = (em: EntityManager, secret: string) =>
  personInvited(em, hashOf(secret));

/** Takes up an invitation: sets the password and opens a session. */
export async function acceptInvite(
  em: EntityManager,
  secret: string,
  password: string,
  endsTokens = false,
): Promise<Result<string>> {
  const invited = await invitedPerson(em, secret);
  const problem = passwordProblem(password, invited ? [invited.login, invited.name] : []);
  if (problem) return refused({ code: "invite.password", message: problem, path: "password" });
  const session = newSecret();
  const isTaken = await takeInvite(
    em,
    hashOf(secret),
    await hashPassword(password),
    {
      tokenHash: hashOf(session),
      days: SESSION_DAYS,
    },
    endsTokens,
  );
  return isTaken
    ? fine(session)
    : refused({
        code: "invite.gone",
        message:
          "This link was used already, or its time is over. Ask an administrator for a new one.",
      });
}

/** Gives people passwords that are told to everyone: for a demo workspace. */
export async function setPasswords(
  em: EntityManager,
  passwords: readonly { login: string; password: string }[],
): Promise<void> {
  const hashed = [];
  for (const { login, password } of passwords)
    hashed.push({ login, passwordHash: await hashPassword(password) });
  await putPasswords(em, hashed);
}

/** The first administrator of an empty workspace. Refused as soon as there is one. */
export async function firstAdministrator(
  em: EntityManager,
  given: { workspace: string; login: string; name: string; password: string },
): Promise<Result<string>> {
  const problem = passwordProblem(given.password, [given.login, given.name, given.workspace]);
  if (problem) return refused({ code: "first.password", message: problem, path: "password" });
  if (!/^[\p{L}\p{N}._-]{1,60}$/u.test(given.login))
    return refused({
      code: "first.login",
      message: "A login has letters, digits, dots, dashes and underscores only.",
      path: "login",
    });
  if (!given.name.trim())
    return refused({ code: "first.name", message: "Say your name.", path: "name" });
  const session = newSecret();
  const isFirst = await addFirstAdministrator(
    em,
    {
      workspace: given.workspace.trim() || "Our workspace",
      login: given.login,
      name: given.name.trim(),
    },
    await hashPassword(given.password),
    { tokenHash: hashOf(session), days: SESSION_DAYS },
  );
  return isFirst
    ? fine(session)
    : refused({
        code: "first.taken",
        message: "This workspace has an administrator already. Sign in instead.",
      });
}

/** Whether nobody can sign in yet. */
export const needsFirstAdministrator = async (em: EntityManager): Promise<boolean> =>
  !(await hasAccounts(em));
