"use client";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Report } from "@/core/definition";
import { parseSentence, printReport, sentencePieces } from "@/core/sentence";
import { Fragment } from "react";

const Grid = styled.div`
  padding: 2px 0 24px; && h2 { font: 620 21px/28px var(--serif); margin-bottom: 12px; }
  .six { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 14px; max-width: 980px; } .six button { background: var(--paper); padding: 14px 16px 16px; display: flex; flex-direction: column; gap: 14px; min-height: 150px; width: 100%; }
  .six button:hover { background: var(--mallow); } .six svg { width: 100%; height: 74px; } .six span { font: 480 17px/23px var(--serif); margin-top: auto; } .six i { color: var(--ink-3); }
  @media (max-width: 900px) { padding: 14px 16px; .six { grid-template-columns: 1fr 1fr; } }
`;

/** Likely first questions about a subject; only those the workspace can answer. */
export function Begin({ context, report, onChange }: { context: AskContext; report: Report; onChange: (report: Report) => void }) {
  const what = context.catalog.subjectWords(report.subject);
  const likely = report.subject.id === "items"
    ? [`count ${what} where status is open by priority as bars`, `count ${what} by week of created for last 12 full weeks as columns`, `count ${what} where status is open by service as donut`, `count ${what} by month of finished for last 12 months as line`, `count ${what} where status is open by team split by status as stacked bars`, `list ${what} where assignee is me and status is open showing key, title, priority, age sorted by age descending as list`]
    : report.subject.id === "moves"
      ? ["count moves by moved by top 10 as bars", "count moves by week of moved on for last 12 full weeks as columns", "count moves where field is status by new value as bars"]
      : ["sum of minutes in hours of time entries by person top 10 as bars", "sum of minutes in hours of time entries by month of worked on for last 12 months as columns", "sum of minutes in hours of time entries by billable as donut"];
  const begun = likely.flatMap((sentence) => { const parsed = parseSentence(sentence, context); return parsed.ok ? [parsed.value] : []; });
  if (begun.length === 0) return null;
  return (
    <Grid>
      <h2>Begin with one of these, then change any word</h2>
      <div className="six">
        {begun.map((one) => (
          <button key={printReport(one, context.catalog)} onClick={() => onChange(one)}>
            <Sketch shape={one.shape ?? "list"} />
            <span>{sentencePieces(one, context.catalog).filter((piece) => piece.part?.area !== "shape" && piece.text !== "as").map((piece, i) => <Fragment key={i}>{i > 0 && piece.text !== "," ? " " : ""}{piece.part ? piece.text : <i>{piece.text}</i>}</Fragment>)}</span>
          </button>
        ))}
      </div>
    </Grid>
  );
}

/** A small drawing of what a shape looks like. */
export function Sketch({ shape }: { shape: string }) {
  const bars = [0.95, 0.7, 0.48, 0.26];
  const steps = [0.35, 0.5, 0.45, 0.62, 0.95, 0.8, 0.6, 0.42];
  return (
    <svg viewBox="0 0 120 60" preserveAspectRatio="xMinYMid meet" aria-hidden>
      {shape === "bars" && bars.map((w, i) => <rect key={i} x="0" y={i * 15} width={w * 110} height="11" fill="var(--c1)" />)}
      {shape === "stackedBars" && bars.map((w, i) => <g key={i}><rect x="0" y={i * 15} width={w * 70} height="11" fill="var(--c1)" /><rect x={w * 70 + 1} y={i * 15} width={w * 40} height="11" fill="var(--c2)" /></g>)}
      {shape === "columns" && steps.map((h, i) => <rect key={i} x={i * 14} y={60 - h * 58} width="11" height={h * 58} fill="var(--c1)" />)}
      {shape === "line" && <polyline points={steps.map((h, i) => `${i * 15 + 3},${60 - h * 52}`).join(" ")} fill="none" stroke="var(--c1)" strokeWidth="3" />}
      {(shape === "donut" || shape === "pie") && <g transform="translate(34 30)"><circle r="20" fill="none" stroke="var(--c1)" strokeWidth={shape === "pie" ? 40 : 14} strokeDasharray="62 126" /><circle r="20" fill="none" stroke="var(--c2)" strokeWidth={shape === "pie" ? 40 : 14} strokeDasharray="40 126" strokeDashoffset="-62" /><circle r="20" fill="none" stroke="var(--c3)" strokeWidth={shape === "pie" ? 40 : 14} strokeDasharray="24 126" strokeDashoffset="-102" /></g>}
      {shape === "number" && <text x="0" y="46" style={{ font: "540 52px var(--serif)", fill: "var(--ink)" }}>n</text>}
      {shape === "list" && bars.map((w, i) => <g key={i}><rect x="0" y={i * 15 + 3} width="18" height="4" fill="var(--plum)" /><rect x="24" y={i * 15 + 3} width={w * 60 + 20} height="4" fill="var(--ink-3)" /></g>)}
    </svg>
  );
}
