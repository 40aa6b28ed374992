import { asList, type CountReport, type Report } from "@/core/kinds";
import type { Group, Measure } from "@/core/definition";
import { topParts } from "@/core/filter";
import { Choose } from "../../kit";
import {
  ConditionPicker,
  MeasurePicker,
  StoodPicker,
  GroupPicker,
  ShapePicker,
  SubjectPicker,
} from "../pickers";
import type { Addition, PartProps, Picker } from "./builderKind";

/** The pickers of the parts that every kind has. */
export const COMMON = {
  subject: (props) => <SubjectPicker {...props} />,
  where: ({ index, ...props }) => (
    <ConditionPicker
      {...props}
      index={index < topParts(props.report.where).length ? index : null}
    />
  ),
  stood: (props) => <StoodPicker {...props} />,
  shape: (props) => <ShapePicker {...props} />,
} as const satisfies Record<string, Picker>;

/** What can be added to every kind: before what is its own, and after it. */
export const CONDITIONS: readonly Addition[] = [
  {
    label: "and where …",
    about: "one more condition",
    choose: (props) => <ConditionPicker {...props} index={null} />,
  },
  {
    label: "conditions in groups …",
    about: "all of, any of, none of",
    leaveTo: "groups",
  },
];
export const stoodAddition = (report: Report): readonly Addition[] =>
  report.stood
    ? []
    : [{ label: "as it stood on …", about: "an earlier day", choose: COMMON.stood }];

export const LIST_INSTEAD: Addition = {
  label: "list instead",
  about: "the records themselves",
  say: asList,
};

/** Chooses a group that is put where it belongs once. */
export function groupPicker<R extends Report>(put: (report: R, group: Group) => Report): Picker<R> {
  return function NewGroupPicker({ report, onChange, onDone, context }) {
    return (
      <GroupPicker
        {...{ context, report, onDone }}
        group={null}
        onGroup={(group) => {
          onChange(put(report, group));
          onDone();
        }}
      />
    );
  };
}

/** Changes the split, or takes it out. */
export function SplitPicker<R extends Report & { readonly split?: Group }>({
  report,
  onChange,
  onDone,
  context,
  without = (kept) => kept,
}: PartProps<R> & { readonly without?: (kept: R) => Report }) {
  return (
    <GroupPicker
      {...{ context, report, onDone }}
      group={report.split ?? null}
      onGroup={(split) => onChange({ ...report, split } as Report)}
      onTakeOut={() => {
        const { split: _split, ...kept } = report;
        onChange(without(kept as R));
        onDone();
      }}
    />
  );
}

/** The one measure of a kind that tells of the past: nothing in it is named or shared out. */
export function OneMeasurePicker<R extends Report & { readonly measure?: Measure }>({
  report,
  onChange,
  ...props
}: PartProps<R>) {
  const counted: CountReport = {
    kind: "count",
    subject: report.subject,
    measures: [report.measure ?? { measure: "count" }],
    by: [],
  };
  return (
    <MeasurePicker
      {...props}
      report={counted}
      index={0}
      onChange={(next) => {
        const [measure] = (next as CountReport).measures;
        if ("named" in measure) return;
        const { per: _per, ...simple } = measure;
        onChange({ ...report, measure: simple } as Report);
      }}
    />
  );
}

/** Takes a running total out again. */
export function RunningTotalPicker<R extends Report & { readonly runningTotal?: true }>({
  report,
  onChange,
  onDone,
}: PartProps<R>) {
  const takeOut = () => {
    const { runningTotal: _running, ...kept } = report;
    onChange(kept as unknown as Report);
  };
  return (
    <Choose
      label="Running total"
      options={[
        { value: "on", label: "running total" },
        { value: "off", label: "each for itself" },
      ]}
      chosen={["on"]}
      onChoose={(value) => {
        if (value === "off") takeOut();
        onDone();
      }}
    />
  );
}
