import type { NamedMeasure } from "./catalog";
import type { SubjectId } from "./subjects";

interface Term {
  readonly measure: "sum";
  readonly field: readonly string[];
  readonly where?: object;
}

const test = (field: string, operator: string, ...values: object[]) => ({
  kind: "test",
  field: [field],
  operator,
  values,
});
const budgeted = test("budget", "over", { kind: "number", number: "0" });
const untilToday = test("date", "until", {
  kind: "period",
  period: { kind: "day", which: "today" },
});
const known = (field: string) => test(field, "isNotEmpty");

const ratio =
  (subject: SubjectId) =>
  (name: string, means: string, top: string, bottom: string, where?: object, isIndex?: true) => {
    const sum = (field: string): Term => ({
      measure: "sum",
      field: [field],
      ...(where ? { where } : {}),
    });
    return {
      name,
      means,
      subject,
      measure: { ...sum(top), per: sum(bottom) },
      ...(isIndex ? { isIndex } : {}),
    };
  };
const ofProjects = ratio("projects");
const ofDays = ratio("personDays");

const READY = [
  ofProjects(
    "budget used",
    "actual cost of the budgets there are",
    "actual cost",
    "budget",
    budgeted,
  ),
  ofProjects(
    "projected share",
    "projected cost of the budgets there are",
    "projected cost",
    "budget",
    budgeted,
  ),
  ofProjects("margin percent", "what is left of the revenue", "margin", "revenue"),
  ofProjects(
    "billing efficiency",
    "what is billed of the revenue",
    "billed",
    "revenue",
    known("revenue"),
  ),
  ofProjects(
    "planned share",
    "what was to be earned by now, of the budgets",
    "planned value",
    "budget",
    known("earned value"),
  ),
  ofProjects(
    "actual share",
    "what is earned, of the budgets",
    "earned value",
    "budget",
    known("earned value"),
  ),
  ofProjects(
    "cost performance index",
    "what is earned for what it cost",
    "earned value",
    "status cost",
    undefined,
    true,
  ),
  ofProjects(
    "schedule performance index",
    "what is earned of what was to be",
    "earned value",
    "planned value",
    undefined,
    true,
  ),
  {
    name: "billable share",
    means: "billable minutes of all",
    subject: "timeEntries" as const,
    measure: {
      measure: "sum",
      field: ["minutes"],
      where: test("billable", "is", { kind: "flag", yes: true }),
      per: { measure: "sum", field: ["minutes"] },
    },
  },
  ofDays("utilisation", "work of the capacity, until today", "worked", "capacity", untilToday),
  ofDays(
    "billable utilisation",
    "billable work of the capacity, until today",
    "billable worked",
    "capacity",
    untilToday,
  ),
];

/** Measures that every workspace has; their identities lie below 0. */
export const readyMeasures: readonly NamedMeasure[] = READY.map((measure, i) => ({
  id: -1 - i,
  ...measure,
}));

/** Their groups are those of all records, also of such as a condition of theirs leaves out. */
export const isReadyMeasure = (id: number): boolean => id < 0;
