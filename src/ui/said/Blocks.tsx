"use client";
import styled from "styled-components";
import {
  isFigure,
  wordsOf,
  type Block,
  type DrawingBlock,
  type FigureRun,
  type Run,
  type TableBlock,
} from "@/core/briefing";
import type { ShownTile } from "@/contract/figures";
import type { Here } from "@/core/catalog";
import { Button } from "../kit";
import { AnsweredFigure, SaidFigure } from "./SaidFigure";
import type { Opening } from "./useOpening";

const Text = styled.p<{ $isLead: boolean }>`
  font: ${(p) => (p.$isLead ? "470 23px/31px var(--serif)" : "400 18px/27px var(--serif)")};
  & + & {
    margin-top: 8px;
  }
  strong {
    font-weight: 620;
  }
  em {
    color: var(--ink-3);
  }
  button {
    font: inherit;
    font-weight: 600;
    text-decoration: underline dotted var(--plum);
    text-decoration-thickness: 2px;
    text-underline-offset: 4px;
  }
  button:hover {
    background: var(--mallow-2);
  }
  button.moved {
    background: var(--lit);
    box-shadow: inset 0 -2px 0 var(--brass);
    text-decoration: none;
  }
  .lacks {
    color: var(--ink-3);
    font-style: italic;
  }
`;
const Note = styled.p`
  color: var(--ink-2);
  font: italic 400 17px/24px var(--serif);
`;
const DrawnFigure = styled.figure`
  margin: 12px 0 20px;
`;
const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  margin-top: 8px;
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    padding: 2px 12px 4px 0;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 5px 12px 5px 0;
    vertical-align: top;
  }
  td:first-child {
    font-weight: 600;
  }
  .short {
    white-space: nowrap;
  }
`;

/** Cells of so few letters are not broken. */
const SHORT = 13;

interface BlocksProps {
  readonly blocks: readonly Block[];
  /** Null on paper, where nothing opens. */
  readonly open: Opening | null;
  readonly here?: Here | undefined;
  /** The keys of figures that read otherwise by now. */
  readonly moved?: readonly string[];
  /** What is drawn, by its sentence, where it is known beforehand. */
  readonly drawn?: Drawn;
  /** Height of what is drawn, in px. */
  readonly height?: number;
}

const NONE: readonly string[] = [];

/** Figures that have been answered, by their sentences; null for one that cannot be asked any more. */
export type Drawn = Readonly<Record<string, ShownTile | null>>;

/** What a part of a briefing says: texts whose figures open, lists, drawings. */
export function Blocks({ blocks, open, here, moved = NONE, drawn, height = 280 }: BlocksProps) {
  return blocks.map((block, i) => {
    if (block.kind === "note") return <Note key={i}>{block.words}</Note>;
    if (block.kind === "table") return <ListOf key={i} table={block} open={open} />;
    if (block.kind === "drawing")
      return (
        <DrawnFigure key={i} aria-label={block.title}>
          <Drawing block={block} {...{ open, here, drawn, height }} />
        </DrawnFigure>
      );
    return (
      <Text key={i} $isLead={Boolean(block.isLead)}>
        {block.runs.map((run, place) => (
          <Word
            key={place}
            run={run}
            open={open}
            isMoved={isFigure(run) && moved.includes(run.key)}
          />
        ))}
      </Text>
    );
  });
}

function Drawing({
  block: { says, title },
  drawn,
  open,
  here,
  height,
}: Pick<BlocksProps, "open" | "here" | "drawn"> & {
  readonly block: DrawingBlock;
  readonly height: number;
}) {
  if (!drawn) return <SaidFigure {...{ says, title, open, here, height }} />;
  const answer = drawn[says];
  return answer ? (
    <AnsweredFigure {...{ answer, title, open, height }} />
  ) : (
    <Note>It cannot be asked any more.</Note>
  );
}

/** What a line must not break: a number and its %. */
const together = (words: string): string => words.replace(/(?<=\d) (?=%)/g, "\u00a0");

function Word({ run, open, isMoved }: { run: Run; open: Opening | null; isMoved: boolean }) {
  if (typeof run === "string") return together(run);
  if ("strong" in run) return <strong>{run.strong}</strong>;
  if ("quiet" in run) return <em>{run.quiet}</em>;
  if (run.lacks) return <span className="lacks">{wordsOf(run)}</span>;
  if (!open) return <b>{together(run.words)}</b>;
  return (
    <button
      className={isMoved ? "moved" : undefined}
      title={isMoved ? "reads otherwise by now" : "what stands behind it"}
      onClick={() => open.ofSentence(run.says, titleOf(run))}
    >
      {together(run.words)}
    </button>
  );
}

/** "actual cost: €413 378.00"; figures that have no name of their own are called as they read. */
const titleOf = ({ key, words }: FigureRun): string =>
  /\d$/.test(key) ? words : `${key}: ${words}`;

function ListOf({ table, open }: { table: TableBlock; open: Opening | null }) {
  return (
    <>
      <Table aria-label={table.title}>
        <thead>
          <tr>
            {table.columns.map((column) => (
              <th key={column.words} scope="col">
                {column.words}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, i) => (
            <tr key={i}>
              {row.map((cell, place) => (
                <td key={place} className={cell.length <= SHORT ? "short" : undefined}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
      {open ? (
        <p>
          <Button $small onPress={() => open.ofSentence(table.says, table.title)}>
            {table.more > 0 ? `Open all, with ${table.more} more` : "Open the list"}
          </Button>
        </p>
      ) : (
        table.more > 0 && <Note>and {table.more} more</Note>
      )}
    </>
  );
}
