import type { AnswerOf, BurndownReport } from "@/core/kinds";
import { BurnsPicker, EndsPicker, UnitPicker } from "../pickers";
import { HISTORY, LIST_INSTEAD } from "./common";
import type { RoomKind } from "./roomKind";

export const burndownRoom: RoomKind<BurndownReport, AnswerOf<"burndown">> = {
  ...HISTORY,
  pickers: {
    ends: (props) => <EndsPicker {...props} />,
    burns: (props) => <BurnsPicker {...props} />,
    unit: (props) => <UnitPicker {...props} />,
  },
  additions: () => [LIST_INSTEAD],
  hasPace: true,
};
