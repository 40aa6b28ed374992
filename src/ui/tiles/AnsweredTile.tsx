"use client";
import type { ReactNode } from "react";
import type { ShownTile } from "@/contract/figures";
import type { ReportTile } from "@/core/definition";
import type { Mark } from "@/core/figure";
import { isDrawable, type Report, type Shown } from "@/core/kinds";
import { FigureBody, RowsBody, RowsHead, saidWords, tellsInTile } from "../report";
import { footOf } from "./footOf";
import { Box, RowsTable } from "./tileStyle";

const GROUNDS: Partial<Record<NonNullable<Report["shape"]>, string>> = {
  number: "var(--tide)",
  gauge: "var(--tide)",
  planks: "var(--tide)",
  list: "var(--paper)",
};

interface AnsweredTileProps {
  readonly tile: ReportTile;
  readonly answer: ShownTile;
  readonly onPart: (answer: ShownTile, mark: Mark) => void;
  /** The parts that narrow other tiles. */
  readonly lit?: readonly string[];
  /** What a narrowing is called, by its id. */
  readonly nameOf: (id: string) => string;
  /** What can be done with it, at its head. */
  readonly tools?: ReactNode;
  /** What stands beside its number. */
  readonly aside?: ReactNode;
  /** What is told of it above its foot. */
  readonly band?: ReactNode;
  /** That it is being asked anew, or could not be. */
  readonly state?: string;
}

const NONE: readonly string[] = [];
/** Shapes that draw a nought; any other of nothing is told in words. */
const SHOWS_NOTHING: ReadonlySet<string> = new Set(["number", "gauge"]);

export const titleOf = (tile: ReportTile, { dress, name }: ShownTile): string =>
  tile.title || (dress.title ?? name);

/** A tile of a report with its answer: head, figure, foot. */
export function AnsweredTile({
  tile,
  answer,
  onPart,
  lit = NONE,
  nameOf,
  tools,
  aside,
  band,
  state = "",
}: AnsweredTileProps) {
  const { shown, definition, dress } = answer;
  const title = titleOf(tile, answer);
  const heard = answer.heard.map(nameOf);
  const filters = heard.length === 1 ? "1 filter" : `${heard.length} filters`;
  const isNothing = countsNothing(shown);
  const isEmptied = heard.length > 0 && isNothing;
  return (
    <Box $ground={GROUNDS[definition.shape ?? "list"] ?? "var(--salt)"} aria-label={title}>
      <div className="top">
        <h3>{title}</h3>
        {tools && <div className="tools">{tools}</div>}
      </div>
      {tile.subtitle && <p className="sub">{tile.subtitle}</p>}
      {answer.dropped.map(({ id, why }) => (
        <p key={id} className="empties" role="status">
          {nameOf(id)} does not narrow: {why}.
        </p>
      ))}
      {isDrawable(shown) && tellsInTile(definition) && (
        <p className="says">{saidWords(shown.says)}</p>
      )}
      <div
        className={aside ? "body paired" : "body"}
        {...(isDrawable(shown) ? {} : scrolled(title))}
      >
        {!isDrawable(shown) ? (
          <RowsTable>
            <RowsHead columns={shown.records.columns} />
            <RowsBody records={shown.records} subject={definition.subject.id} />
          </RowsTable>
        ) : isNothing && !SHOWS_NOTHING.has(definition.shape ?? "") ? (
          <p className="nothing">{saidWords(shown.says)}</p>
        ) : (
          <FigureBody
            shown={shown}
            report={definition}
            dress={dress}
            measure=""
            title={title}
            opened={null}
            onOpen={(mark) => onPart(answer, mark)}
            asTable={false}
            small
            {...(lit.length ? { lit } : {})}
          />
        )}
        {aside}
      </div>
      {band}
      {tile.footnote && <p className="sub">{tile.footnote}</p>}
      <div className="foot">
        <span title={heard.length ? `narrowed by ${heard.join(", ")}` : undefined}>
          {shown.asOf.includes(":") ? `as of ${shown.asOf}` : shown.asOf}
          {heard.length > 0 && ` · ${filters}`}
          {state && ` · ${state}`}
        </span>
        {lit.length > 0 ? (
          <span className="beam">beam starts here</span>
        ) : (
          <span>
            {isEmptied ? `nothing left by ${heard.join(" and ")}` : footOf(shown, definition)}
          </span>
        )}
      </div>
    </Box>
  );
}

const countsNothing = (shown: Shown): boolean =>
  isDrawable(shown)
    ? shown.kind === "count" && shown.answer.total[0]?.records === 0
    : shown.records.count === 0;

/** Rows are scrolled by keys, too. */
const scrolled = (title: string) => ({
  tabIndex: 0,
  role: "region",
  "aria-label": `${title}, rows`,
});
