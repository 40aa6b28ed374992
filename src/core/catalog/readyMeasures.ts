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

type Ratio = readonly [
  name: string,
  top: string,
  bottom: string,
  where?: object | undefined,
  isIndex?: true,
];

const PROJECTS: readonly Ratio[] = [
  ["budget used", "actual cost", "budget", budgeted],
  ["projected share", "projected cost", "budget", budgeted],
  ["margin percent", "margin", "revenue"],
  ["billing efficiency", "billed", "revenue", known("revenue")],
  ["planned share", "planned value", "budget", known("earned value")],
  ["actual share", "earned value", "budget", known("earned value")],
  ["cost performance index", "earned value", "status cost", undefined, true],
  ["schedule performance index", "earned value", "planned value", undefined, true],
];
const DAYS: readonly Ratio[] = [
  ["utilisation", "worked", "capacity", untilToday],
  ["billable utilisation", "billable worked", "capacity", untilToday],
];

const sum = (field: string, where?: object): Term => ({
  measure: "sum",
  field: [field],
  ...(where ? { where } : {}),
});
const ratios = (subject: SubjectId, list: readonly Ratio[]) =>
  list.map(([name, top, bottom, where, isIndex]) => ({
    name,
    means: `${top} per ${bottom}`,
    subject,
    measure: { ...sum(top, where), per: sum(bottom, where) },
    ...(isIndex ? { isIndex } : {}),
  }));

const READY: readonly Omit<NamedMeasure, "id">[] = [
  ...ratios("projects", PROJECTS),
  {
    name: "billable share",
    means: "billable minutes per minutes",
    subject: "timeEntries",
    measure: {
      ...sum("minutes", test("billable", "is", { kind: "flag", yes: true })),
      per: sum("minutes"),
    },
  },
  ...ratios("personDays", DAYS),
];

/** Measures that every workspace has; their identities lie below 0. */
export const readyMeasures: readonly NamedMeasure[] = READY.map((measure, i) => ({
  id: -1 - i,
  ...measure,
}));

/** Their groups are those of all records, also of such as a condition of theirs leaves out. */
export const isReadyMeasure = (id: number): boolean => id < 0;
