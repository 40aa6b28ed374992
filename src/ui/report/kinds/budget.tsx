import type { BudgetReport } from "@/core/kinds";
import { EndsPicker } from "../pickers";
import { LIST_INSTEAD } from "./common";
import type { Addition, BuilderKind, Picker } from "./builderKind";

const ends: Picker<BudgetReport> = ({ report, onChange, onDone }) => (
  <EndsPicker
    ends={report.ends ? [report.ends.from, report.ends.to] : ["", ""]}
    onEnds={(from, to) => onChange({ ...report, ends: { from, to } })}
    onDone={onDone}
  />
);

const fromTo: Addition<BudgetReport> = {
  label: "from … to …",
  about: "other days than the first start and the last end",
  choose: ends,
};

export const budgetBuilder: BuilderKind<BudgetReport> = {
  pickers: { ends },
  additions: (report) => [...(report.ends ? [] : [fromTo]), LIST_INSTEAD],
};
