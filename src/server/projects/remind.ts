import { fine, refused, type Result } from "@/core/base";
import { dayText } from "@/core/time";
import {
  dropReminder,
  loadProject,
  mailOf,
  reminderSent,
  takeReminder,
  type EntityManager,
  type ReminderKey,
} from "@/data";
import type { Clock } from "../clock";
import { log } from "../log";
import { ownAddress } from "../render/chromium";
import { SENDER, transport, wasTaken } from "../mail/transport";
import type { Desk } from "../viewer/viewpoint";
import { listOwed } from "./records";
import { knownProject } from "./room";

const refusal = (code: string, message: string) => refused({ code: `reminder.${code}`, message });

/**
 * Asks the manager of a project by mail for the word of a week that they owe; once. It is noted before it is sent, so that two
 * who ask at once send one mail; whoever dies in between leaves a note that can be taken on again, and a mail that went out is
 * not sent again. No connection is held while it is sent.
 */
export async function remind(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  project: number,
  week: string,
): Promise<Result<{ to: string }>> {
  knownProject(desk, project);
  const { viewer } = desk;
  if (viewer.isClient) return refusal("right", "Ask somebody of the project to remind them.");
  const owed = (await listOwed(em, desk, project)).find((line) => line.week === week);
  if (!owed) return refusal("none", "Nobody owes a word for this week any more.");
  const kept = await loadProject(em, project);
  const manager = kept?.manager ? await mailOf(em, kept.manager) : null;
  if (!kept?.manager || !manager)
    return refusal("nobody", `${kept?.name ?? "The project"} has no manager who could be asked.`);
  if (!manager.email) return refusal("address", `${manager.name} has no mail address.`);
  const key = { project, week, person: kept.manager };
  const now = new Date(clock.now() / 1000);
  if (!(await takeReminder(em, key, viewer.person, now)))
    return refusal("twice", `${manager.name} was asked for this week already.`);
  const letter = { to: manager.email, by: viewer.name, name: kept.name, begins: owed.begins };
  if (!(await send(em, key, letter))) {
    await dropReminder(em, key);
    return refusal("mail", "The mail server did not take it. Nothing was sent; try again.");
  }
  await reminderSent(em, key, now);
  return fine({ to: manager.name });
}

/** @returns whether it went out, now or before */
async function send(
  em: EntityManager,
  { project, week, person }: ReminderKey,
  { to, by, name, begins }: { to: string; by: string; name: string; begins: string },
): Promise<boolean> {
  const messageId = `<reminder.${project}.${week}.${person}@grand-tally.invalid>`;
  if (await wasTaken(em, messageId)) return true;
  try {
    await transport().sendMail({
      from: SENDER,
      to,
      messageId,
      subject: `${name}: your word for the week of ${dayText(begins)}`,
      text: [
        `${by} asks for your word on ${name} for the week of ${dayText(begins)}.`,
        "",
        "It takes a minute: how it is, what was done, what comes next, what worries you.",
        `${ownAddress()}/projects/${project}?leaf=words&week=${week}`,
      ].join("\n"),
    });
    return true;
  } catch (error) {
    log.warn({ error, project, week }, "a reminder was not taken");
    // Where the connection broke, it may have gone out.
    return (await wasTaken(em, messageId)) === true;
  }
}
