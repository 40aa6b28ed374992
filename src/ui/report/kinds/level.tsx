import type { AnswerOf, LevelReport } from "@/core/kinds";
import { GrainPicker, PeriodPicker } from "../pickers";
import {
  groupPicker,
  HISTORY,
  LIST_INSTEAD,
  OneMeasurePicker,
  SplitPicker,
  subjectWords,
} from "./common";
import type { Addition, RoomKind } from "./roomKind";

const split: Addition<LevelReport> = {
  label: "split by …",
  about: "what each level is made of",
  choose: groupPicker((report, group) => ({ ...report, split: group })),
};

export const levelRoom: RoomKind<LevelReport, AnswerOf<"level">> = {
  ...HISTORY,
  pickers: {
    measure: (props) => <OneMeasurePicker {...props} />,
    split: (props) => <SplitPicker {...props} />,
    period: (props) => <PeriodPicker {...props} />,
    grain: (props) => <GrainPicker {...props} />,
  },
  additions: (report) => [...(report.split ? [] : [split]), LIST_INSTEAD],
  measureWords: (answer, report, context) =>
    answer.measure.words === "count" ? subjectWords(answer, report, context) : answer.measure.words,
  trend: (report, answer) => ({ report, answer }),
};
