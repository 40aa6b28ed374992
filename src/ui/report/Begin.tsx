"use client";
import { type Report, parseSentence, printReport, sentencePieces } from "@/core/kinds";
import styled from "styled-components";
import type { AskContext, SubjectId } from "@/core/catalog";

import { Fragment } from "react";
import { Sketch } from "./Sketch";

const Grid = styled.div`
  padding: 2px 0 24px;
  && h2 {
    font: 620 21px/28px var(--serif);
    margin-bottom: 12px;
  }
  .six {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 14px;
    max-width: 980px;
  }
  .six button {
    background: var(--paper);
    padding: 14px 16px 16px;
    display: flex;
    flex-direction: column;
    gap: 14px;
    min-height: 150px;
    width: 100%;
  }
  .six button:hover {
    background: var(--mallow);
  }
  .six svg {
    width: 100%;
    height: 74px;
  }
  .six span {
    font: 480 17px/23px var(--serif);
    margin-top: auto;
  }
  .six i {
    color: var(--ink-3);
  }
  @media (max-width: 900px) {
    padding: 14px 16px;
    .six {
      grid-template-columns: 1fr 1fr;
    }
  }
`;

const LIKELY: Readonly<Partial<Record<SubjectId, readonly string[]>>> = {
  items: [
    "count $ where status is open by priority as bars",
    "count $ by week of created for last 12 full weeks as columns",
    "count $ where status is open by team split by priority as pivot",
    "count $ where status is open by service as donut",
    "level of $ where status is open by week for last 12 full weeks as line",
    "count $ by month of finished for last 12 months to date as line",
    "list $ where assignee is me and status is open showing key, title, priority, age sorted by age descending as list",
    "count $ where created during last 3 full months by weekday of created split by hour of created as heat map",
    "median of lead time in days of $ where finished during last 6 full months by team as bars",
  ],
  moves: [
    "count moves by moved by top 10 as bars",
    "count moves by week of moved on for last 12 full weeks as columns",
    "count moves where field is status by new value as bars",
    "count moves where field is assignee by old value top 12 split by new value top 12 as heat map",
  ],
  timeEntries: [
    "sum of minutes in hours of time entries by person top 10 as bars",
    "sum of minutes in hours of time entries by month of worked on for last 12 months to date as columns",
    "sum of minutes in hours of time entries by billable as donut",
  ],
  costEntries: [
    "sum of amount of cost entries by kind as bars",
    "sum of amount of cost entries by month of spent on for last 12 months to date as columns",
    "sum of amount of cost entries by project top 10 as bars",
  ],
  projects: ["count projects by status as bars", "list projects as list"],
  assets: ["count assets by kind as bars", "list assets as list"],
  milestones: ["list milestones as list", "count milestones by project top 12 as bars"],
  weeklyWords: ["list weekly words as list"],
};

/** Likely first questions about a subject; only those the workspace can answer. */
export function Begin({
  context,
  report,
  onChange,
}: {
  context: AskContext;
  report: Report;
  onChange: (report: Report) => void;
}) {
  const what = context.catalog.subjectWords(report.subject);
  const begun = (LIKELY[report.subject.id] ?? []).flatMap((sentence) => {
    const parsed = parseSentence(sentence.replace("$", what), context);
    return parsed.ok ? [parsed.value] : [];
  });
  if (begun.length === 0) return null;
  return (
    <Grid>
      <h2>Begin with one of these, then change any word</h2>
      <div className="six">
        {begun.map((one) => (
          <button key={printReport(one, context.catalog)} onClick={() => onChange(one)}>
            <Sketch shape={one.shape ?? "list"} />
            <span>
              {sentencePieces(one, context.catalog)
                .filter((piece) => piece.part?.area !== "shape" && piece.text !== "as")
                .map((piece, i) => (
                  <Fragment key={i}>
                    {i > 0 && piece.text !== "," ? " " : ""}
                    {piece.part ? piece.text : <i>{piece.text}</i>}
                  </Fragment>
                ))}
            </span>
          </button>
        ))}
      </div>
    </Grid>
  );
}
