import { defineDerived } from "../derived/defineDerived";
import { column, defineSubject, thingField } from "./defineSubject";

export const milestones = defineSubject({
  words: "milestones",
  one: "milestone",
  key: "project",
  date: "due",
  fields: [
    thingField("project", "project", "project_id"),
    { id: "name", words: "name", type: "text", source: column("name") },
    defineDerived("milestoneBaseline", { id: "baseline", words: "baseline", type: "date" }),
    { id: "due", words: "due", type: "date", source: column("due_on") },
    defineDerived("milestoneReached", { id: "reached", words: "reached", type: "date" }),
    defineDerived("milestoneState", {
      id: "state",
      words: "state",
      type: "choice",
      choices: ["reached", "overdue", "to come"],
    }),
    defineDerived("milestoneSlip", { id: "slip", words: "slip", type: "number" }),
  ],
  showing: ["project", "name", "baseline", "due", "reached", "state", "slip"],
  sorted: { field: "due", descending: false },
});
