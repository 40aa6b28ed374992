import { parseSentence, printReport } from "@/core/kinds";
import { plannedOf, viewOf } from "@/core/kinds/planned";
import { explainPlan, findPersonByLogin, loadViewer, newSession } from "@/data";
import { systemClock } from "@/server/clock";

import { deskOf } from "@/server/viewer/viewpoint";
import { runCommand } from "./run";

/** bin/explain LOGIN 'SENTENCE' */
runCommand(async () => {
  const [login, sentence] = process.argv.slice(2);
  if (!login || !sentence)
    throw new Error("say for whom and what: bin/explain LOGIN 'count open items'");
  const em = await newSession();
  const person = await findPersonByLogin(em, login);
  const viewer = person === null ? null : await loadViewer(em, person);
  if (!viewer) throw new Error(`nobody active has the login ${login}`);
  const { view } = await deskOf(em, viewer, systemClock);
  const parsed = parseSentence(sentence, view);
  if (!parsed.ok) throw new Error(parsed.problems.map(({ message }) => message).join("; "));
  const report = parsed.value;
  process.stdout.write(`${printReport(report, view.catalog)}\n`);
  const plan = plannedOf(report).answer(report, viewOf(report, view));
  for (const { text, values, lines } of await explainPlan(em, plan))
    process.stdout.write(`\n${text}\n-- ${JSON.stringify(values)}\n${lines.join("\n")}\n`);
});
