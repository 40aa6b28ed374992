import type { Instant } from "@/core/time";
import { administratorsOf, receiversOf, type EntityManager, type Viewer } from "@/data";
import { ownAddress } from "../render/chromium";
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
  asked.set(viewer.person, now);
  const receivers = await receiversOf(em, await administratorsOf(em), []);
  for (const { email } of receivers)
    await transport().sendMail({
      from: SENDER,
      to: email,
      subject: `${viewer.name} asks to see more`,
      text: `${viewer.name} (${viewer.login}) reads figures that count only the projects that they may see, and asks to see more.\n\nWho sees which project is decided by the teams of the project: ${ownAddress()}/settings/people\n`,
    });
  return receivers.length;
}
