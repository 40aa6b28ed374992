import type { SCurveReport } from "@/core/kinds";
import { CurvePicker, GrainPicker, PeriodPicker } from "../pickers";
import { LIST_INSTEAD } from "./common";
import type { BuilderKind } from "./builderKind";

export const sCurveBuilder: BuilderKind<SCurveReport> = {
  pickers: {
    curve: (props) => <CurvePicker {...props} />,
    grain: (props) => <GrainPicker {...props} />,
    period: (props) => <PeriodPicker {...props} />,
  },
  additions: () => [LIST_INSTEAD],
};
