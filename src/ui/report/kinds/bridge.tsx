import type { BridgeReport } from "@/core/kinds";
import { EndsPicker } from "../pickers";
import { LIST_INSTEAD, OneMeasurePicker } from "./common";
import type { BuilderKind } from "./builderKind";

export const bridgeBuilder: BuilderKind<BridgeReport> = {
  pickers: {
    measure: (props) => <OneMeasurePicker {...props} />,
    ends: ({ report, onChange, onDone }) => (
      <EndsPicker
        ends={[report.from, report.to]}
        onEnds={(from, to) => onChange({ ...report, from, to })}
        onDone={onDone}
      />
    ),
  },
  additions: () => [LIST_INSTEAD],
};
