import type { Claim, EntityManager } from "@/data";
import {
  addNotice,
  claimDelivery,
  freeMaking,
  lastDeliveries,
  loadViewer,
  moveDelivery,
  stuckSending,
} from "@/data";
import { clockText } from "@/core/time";
import type { Clock } from "../clock";
import type { Drawer } from "../render/drawer";
import { log } from "../log";
import { letterFor, type Letter } from "./letter";
import { SENDER, transport, wasTaken } from "./transport";

/** How long one may hold a mail before it counts as left by somebody who died, in ms. */
const LEASE_MS = 5 * 60_000;
/** How long it waits after each try that failed, in minutes. */
const PAUSES = [1, 5, 25, 120];

const dateAt = (clock: Clock, afterMs = 0): Date => new Date(clock.now() / 1000 + afterMs);

/** The same for every try, so that the mail server can be asked whether it has it. */
const messageIdOf = ({ id, mailing }: Claim): string =>
  `<mailing.${mailing.id}.${id}@grand-tally.invalid>`;

/** Sends all mails that wait, one after another; what somebody left half-done is looked into first. */
export async function deliverAll(em: EntityManager, clock: Clock, drawer: Drawer): Promise<void> {
  await freeMaking(em, dateAt(clock));
  await settleStuck(em, clock);
  for (;;) {
    const claim = await claimDelivery(em, dateAt(clock), dateAt(clock, LEASE_MS));
    if (!claim) return;
    await deliver(em, clock, drawer, claim);
  }
}

/** What may have gone out is asked for at the mail server, and never sent blindly again. */
async function settleStuck(em: EntityManager, clock: Clock): Promise<void> {
  for (const stuck of await stuckSending(em, dateAt(clock))) {
    const taken = await wasTaken(em, stuck.messageId);
    if (taken === null)
      await moveDelivery(em, stuck, "sending", {
        state: "unsure",
        said: "the connection ended while it was handed over",
      });
    else
      await moveDelivery(
        em,
        stuck,
        "sending",
        taken ? { state: "sent" } : { state: "waiting", tryAt: dateAt(clock) },
      );
  }
}

async function deliver(
  em: EntityManager,
  clock: Clock,
  drawer: Drawer,
  claim: Claim,
): Promise<void> {
  try {
    const viewer = await loadViewer(em, claim.person);
    const letter = viewer && (await letterFor(em, clock, drawer, claim.mailing, viewer));
    if (!letter) await moveDelivery(em, claim, "making", { state: "unseen" });
    else if (letter.isEmpty && claim.mailing.skipEmpty)
      await moveDelivery(em, claim, "making", { state: "empty" });
    else if (!claim.email)
      await moveDelivery(em, claim, "making", { state: "refused", said: "no address any more" });
    else await handOver(em, clock, claim, claim.email, letter);
  } catch (error) {
    log.error({ error, mailing: claim.mailing.id }, "a mail could not be made");
    await again(em, clock, claim, "making", "it could not be made");
  }
}

async function handOver(
  em: EntityManager,
  clock: Clock,
  claim: Claim,
  to: string,
  letter: Letter,
): Promise<void> {
  const messageId = messageIdOf(claim);
  const isMine = await moveDelivery(em, claim, "making", {
    state: "sending",
    messageId,
    tryAt: dateAt(clock, LEASE_MS),
  });
  if (!isMine) return;
  try {
    await transport().sendMail({
      from: SENDER,
      to,
      messageId,
      subject: letter.subject,
      text: letter.text,
      attachments: letter.files.map(({ name, bytes }) => ({
        filename: name,
        content: Buffer.from(bytes),
        contentType: "application/pdf",
      })),
    });
    await moveDelivery(em, claim, "sending", { state: "sent" });
  } catch (error) {
    await notTaken(em, clock, claim, messageId, error as SendError);
  }
}

/** What a mail server or the way to it answers with, as nodemailer tells it. */
interface SendError extends Error {
  readonly responseCode?: number;
  readonly response?: string;
}

async function notTaken(
  em: EntityManager,
  clock: Clock,
  claim: Claim,
  messageId: string,
  error: SendError,
): Promise<void> {
  log.warn({ error, mailing: claim.mailing.id }, "a mail was not taken");
  const { responseCode } = error;
  if (responseCode !== undefined && responseCode >= 500) {
    await moveDelivery(em, claim, "sending", {
      state: "refused",
      said: error.response ?? error.message,
    });
    return;
  }
  // Where the server said no itself it has nothing; where the connection broke it has to be asked.
  const taken = responseCode !== undefined ? false : await wasTaken(em, messageId);
  if (taken) await moveDelivery(em, claim, "sending", { state: "sent" });
  else if (taken === null)
    await moveDelivery(em, claim, "sending", { state: "unsure", said: error.message });
  else await again(em, clock, claim, "sending", "the mail server could not be reached");
}

/** It is tried again after a pause that grows; after the last it is given up, and said so to whoever made the mailing. */
async function again(
  em: EntityManager,
  clock: Clock,
  claim: Claim,
  from: "making" | "sending",
  said: string,
): Promise<void> {
  const pause = PAUSES[claim.attempts - 1];
  if (pause !== undefined) {
    await moveDelivery(em, claim, from, {
      state: "waiting",
      said,
      tryAt: dateAt(clock, pause * 60_000),
    });
    return;
  }
  const isGivenUp = await moveDelivery(em, claim, from, {
    state: "refused",
    said: `${said}; it was tried ${claim.attempts} times`,
  });
  if (isGivenUp)
    await addNotice(em, claim.mailing.owner, {
      about: `delivery/${claim.id}`,
      words: `A mailing did not go out to everybody: ${said}.`,
      href: "/mailings",
    });
}

type Words = (count: number, said: string | null, tryAt: string) => string;

/** What is said of the mails of a slot, by how they stand; those that are sent come first. */
const WORDS = {
  empty: (count) => `empty for ${count}, and skipped`,
  unseen: (count) => `not theirs to see for ${count}`,
  refused: (count, said) => `not taken for ${count}${said ? ` (${said})` : ""}`,
  unsure: (count) => `not known whether it reached ${count}`,
  waiting: (count, said, tryAt) =>
    said ? `${said} for ${count}, tried again ${tryAt}` : `${count} on the way`,
  making: (count) => `${count} on the way`,
  sending: (count) => `${count} on the way`,
} as const satisfies Record<string, Words>;

/** How the last slot of each mailing went, in words. */
export async function lastWords(
  em: EntityManager,
  mailings: readonly number[],
  zone: string,
): Promise<ReadonlyMap<number, string>> {
  const deliveries = await lastDeliveries(em, mailings);
  return new Map(
    mailings.map((id) => {
      const own = deliveries.filter(({ mailing }) => mailing === id);
      if (own.length === 0) return [id, "sent to 0; nobody has an address"];
      const count = (state: string) => own.filter((one) => one.state === state).length;
      const others = Object.entries<Words>(WORDS).flatMap(([state, words]) => {
        const first = own.find((one) => one.state === state);
        if (!first) return [];
        return [words(count(state), first.said, clockText(first.tryAt, zone))];
      });
      return [id, [`sent to ${count("sent")}`, ...new Set(others)].join("; ")];
    }),
  );
}
