"use client";
import { sightWords, type Sight } from "@/core/figure";
import { useSettled } from "./useSettled";
import type { Workings } from "@/core/kinds/planned";
import { type Report, type Shown, isDrawable } from "@/core/kinds";
import { useEffect, useRef, useMemo, useState } from "react";
import styled, { createGlobalStyle } from "styled-components";

import type { Dress } from "@/core/definition";

import { numberText } from "@/core/base";

import { FigureBody, measureWords, RowsHead, saidWords, Says, WorkingsBody } from "../report";

export interface PrintFacts {
  /** What the report says, in full: the page itself carries no names but those it shows. */
  readonly sentence: string;
  /** What its records are called: one of them, several, and all that it is about. */
  readonly called: { readonly one: string; readonly several: string; readonly all: string };
  readonly brand: { readonly heading: string; readonly picture: string };
  readonly workspace: string;
  readonly who: string;
  /** What they do not see all of. */
  readonly sight: Sight | null;
  readonly report: Report;
  readonly dress: Dress;
  readonly title: string;
  /** The path of the live report. */
  readonly link: string;
  readonly shown: Shown;
  /** The day and the time at which it was counted, in words. */
  readonly asOf: string;
  readonly workings: Workings | null;
}

/** Ink on white: the grounds of the rooms would be grey on paper. */
const Sheet = styled.main<{ $across: boolean }>`
  --paper: #fff;
  --salt: #fff;
  --sand: #f3eee6;
  background: #fff;
  width: ${(p) => (p.$across ? 1010 : 688)}px;
  print-color-adjust: exact;
  .brand {
    display: flex;
    align-items: center;
    gap: 12px;
    border-bottom: 3px solid var(--ink);
    padding-bottom: 8px;
    margin-bottom: 12px;
    font-weight: 650;
    i {
      width: 120px;
      height: 34px;
      background: left / contain no-repeat;
    }
    span {
      margin-left: auto;
      font-weight: 400;
      color: var(--ink-2);
    }
  }
  h1 {
    font: 600 25px/30px var(--serif);
  }
  .says {
    font: italic 400 15px/20px var(--serif);
    color: var(--ink-2);
    margin: 3px 0 8px;
  }
  .draw {
    height: ${(p) => (p.$across ? 440 : 520)}px;
    display: flex;
    flex-direction: column;
    gap: 8px;
    margin-top: 10px;
  }
  .draw.tall {
    height: auto;
    min-height: 0;
  }
  .draw.tall > * {
    max-height: none !important;
    overflow: visible !important;
  }
  .note {
    color: var(--ink-2);
    font-size: 12px;
    margin-top: 10px;
  }
  .note a {
    color: var(--plum);
    text-decoration: underline;
  }
  table {
    border-collapse: collapse;
    width: 100%;
  }
  thead {
    display: table-header-group;
  }
  tr {
    break-inside: avoid;
  }
  .rows th {
    text-align: left;
    font-weight: 500;
    font-size: 12px;
    color: var(--ink-2);
    padding: 2px 10px 2px 0;
    border-bottom: 3px solid var(--ink);
  }
  .rows td {
    border-top: 1px solid #ddd;
    padding: 3px 10px 3px 0;
    vertical-align: top;
  }
  .rows .r {
    text-align: right;
  }
  .workings {
    margin-top: 22px;
    break-inside: avoid-page;
    h2 {
      font: 600 19px/24px var(--serif);
      margin-bottom: 6px;
    }
  }
`;
const White = createGlobalStyle`html, body { background: #fff !important; }`;

/** Shapes that are as high as what they hold. */
const TALL = new Set<Report["shape"]>([
  "pivot",
  "heatMap",
  "calendar",
  "bars",
  "stackedBars",
  "fullBars",
  "donut",
  "pie",
  "pies",
  "number",
  "gauge",
  undefined,
]);
const nothing = () => undefined;

/** A report on paper: heading, sentence, figure, date and link to the live one. Ready when all that it shows is drawn. */
export function PrintPage({
  sentence,
  called,
  brand,
  workspace,
  who,
  sight,
  report,
  dress: asked,
  title,
  link,
  shown,
  asOf,
  workings,
  as,
  across,
}: PrintFacts & { as: "pdf" | "png" | "svg"; across: boolean }) {
  const names = useMemo(
    () => ({
      countedWords: (_subject: unknown, count: number | string) =>
        String(count) === "1" ? called.one : called.several,
      subjectWords: () => called.all,
    }),
    [called],
  );
  const sheet = useRef<HTMLDivElement>(null);
  const isReady = useSettled(sheet);
  const dress: Dress = { ...asked, textures: asked.textures || as === "pdf" };
  const [origin, setOrigin] = useState("");
  useEffect(() => setOrigin(location.origin), []);
  return (
    <Sheet ref={sheet} $across={across} data-ready={isReady || undefined}>
      <White />
      {as === "pdf" && (
        <div className="brand">
          {brand.picture && <i aria-hidden style={{ backgroundImage: `url(${brand.picture})` }} />}
          {brand.heading || workspace}
          <span>
            {asOf} · for {who}
          </span>
        </div>
      )}
      <section data-figure style={as === "pdf" ? undefined : { padding: 18 }}>
        <h1>{title}</h1>
        {dress.subtitle && <p>{dress.subtitle}</p>}
        <p className="says">{sentence}</p>
        {isDrawable(shown) && <Says>{saidWords(shown.says)}</Says>}
        {!isDrawable(shown) ? (
          <PrintedRows shown={shown} />
        ) : shown.kind === "history" && shown.blank ? null : (
          <div className={TALL.has(report.shape) ? "draw tall" : "draw"}>
            <FigureBody
              shown={shown}
              report={report}
              dress={dress}
              measure={measureWords(shown, report, { catalog: names })}
              title={title}
              opened={null}
              onOpen={nothing}
              asTable={!report.shape}
            />
          </div>
        )}
        {as !== "pdf" && <p className="note">{asOf}</p>}
      </section>
      {sight && <p className="note">{sightWords(sight)}</p>}
      {dress.footnote && <p className="note">{dress.footnote}</p>}
      {as === "pdf" && (
        <p className="note">
          The live report:{" "}
          <a href={`${origin}${link}`}>
            {origin}
            {link.length > 140 ? "/reports/new" : link}
          </a>
        </p>
      )}
      {as === "pdf" && workings && (
        <section className="workings">
          <h2>How it was counted</h2>
          <WorkingsBody workings={workings} />
        </section>
      )}
    </Sheet>
  );
}

const PrintedRows = ({ shown }: { shown: Shown & { kind: "list" } }) => (
  <table className="rows">
    <RowsHead columns={shown.records.columns} />
    <tbody>
      {shown.records.rows.map((row) => (
        <tr key={row.id}>
          {row.cells.map((cell, i) => (
            <td key={i} className={shown.records.columns[i].align === "right" ? "r" : undefined}>
              {cell ?? ""}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
    {shown.records.count > shown.records.rows.length && (
      <tfoot>
        <tr>
          <td colSpan={shown.records.columns.length}>
            {numberText(shown.records.rows.length)} of {numberText(shown.records.count)}; the live
            report holds all
          </td>
        </tr>
      </tfoot>
    )}
  </table>
);
