import { fine, refused, type Result } from "@/core/base";
import { dayText } from "@/core/time";
import { addReminder, loadProject, mailOf, type EntityManager } from "@/data";
import { log } from "../log";
import { ownAddress } from "../render/chromium";
import { SENDER, transport, wasTaken } from "../mail/transport";
import type { Desk } from "../viewer/viewpoint";
import { listOwed, mondayOfWeek } from "./records";
import { knownProject } from "./room";

const refusal = (code: string, message: string) => refused({ code: `reminder.${code}`, message });

/**
 * Asks the manager of a project by mail for the word of a week that they owe; once. The note that they were asked and the mail
 * are one act: a mail that is not taken leaves no note, and one that was taken is not sent again.
 */
export async function remind(
  em: EntityManager,
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
  const isFirst = await addReminder(em, {
    project,
    week,
    person: kept.manager,
    by: viewer.person,
  });
  if (!isFirst) return refusal("twice", `${manager.name} was asked for this week already.`);
  const messageId = `<reminder.${project}.${week}.${kept.manager}@grand-tally.invalid>`;
  if (!(await wasTaken(em, messageId))) {
    const begins = dayText(mondayOfWeek(week)!);
    try {
      await transport().sendMail({
        from: SENDER,
        to: manager.email,
        messageId,
        subject: `${kept.name}: your word for the week of ${begins}`,
        text: [
          `${viewer.name} asks for your word on ${kept.name} for the week of ${begins}.`,
          "",
          "It takes a minute: how it is, what was done, what comes next, what worries you.",
          `${ownAddress()}/projects/${project}?leaf=words&week=${week}`,
        ].join("\n"),
      });
    } catch (error) {
      log.warn({ error, project, week }, "a reminder was not taken");
      return refusal("mail", "The mail server did not take it. Nothing was sent; try again.");
    }
  }
  return fine({ to: manager.name });
}
