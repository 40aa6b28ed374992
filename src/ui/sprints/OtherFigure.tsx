"use client";
import { type LevelAnswer, type Report, isDrawable, answerOf } from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { PLAIN_DRESS } from "@/core/definition";
import type { Mark } from "@/core/figure";
import { type AxisStretch } from "../charts";
import { ask, Button, Choice, Empty, Waiting } from "../kit";
import { FigureBody, flagsOf, saidWords, Says, useDayNotes } from "../report";
import { flowWidths } from "./flowWidths";

/** A figure of the sprint room beside the burndown; a flow can be measured between two days. */
export function OtherFigure({
  report,
  title,
  onOpen,
}: {
  report: Report;
  title: string;
  onOpen: (mark: Mark) => void;
}) {
  const [stretch, setStretch] = useState<AxisStretch | null>(null);
  const { data: notes } = useDayNotes(null);
  const { data, error } = useQuery({
    queryKey: ["figure", report],
    queryFn: ({ signal }) => ask("figure", { definition: report, dress: PLAIN_DRESS }, signal),
    placeholderData: keepPreviousData,
  });
  if (error && !data) return <Empty says={error.message} />;
  if (!isDrawable(data)) return <Waiting>Counting …</Waiting>;
  const flow = answerOf("level", data);
  if (data.kind === "history" && data.blank) return <Empty says={data.blank} />;
  return (
    <>
      <Says>{saidWords(data.says)}</Says>
      <div
        aria-label="Figure"
        role="group"
        style={{ display: "flex", flexDirection: "column", flex: 1, minHeight: 0 }}
      >
        <FigureBody
          shown={data}
          report={report}
          dress={PLAIN_DRESS}
          measure=""
          title={title}
          opened={null}
          onOpen={onOpen}
          asTable={false}
          flags={flagsOf(notes ?? [], data)}
          {...(flow ? { stretch, onStretch: setStretch } : {})}
        />
      </div>
      {flow &&
        flow.rows.length > 1 &&
        (stretch ? (
          <Widths answer={flow} stretch={stretch} onStretch={setStretch} />
        ) : (
          <p style={{ color: "var(--ink-2)" }}>
            Drag across the flow, or{" "}
            <Button
              $small
              $look="line"
              onPress={() => setStretch({ from: 0, to: flow.rows.length - 1 })}
            >
              measure it
            </Button>{" "}
            between two days.
          </p>
        ))}
    </>
  );
}

/** What each status held at two days, and how long things took through it from the first. */
export function Widths({
  answer,
  stretch: { from, to },
  onStretch,
}: {
  answer: LevelAnswer;
  stretch: AxisStretch;
  onStretch: (stretch: AxisStretch | null) => void;
}) {
  const days = answer.rows.map((row, place) => [String(place), row.label] as const);
  return (
    <table style={{ borderCollapse: "collapse", width: "100%" }} aria-label="Widths">
      <thead>
        <tr style={{ color: "var(--ink-2)", textAlign: "right" }}>
          <th style={{ fontWeight: 500, textAlign: "left" }}>
            status{" "}
            <Button $small onPress={() => onStretch(null)}>
              Done measuring
            </Button>
          </th>
          <th style={{ fontWeight: 500 }}>
            <Choice
              hideLabel
              label="From the end of"
              value={String(from)}
              options={days.slice(0, to)}
              onChange={(place) => onStretch({ from: Number(place), to })}
            />
          </th>
          <th style={{ fontWeight: 500 }}>
            <Choice
              hideLabel
              label="To the end of"
              value={String(to)}
              options={days.slice(from + 1)}
              onChange={(place) => onStretch({ from, to: Number(place) })}
            />
          </th>
          <th style={{ fontWeight: 500 }}>time through it</th>
        </tr>
      </thead>
      <tbody>
        {flowWidths(answer, from, to).map((one) => (
          <tr key={one.label} style={{ borderTop: "1px solid var(--line)", textAlign: "right" }}>
            <th scope="row" style={{ fontWeight: 500, textAlign: "left" }}>
              {one.label}
            </th>
            <td>{one.first}</td>
            <td>{one.second}</td>
            <td>{one.days === null ? "–" : one.days === 1 ? "1 day" : `${one.days} days`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
