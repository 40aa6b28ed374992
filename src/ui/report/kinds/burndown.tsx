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
  choices: (report, { choices }, { catalog: { names } }) =>
    choices.flatMap((id) => {
      const sprint = names.find("sprint", id);
      if (!sprint) return [];
      const team = sprint.team === undefined ? undefined : names.find("team", sprint.team);
      const label = team ? `${sprint.label}, ${team.label}` : sprint.label;
      return [{ label, report: { ...report, of: { kind: "sprint", sprint: id } } }];
    }),
};
