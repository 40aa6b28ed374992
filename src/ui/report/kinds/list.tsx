import type { ListReport } from "@/core/kinds";
import { GroupPicker, ShowingPicker, SortPicker } from "../pickers";
import { groupPicker } from "./common";
import type { Addition, BuilderKind } from "./builderKind";

const grouped: Addition<ListReport> = {
  label: "grouped by …",
  about: "groups that open and close",
  choose: groupPicker((report, by) => ({ ...report, by })),
};

export const listBuilder: BuilderKind<ListReport> = {
  pickers: {
    showing: (props) => <ShowingPicker {...props} />,
    sorts: (props) => <SortPicker {...props} />,
    groupedBy: ({ report, onChange, onDone, context }) => (
      <GroupPicker
        {...{ context, report, onDone }}
        group={report.by ?? null}
        onGroup={(by) => onChange({ ...report, by })}
        onTakeOut={() => {
          const { by: _by, ...kept } = report;
          onChange(kept);
          onDone();
        }}
      />
    ),
  },
  additions: (report) => [
    ...(report.by ? [] : [grouped]),
    {
      label: "showing …",
      about: "columns",
      choose: (props) => <ShowingPicker {...props} />,
    },
    {
      label: "sorted by …",
      about: "order",
      choose: (props) => <SortPicker {...props} />,
    },
  ],
};
