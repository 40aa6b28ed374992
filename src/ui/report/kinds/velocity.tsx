import type { VelocityReport } from "@/core/kinds";
import { LastPicker, TeamPicker, UnitPicker } from "../pickers";
import { LIST_INSTEAD } from "./common";
import type { BuilderKind } from "./builderKind";

export const velocityBuilder: BuilderKind<VelocityReport> = {
  pickers: {
    unit: (props) => <UnitPicker {...props} />,
    team: (props) => <TeamPicker {...props} />,
    last: (props) => <LastPicker {...props} />,
  },
  additions: () => [LIST_INSTEAD],
};
