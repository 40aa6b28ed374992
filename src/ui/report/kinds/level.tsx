import type { LevelReport } from "@/core/kinds";
import { GrainPicker, PeriodPicker } from "../pickers";
import { groupPicker, LIST_INSTEAD, OneMeasurePicker, SplitPicker } from "./common";
import type { Addition, BuilderKind } from "./builderKind";

const split: Addition<LevelReport> = {
  label: "split by …",
  about: "what each level is made of",
  choose: groupPicker((report, group) => ({ ...report, split: group })),
};

export const levelBuilder: BuilderKind<LevelReport> = {
  pickers: {
    measure: (props) => <OneMeasurePicker {...props} />,
    split: (props) => <SplitPicker {...props} />,
    period: (props) => <PeriodPicker {...props} />,
    grain: (props) => <GrainPicker {...props} />,
  },
  additions: (report) => [...(report.split ? [] : [split]), LIST_INSTEAD],
};
