"use client";
import type { CSSProperties } from "react";
import { listsRecords, type ShownForecast, isHistory } from "@/core/kinds";
import { CursorScope } from "../../charts";
import { Waiting, later } from "../../kit";
import { useDayNotes } from "../dress/useDayNotes";
import { FigureBody, flagsOf } from "../FigurePane";
import { askedAt, type Room } from "./useReportRoom";

const PlainList = later(() => import("./PlainList"), "PlainList");
const Places = later(() => import("../Places"), "Places");
const ListFigure = later(() => import("../ListFigure"), "ListFigure");
const ListedTimeline = later(() => import("../ListedTimeline"), "ListedTimeline");
const Under = later(() => import("../explore/Under"), "Under");
const AtCursor = later(() => import("../explore/Under"), "AtCursor");
const Explore = later(() => import("../explore/Explore"), "Explore");

/** Where nothing lies under a figure it fills the room. */
const ALONE: CSSProperties = { display: "contents" };
const LINKED: CSSProperties = {
  display: "flex",
  flexDirection: "column",
  height: 300,
  flex: "none",
};

interface DrawingProps {
  readonly likelihood: ShownForecast | null;
}

/** The drawing, and what belongs to it: the places of a pivot table, what lies under a trend, the explorer. */
export function Drawing(room: Room & DrawingProps) {
  const { figure, report, state, context, draft, dress, drafting, laid, looking } = room;
  const { trend } = figure;
  const isLinked = trend !== null && laid.length > 0;
  const isRecords = listsRecords(report);
  const isTold = !isRecords && report.kind !== "count";
  return (
    <div className={trend && !state.asTable ? "draw long" : "draw"}>
      {report.shape === "pivot" && draft.report.kind === "count" && !looking.report && (
        <Places
          context={context}
          report={draft.report}
          dress={dress}
          onChange={(next, dressed) => drafting.set({ report: next, dress: dressed })}
        />
      )}
      <CursorScope isOn={trend !== null} isLinked={isLinked}>
        {figure.isBegun && !isRecords && report.shape && !figure.isEmpty && !figure.isBlank && (
          <div style={isLinked && !state.asTable ? LINKED : ALONE}>
            <Picture {...room} />
          </div>
        )}
        {trend && !state.asTable && <BelowTrend {...room} />}
      </CursorScope>
      {isRecords && <Records {...room} />}
      {isTold && !report.shape && !figure.isBlank && <AsTable {...room} />}
      {report.kind === "count" && !report.shape && !figure.isEmpty && <NoPicture {...room} />}
      {trend && !state.asTable && state.typing === null && <Explored {...room} />}
    </div>
  );
}

function Picture({ figure, report, dress, title, state, send, ...room }: Room & DrawingProps) {
  const { drawn, trend } = figure;
  const { data: notes } = useDayNotes(room.kept?.id ?? null);
  const { forecast = null, days = [] } = room.likelihood ?? {};
  if (!drawn) return figure.error ? null : <Waiting>Counting …</Waiting>;
  return (
    <FigureBody
      shown={drawn}
      report={report}
      dress={dress}
      measure={figure.measure}
      title={title}
      opened={state.opened}
      onOpen={(mark) => send({ kind: "mark opened", mark })}
      asTable={state.asTable}
      onDress={room.drafting.setDress}
      pace={state.pace}
      flags={flagsOf(dress.dayNotes ? (notes ?? []) : [], drawn)}
      forecast={forecast ? { forecast, days } : null}
      {...(trend
        ? {
            stretch: state.stretch,
            onStretch: (stretch) => send({ kind: "stretch marked", stretch }),
          }
        : {})}
    />
  );
}

function AsTable({ figure, report, dress, title, state, send, drafting }: Room) {
  if (!figure.drawn) return null;
  return (
    <FigureBody
      shown={figure.drawn}
      report={report}
      dress={dress}
      measure={figure.measure}
      title={title}
      opened={state.opened}
      onOpen={(mark) => send({ kind: "mark opened", mark })}
      asTable
      {...(isHistory(report) ? {} : { onDress: drafting.setDress })}
    />
  );
}

/** Until a picture is chosen: the groups as a table, and the records themselves. */
function NoPicture(room: Room) {
  const { report, figure } = room;
  if (report.kind !== "count") return null;
  const hasGroups = figure.isBegun && report.by.length > 0;
  return <PlainList report={report} asGroups={hasGroups ? <AsTable {...room} /> : null} />;
}

function BelowTrend({ figure, state, context, laid, lay, reports }: Room) {
  return (
    <>
      <p className="at" aria-hidden>
        <AtCursor shown={figure.drawn} />
      </p>
      {state.typing === null && (
        <Under
          context={context}
          report={figure.trend!.report}
          laid={laid}
          onLaid={lay}
          reports={reports}
        />
      )}
    </>
  );
}

function Records({ context, report, explore, dress, drafting, mayChangeItems }: Room) {
  if (!listsRecords(report)) return null;
  if (report.shape === "timeline") return <ListedTimeline report={report} context={context} />;
  return (
    <ListFigure
      context={context}
      report={report}
      onReport={explore}
      dress={dress}
      onDress={drafting.setDress}
      mayChangeItems={mayChangeItems}
    />
  );
}

function Explored({ context, figure, state, send, explore, kept, ...room }: Room) {
  const { report, answer } = figure.trend!;
  return (
    <Explore
      context={context}
      report={report}
      answer={answer}
      stretch={state.stretch}
      onStretch={(stretch) => send({ kind: "stretch marked", stretch })}
      onChange={explore}
      reportId={kept?.id ?? null}
      address={askedAt(room.looking.report ? room.looking.says : room.says)}
      mayKeep={room.mayBuild}
      laid={room.laid}
      onLaid={room.lay}
      reports={room.reports}
    />
  );
}
