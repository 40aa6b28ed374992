"use client";
import { listsRecords } from "@/core/kinds";
import { later, useFetchAhead } from "../kit";
import { Dialogs } from "./room/Dialogs";
import { FigureArea } from "./room/FigureArea";
import { Grid } from "./room/Grid";
import { Head } from "./room/Head";
import { Side } from "./room/Side";
import { useReportRoom, type RoomProps } from "./room/useReportRoom";

const Readers = later(() => import("./Readers"), "Readers");
const Drawer = later(() => import("./Drawer"), "Drawer");

/** The report room: the sentence, readers' choices, the figure, its dress, and the drawer with its records and workings. */
export function ReportRoom(props: RoomProps) {
  useFetchAhead(Drawer);
  const room = useReportRoom(props);
  const { context, draft, dress, report, state, send, figure } = room;
  const isRead = listsRecords(report) || room.looking.report !== null;
  const isNarrow = isRead && state.typing === null && !state.showsDress;
  return (
    <Grid $wide={isNarrow}>
      <Head {...room} />
      <div className="readers">
        {!room.looking.report && (
          <Readers
            context={context}
            report={draft.report}
            dress={dress}
            chosen={room.chosen}
            onChoose={room.choose}
          />
        )}
      </div>
      <FigureArea {...room} />
      <div className="side">
        <Side {...room} isNarrow={isNarrow} />
      </div>
      <div className="drawer">
        {!state.showsGroups && figure.isWhole && (
          <Drawer
            context={context}
            report={report}
            opened={state.opened}
            tab={state.tab}
            onTab={(tab) => send({ kind: "tab chosen", tab })}
            onShowAll={() => send({ kind: "all shown" })}
            reports={room.reports}
            mayChangeItems={room.mayChangeItems}
            onSaveFilter={room.mayBuild ? () => room.open({ kind: "filter" }) : null}
            onExport={figure.isBegun ? room.download : null}
          />
        )}
      </div>
      <Dialogs {...room} />
    </Grid>
  );
}
