import type { CountReport, Report } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";
import type { Group } from "@/core/definition";
import { STATUS_IS_OPEN } from "@/core/filter";
import { measures } from "@/core/measure";
import { addMonths, localDay } from "@/core/time";
import { ComparedPicker, GroupPicker, MeasurePicker, PeriodPicker } from "../pickers";
import { groupPicker, LIST_INSTEAD, RunningTotalPicker, SplitPicker } from "./common";
import type { Addition, BuilderKind } from "./builderKind";

const groupsOf = (report: CountReport): readonly Group[] => [
  ...report.by,
  ...(report.split ? [report.split] : []),
];

/** A period and a running total need their date group; without it they go, too. */
function withoutPeriod(report: CountReport): CountReport {
  if (groupsOf(report).some((group) => group.grain)) return report;
  const { period: _p, runningTotal: _r, ...kept } = report;
  return kept;
}

/** One group runs along time, so that a period can be said for it. */
const isDated = (report: CountReport): boolean =>
  groupsOf(report).filter(({ grain }) => grain && grain !== "hour" && grain !== "weekday")
    .length === 1;

/** A measure to begin with beside the count: an average of what the subject can be measured by. */
function firstAverage(
  report: CountReport,
  { catalog }: AskContext,
): CountReport["measures"][number] {
  const fields = catalog.fieldsOf(report.subject.id);
  const field = fields.find((one) => one.id === "age") ?? fields.find(measures.average.fits);
  return field
    ? {
        measure: "average",
        field: [field.id],
        ...(field.id === "age" ? { unit: "days" as const } : {}),
      }
    : { measure: "distinct", field: [fields[0].id] };
}

const hasCount = (report: CountReport): boolean =>
  report.measures.some((one) => !("named" in one) && one.measure === "count" && !one.where);

const asked = ({ subject, where }: Report) => ({ subject, ...(where ? { where } : {}) });
const LAST_YEAR = {
  kind: "rolling",
  way: "last",
  count: 12,
  unit: "month",
  toDate: true,
} as const;

/** The same records asked of history. */
const HISTORIES: readonly Addition<CountReport>[] = [
  {
    label: "level instead",
    about: "how many at each stretch's end, as it was",
    say: (report) => {
      const [first] = report.by;
      return {
        kind: "level",
        ...asked(report),
        grain: "month",
        period: LAST_YEAR,
        ...(first && !first.grain && !first.cases ? { split: first } : {}),
        shape: "area",
      };
    },
  },
  {
    label: "arrivals and departures instead",
    about: "what came in and went out",
    say: (report) => ({
      kind: "crossings",
      which: "both",
      ...asked(report),
      // Without a condition only creations and deletions would come and go.
      ...(report.where ? {} : { where: STATUS_IS_OPEN }),
      grain: "month",
      period: LAST_YEAR,
      shape: "columns",
    }),
  },
  {
    label: "bridge instead",
    about: "why a level moved",
    say: (report, context) => {
      const today = localDay(context.now, context.calendar.zone);
      return {
        kind: "bridge",
        ...asked(report),
        from: addMonths(today, -1),
        to: today,
        shape: "waterfall",
      };
    },
  },
];

const addGroup = (report: CountReport): Addition<CountReport> => ({
  label: report.by.length ? "then by …" : "by …",
  about: report.by.length ? "a group within the group" : "a group",
  isDisabled: report.by.length >= 3,
  choose: groupPicker((now, group) => ({ ...now, by: [...now.by, group] })),
});
const addSplit = (report: CountReport): Addition<CountReport> => ({
  label: "split by …",
  about: "what each is made of",
  isDisabled: report.by.length === 0,
  choose: groupPicker((now, split) => ({ ...now, split })),
});
const addMeasure = (report: CountReport): Addition<CountReport> => ({
  label: "and …",
  about: "one more measure",
  isDisabled: report.measures.length >= 6,
  say: (now, context) => ({
    ...now,
    measures: [...now.measures, hasCount(now) ? firstAverage(now, context) : { measure: "count" }],
  }),
});
const SWAP: Addition<CountReport> = {
  label: "swap the axes",
  about: "split and last group change places",
  say: (report) => ({
    ...report,
    by: [...report.by.slice(0, -1), report.split!],
    split: report.by[report.by.length - 1],
  }),
};
const COMPARED: Addition<CountReport> = {
  label: "compared with …",
  about: "the period before, a year earlier",
  choose: (props) => <ComparedPicker {...props} />,
};
const PERIOD: Addition<CountReport> = {
  label: "for …",
  about: "the period of the dates",
  choose: (props) => <PeriodPicker {...props} />,
};
const RUNNING: Addition<CountReport> = {
  label: "running total",
  about: "each added to those before",
  say: (report) => ({ ...report, runningTotal: true }),
};

export const countBuilder: BuilderKind<CountReport> = {
  pickers: {
    measure: (props) => <MeasurePicker {...props} />,
    by: ({ report, index, onChange, onDone, context }) => (
      <GroupPicker
        {...{ context, report, onDone }}
        group={report.by[index] ?? null}
        onGroup={(group) =>
          onChange({
            ...report,
            by: [...report.by.slice(0, index), group, ...report.by.slice(index + 1)],
          })
        }
        onTakeOut={() => {
          onChange(withoutPeriod({ ...report, by: report.by.filter((_, i) => i !== index) }));
          onDone();
        }}
      />
    ),
    split: (props) => <SplitPicker {...props} without={withoutPeriod} />,
    compared: (props) => <ComparedPicker {...props} />,
    period: (props) => (
      <PeriodPicker
        {...props}
        onTakeOut={() => {
          const { period: _p, periodOf: _o, runningTotal: _r, ...kept } = props.report;
          props.onChange(kept);
          props.onDone();
        }}
      />
    ),
    runningTotal: (props) => <RunningTotalPicker {...props} />,
  },
  additions: (report) => [
    addGroup(report),
    ...(report.split ? [] : [addSplit(report)]),
    addMeasure(report),
    ...(report.by.length > 0 && report.split ? [SWAP] : []),
    ...(report.compared ? [] : [COMPARED]),
    ...(isDated(report) && !report.period ? [PERIOD] : []),
    ...(isDated(report) && report.period && !report.runningTotal ? [RUNNING] : []),
    LIST_INSTEAD,
    ...(report.subject.id === "items" ? HISTORIES : []),
  ],
};
