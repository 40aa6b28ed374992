import type { AnswerOf, BridgeReport } from "@/core/kinds";
import { EndsPicker } from "../pickers";
import { HISTORY, LIST_INSTEAD, OneMeasurePicker } from "./common";
import type { RoomKind } from "./roomKind";

export const bridgeRoom: RoomKind<BridgeReport, AnswerOf<"bridge">> = {
  ...HISTORY,
  pickers: {
    measure: (props) => <OneMeasurePicker {...props} />,
    ends: (props) => <EndsPicker {...props} />,
  },
  additions: () => [LIST_INSTEAD],
};
