"use client";
import { offersOf, printReport, sentencePieces, type Report } from "@/core/kinds";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";

import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { Fragment, useEffect, useRef } from "react";
import { ask, askAgain } from "../kit";
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
  .ask {
    width: 100%;
    max-width: 980px;
    margin-bottom: 20px;
    padding: 6px 2px 8px;
    border: 0;
    background: none;
    font: 400 23px/32px var(--serif);
    color: var(--ink);
    box-shadow: inset 0 -2px 0 var(--plum);
  }
  .ask::placeholder {
    color: var(--ink-3);
    opacity: 1;
  }
  .today {
    max-width: 980px;
    margin-bottom: 22px;
  }
  .today li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto 64px;
    gap: 16px;
    align-items: baseline;
    padding: 5px 0;
    border-top: 1px solid var(--line);
  }
  .today a {
    color: var(--plum);
    font-weight: 600;
  }
  .today em {
    font-style: normal;
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .today b {
    font: 520 19px/24px var(--serif);
    text-align: right;
  }
  @media (max-width: 900px) {
    padding: 14px 16px;
    .six {
      grid-template-columns: 1fr 1fr;
    }
  }
`;

/** Whoever begins to write here asks in the box that takes questions. */
function AskField() {
  const field = useRef<HTMLInputElement>(null);
  const hand = () => {
    const { current } = field;
    if (!current) return;
    askAgain(current.value);
    current.value = "";
  };
  // What was written before the page was alive is asked, too.
  useEffect(() => {
    if (field.current?.value) hand();
  }, []);
  return (
    <input
      ref={field}
      className="ask"
      aria-label="Ask in your own words"
      placeholder="Ask in your own words: how many faults are open by team"
      autoComplete="off"
      maxLength={200}
      onChange={hand}
      onKeyDown={({ key }) => key === "Enter" && hand()}
      onPointerUp={hand}
    />
  );
}

/** What is worth asking today, with what it comes to. */
function Suggested() {
  const { data = [] } = useQuery({
    queryKey: ["suggested"],
    queryFn: ({ signal }) => ask("suggested", {}, signal),
    staleTime: 60_000,
  });
  if (data.length === 0) return null;
  return (
    <section className="today" aria-label="Worth asking today">
      <h2>Worth asking today</h2>
      <ul>
        {data.map(({ label, why, href, figure }) => (
          <li key={href}>
            <Link href={href}>{label}</Link>
            <em>{why}</em>
            {figure !== null && <b>{figure}</b>}
          </li>
        ))}
      </ul>
    </section>
  );
}

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
  const begun = offersOf(report.subject, context);
  if (begun.length === 0) return null;
  return (
    <Grid>
      <AskField />
      <Suggested />
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
