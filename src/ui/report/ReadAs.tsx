"use client";
import { type Report, sentencePieces, listsRecords, groupsOf } from "@/core/kinds";
import { Check, CircleAlert } from "lucide-react";
import styled from "styled-components";
import type { Problem } from "@/core/base";
import { lastOf, type AskContext } from "@/core/catalog";

import { testsOf, topParts } from "@/core/filter";

import { periodDatesText, resolvePeriod } from "@/core/time";

const Panel = styled.aside`
  padding: 12px 16px;
  h2 {
    font: 560 22px/30px var(--serif);
  }
  > p {
    color: var(--ink-2);
    margin-bottom: 8px;
  }
  li {
    display: flex;
    gap: 10px;
    border-top: 1px solid var(--line);
    padding: 7px 0;
  }
  li svg {
    flex: none;
    margin-top: 2px;
  }
  li b {
    font-weight: 650;
    overflow-wrap: anywhere;
  }
  li small {
    display: block;
    font-size: 12.5px;
    line-height: 17px;
    color: var(--ink-2);
  }
  .also {
    background: var(--mallow-2);
    margin: 18px -16px 0;
    padding: 12px 16px;
    font-size: 12.5px;
    line-height: 18px;
  }
`;

/** What each part of the typed sentence was taken to mean. */
export function ReadAs({
  context,
  report,
  problem,
}: {
  context: AskContext;
  report: Report;
  problem: Problem | null;
}) {
  const pieces = sentencePieces(report, context.catalog).filter((piece) => piece.part);
  const means = (piece: (typeof pieces)[number]): string => {
    const { part } = piece;
    if (part?.area === "subject") return listsRecords(report) ? "each once" : "each counted once";
    if (part?.area === "shape") return "the picture";
    if (part?.area === "period" && "period" in report && report.period)
      return periodDatesText(resolvePeriod(report.period, context.now, context.calendar));
    if (part?.area === "where")
      return testsOf(topParts(report.where)[part.index])
        .flatMap((test) =>
          test.values.flatMap((value) =>
            value.kind === "period"
              ? [periodDatesText(resolvePeriod(value.period, context.now, context.calendar))]
              : value.kind === "stage"
                ? [
                    context.catalog.names
                      .statusesOf(value.stage)
                      .map((status) => status.label)
                      .join(", "),
                  ]
                : value.kind === "viewer"
                  ? ["for whoever is looking"]
                  : [],
          ),
        )
        .join("; ");
    if (part?.area === "by") {
      const path = context.catalog.findPath(report.subject.id, groupsOf(report)[part.index].field);
      return path && lastOf(path).many ? "one with several counts in each" : "";
    }
    return "";
  };
  return (
    <Panel aria-label="Read as">
      <h2>Read as</h2>
      <p>What each part was taken to mean{problem ? ", in the last good sentence" : ""}.</p>
      <ul>
        {problem && (
          <li>
            <CircleAlert size={16} color="var(--alarm)" aria-hidden />
            <span>
              <b>Not understood</b>
              <small>{problem.message}</small>
            </span>
          </li>
        )}
        {pieces.map((piece, i) => (
          <li key={i}>
            <Check size={16} aria-hidden />
            <span>
              <b>{piece.text}</b>
              <small>{means(piece)}</small>
            </span>
          </li>
        ))}
      </ul>
      <div className="also">
        <b>It also takes</b>
        <br />
        “grouped by” for <i>by</i>, “closed” and “done” for finished, “newest first” for{" "}
        <i>sorted by</i> created descending.
      </div>
    </Panel>
  );
}
