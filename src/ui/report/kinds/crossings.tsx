import type { CrossingsReport } from "@/core/kinds";
import { BesidePicker, GrainPicker, PeriodPicker, WhichPicker, withBeside } from "../pickers";
import { LIST_INSTEAD, OneMeasurePicker, RunningTotalPicker } from "./common";
import type { Addition, BuilderKind } from "./builderKind";

const running: Addition<CrossingsReport> = {
  label: "running total",
  about: "each added to those before",
  say: (report) => ({ ...report, runningTotal: true }),
};
const beside: Addition<CrossingsReport> = {
  label: "with …",
  about: "their net, or the level",
  say: (report) => withBeside(report, ["level"]),
};

export const crossingsBuilder: BuilderKind<CrossingsReport> = {
  pickers: {
    measure: (props) => <OneMeasurePicker {...props} />,
    which: (props) => <WhichPicker {...props} />,
    period: (props) => <PeriodPicker {...props} />,
    grain: (props) => <GrainPicker {...props} />,
    beside: (props) => <BesidePicker {...props} />,
    runningTotal: (props) => <RunningTotalPicker {...props} />,
  },
  additions: (report) => [
    ...(report.runningTotal ? [] : [running]),
    ...(report.beside ? [] : [beside]),
    LIST_INSTEAD,
  ],
};
