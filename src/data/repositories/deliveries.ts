import type { Instant } from "@/core/time";
import { fresh, LockMode, unitOfWork, withConnection, type EntityManager } from "../database";
import { Delivery, Mailing, MailMessage, Person, type DeliveryState } from "../entities";
import { receiversOf, rowOf, type MailingRow } from "./mailings";

/** A mail to one receiver that somebody has taken on: until when it is theirs, and which try it is. */
export interface Claim {
  readonly id: number;
  readonly mailing: MailingRow;
  readonly person: number;
  readonly email: string | null;
  readonly attempts: number;
}

/**
 * Opens the slot of a mailing that is due: a row for each receiver, and the mailing's next time; both or neither, and once,
 * whoever else is at it.
 * @returns whether it was this one that opened it
 */
export const openSlot = (
  em: EntityManager,
  id: number,
  now: Date,
  nextAt: Date,
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const mailing = await unit.findOne(
      Mailing,
      { id, nextAt: { $lte: now } },
      { lockMode: LockMode.PESSIMISTIC_PARTIAL_WRITE, refresh: true },
    );
    if (!mailing?.nextAt) return false;
    const slot = mailing.nextAt;
    for (const { id: person } of await receiversOf(unit, mailing.people, mailing.teams))
      unit.create(Delivery, { mailing: id, slot, person, tryAt: now });
    Object.assign(mailing, { nextAt, lastAt: slot, lastSaid: null });
    return true;
  });

/** Takes on the next mail that waits, for as long as the lease lasts. */
export const claimDelivery = (em: EntityManager, now: Date, until: Date): Promise<Claim | null> =>
  unitOfWork(em, async (unit) => {
    const delivery = await unit.findOne(
      Delivery,
      { state: "waiting", tryAt: { $lte: now } },
      {
        orderBy: { tryAt: "asc", id: "asc" },
        lockMode: LockMode.PESSIMISTIC_PARTIAL_WRITE,
        refresh: true,
      },
    );
    if (!delivery) return null;
    const [mailing, person] = [
      await unit.findOneOrFail(Mailing, delivery.mailing.id),
      await unit.findOneOrFail(Person, delivery.person.id),
    ];
    Object.assign(delivery, {
      state: "making",
      attempts: delivery.attempts + 1,
      tryAt: until,
      changedAt: now,
    });
    return {
      id: delivery.id,
      mailing: rowOf(mailing),
      person: person.id,
      email: person.active ? (person.email ?? null) : null,
      attempts: delivery.attempts,
    };
  });

/**
 * Moves a mail on from the state in which one holds it.
 * @returns false where it is somebody else's by now: the lease was over, or the mailing is gone
 */
export const moveDelivery = (
  em: EntityManager,
  { id, attempts }: Pick<Claim, "id" | "attempts">,
  from: DeliveryState,
  to: {
    readonly state: DeliveryState;
    readonly said?: string;
    readonly tryAt?: Date;
    readonly messageId?: string;
  },
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const moved = await unit.nativeUpdate(
      Delivery,
      { id, attempts, state: from },
      { ...to, changedAt: new Date() },
    );
    return moved === 1;
  });

/** What was being made when its maker died waits again: nothing of it had gone out. */
export const freeMaking = (em: EntityManager, now: Date): Promise<void> =>
  unitOfWork(em, async (unit) => {
    await unit.nativeUpdate(
      Delivery,
      { state: "making", tryAt: { $lte: now } },
      { state: "waiting", changedAt: now },
    );
  });

/** What was being handed over when whoever did it died: it may have gone out or not. */
export async function stuckSending(
  em: EntityManager,
  now: Date,
): Promise<readonly (Pick<Claim, "id" | "attempts"> & { readonly messageId: string })[]> {
  const stuck = await fresh(em).find(Delivery, { state: "sending", tryAt: { $lte: now } });
  return stuck.map(({ id, attempts, messageId }) => ({
    id,
    attempts,
    messageId: messageId ?? "",
  }));
}

/** Whether the mail room has a mail. */
export const hasMail = async (em: EntityManager, messageId: string): Promise<boolean> =>
  (await fresh(em).count(MailMessage, { messageId })) > 0;

/** How a mail of the last slot of a mailing stands. */
export interface LastDelivery {
  readonly mailing: number;
  readonly state: DeliveryState;
  readonly said: string | null;
  readonly tryAt: Instant;
}

/** The mails of the last slot of each mailing. */
export async function lastDeliveries(
  em: EntityManager,
  mailings: readonly number[],
): Promise<readonly LastDelivery[]> {
  const { rows } = await withConnection(em, (client) =>
    client.query<LastDelivery>(
      `SELECT d.mailing_id AS mailing, d.state, d.said, (extract(epoch FROM d.try_at) * 1000000)::float8 AS "tryAt"
       FROM deliveries d JOIN mailings m ON m.id = d.mailing_id AND m.last_at = d.slot
       WHERE m.id = ANY($1) ORDER BY d.try_at, d.id`,
      [mailings],
    ),
  );
  return rows;
}
