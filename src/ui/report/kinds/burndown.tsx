import type { BurndownReport } from "@/core/kinds";
import { BurnsPicker, EndsPicker, UnitPicker } from "../pickers";
import { LIST_INSTEAD } from "./common";
import type { BuilderKind } from "./builderKind";

export const burndownBuilder: BuilderKind<BurndownReport> = {
  pickers: {
    ends: ({ report, onChange, onDone }) => (
      <EndsPicker
        ends={report.of.kind === "filter" ? [report.of.from, report.of.to] : ["", ""]}
        onEnds={(from, to) => onChange({ ...report, of: { kind: "filter", from, to } })}
        onDone={onDone}
      />
    ),
    burns: (props) => <BurnsPicker {...props} />,
    unit: (props) => <UnitPicker {...props} />,
  },
  additions: () => [LIST_INSTEAD],
};
