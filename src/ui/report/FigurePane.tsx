"use client";
import { shownKindOf } from "./kinds/shown";
import type { DayNoteLine } from "@/contract/notes";
import type { Drawable, Report } from "@/core/kinds";
import styled from "styled-components";
import type { Dress } from "@/core/definition";
import type { Mark, Said } from "@/core/figure";

import { Chart, FigureTable, markId, type ChartProps, type DayFlag } from "../charts";
import { Rename } from "./later";

export const Says = styled.p`
  font: 400 17px/24px var(--serif);
  color: var(--ink);
  b {
    font-weight: 620;
  }
`;
export const saidWords = (says: readonly Said[]) =>
  says.map((said, i) =>
    said.strong ? <b key={i}>{said.text}</b> : <span key={i}>{said.text}</span>,
  );

interface FigureBodyProps {
  readonly shown: Drawable;
  readonly report: Report;
  readonly dress: Dress;
  readonly measure: string;
  readonly title: string;
  readonly opened: Mark | null;
  readonly onOpen: (mark: Mark) => void;
  readonly asTable: boolean;
  readonly small?: boolean;
  /** It takes the height of its place. */
  readonly fills?: boolean;
  readonly onDress?: (dress: Dress) => void;
  readonly flags?: readonly DayFlag[];
  readonly pace?: "working" | "clock";
  readonly forecast?: ChartProps["forecast"];
  readonly stretch?: ChartProps["stretch"];
  readonly onStretch?: ChartProps["onStretch"];
  /** The parts that narrow other tiles, by their marks. */
  readonly lit?: readonly string[];
}

/** A figure as its picture, its table, or both. */
export function FigureBody({
  shown,
  report,
  dress,
  measure,
  title,
  opened,
  onOpen,
  asTable,
  small,
  fills,
  onDress,
  flags,
  pace,
  forecast,
  stretch,
  onStretch,
  lit,
}: FigureBodyProps) {
  // What is not known, or never was, is said.
  if (shown.kind === "history" && shown.blank)
    return <Says style={{ margin: small ? "auto 0" : 0 }}>{shown.blank}</Says>;
  const drawn = {
    onOpen,
    opened: lit ?? (opened ? [markId(opened)] : []),
    ...(lit ? { isBeam: true } : {}),
    label: title,
    dress,
    ...(small ? { small } : {}),
    ...(fills ? { fills } : {}),
  };
  const rename = (key: string, label: string) => (
    <Rename
      label={`Rename ${label}`}
      value={label}
      own=""
      onName={(name) => {
        const { [key]: _was, ...rest } = dress.names;
        onDress?.({ ...dress, names: name ? { ...rest, [key]: name } : rest });
      }}
    />
  );
  const table = shown.figure && (
    <FigureTable
      figure={shown.figure}
      drawn={drawn}
      measure={measure}
      {...(onDress ? { rename } : {})}
    />
  );
  const { shape } = report;
  const isDrawn = shape && shape !== "list" && shape !== "timeline";
  if ((asTable || !isDrawn) && table) return table;
  if (!isDrawn) return null;
  const ends = shownKindOf(report).ends?.(report);
  const chart = (
    <Chart
      shape={shape}
      shown={shown}
      drawn={drawn}
      measure={measure}
      {...(onDress ? { onDress } : {})}
      {...(flags ? { flags } : {})}
      {...(ends ? { ends } : {})}
      {...(pace ? { pace } : {})}
      {...(forecast ? { forecast } : {})}
      {...(stretch ? { stretch } : {})}
      {...(onStretch ? { onStretch } : {})}
    />
  );
  if (small || dress.table === "none" || !table) return chart;
  if (dress.table === "below")
    return (
      <>
        {chart}
        {table}
      </>
    );
  return (
    <div
      style={{
        display: "grid",
        gridTemplateColumns: "minmax(0, 3fr) minmax(220px, 2fr)",
        gap: 20,
        flex: 1,
        minHeight: 0,
      }}
    >
      <div style={{ display: "flex", flexDirection: "column", minWidth: 0 }}>{chart}</div>
      {table}
    </div>
  );
}

/** The notes of days as flags at the stretches of a time axis that hold them, and where history begins. */
export function flagsOf(notes: readonly DayNoteLine[], shown: Drawable | null): DayFlag[] {
  const axis = shown && shownKindOf(shown.answer).axis?.(shown.answer);
  const days =
    shown?.kind === "history"
      ? shown.pace?.days.map((day) => ({ ...day, from: day.day, to: day.day }))
      : undefined;
  const buckets = axis?.buckets ?? days ?? [];
  const place = (holds: (bucket: NonNullable<(typeof buckets)[number]>) => boolean) =>
    buckets.findIndex((bucket) => bucket && holds(bucket));
  const begins = axis?.begins ?? null;
  const first =
    begins === null ? -1 : place((bucket) => bucket.start <= begins && begins < bucket.end);
  return [
    ...notes.map((note) => ({
      place: place((bucket) => bucket.from <= note.day && note.day <= bucket.to),
      words: note.words,
    })),
    { place: first, words: "history begins" },
  ].filter((flag) => flag.place >= 0);
}
