import type { Instant } from "@/core/time";
import { administratorsOf, receiversOf, type EntityManager, type Viewer } from "@/data";
import { ownAddress } from "../render/chromium";
import { log } from "../log";
import { Refused } from "../refused";
import { SENDER, transport } from "../mail/transport";

/** One asks once a day: more would be noise. */
const PAUSE: Instant = 86_400_000_000;
const asked = new Map<number, Instant>();

/**
 * Tells the administrators, by mail, that somebody would like to see more than they may.
 * @returns how many were told; 0 where somebody asked within a day, or where no administrator has an address
 */
export async function askToSee(em: EntityManager, viewer: Viewer, now: Instant): Promise<number> {
  const before = asked.get(viewer.person);
  if (before !== undefined && now - before < PAUSE) return 0;
  const receivers = await receiversOf(em, await administratorsOf(em), []);
  if (receivers.length === 0) return 0;
  try {
    await transport().sendMail({
      from: SENDER,
      to: receivers.map(({ email }) => email),
      subject: `${viewer.name} asks to see more`,
      text: `${viewer.name} (${viewer.login}) reads figures that count only the projects that they may see, and asks to see more.\n\nWho sees which project is decided by the teams of the project: ${ownAddress()}/settings/people\n`,
    });
  } catch (error) {
    log.warn({ error }, "a request to see more was not sent");
    throw new Refused([
      { code: "mail", message: "The mail could not be sent just now. Try again later." },
    ]);
  }
  asked.set(viewer.person, now);
  return receivers.length;
}
