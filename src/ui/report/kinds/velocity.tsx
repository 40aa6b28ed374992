import type { AnswerOf, VelocityReport } from "@/core/kinds";
import { LastPicker, TeamPicker, UnitPicker } from "../pickers";
import { HISTORY, LIST_INSTEAD } from "./common";
import type { RoomKind } from "./roomKind";

export const velocityRoom: RoomKind<VelocityReport, AnswerOf<"velocity">> = {
  ...HISTORY,
  pickers: {
    unit: (props) => <UnitPicker {...props} />,
    team: (props) => <TeamPicker {...props} />,
    last: (props) => <LastPicker {...props} />,
  },
  additions: () => [LIST_INSTEAD],
};
