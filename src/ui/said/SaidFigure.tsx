"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { ShownTile } from "@/contract/figures";
import type { Here } from "@/core/catalog";
import { isDrawable } from "@/core/kinds";
import { ask, Button, Waiting } from "../kit";
import { FigureBody, RowsBody, RowsHead, saidWords, Says } from "../report";
import type { Opening } from "./useOpening";

const Room = styled.div<{ $height: number }>`
  display: flex;
  flex-direction: column;
  height: ${(p) => p.$height}px;
  min-width: 0;
  min-height: 0;
`;
const Rows = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    text-align: left;
    font-weight: 500;
    color: var(--ink-2);
    padding: 2px 10px 4px 0;
  }
  td {
    border-top: 1px solid var(--line);
    padding: 4px 10px 4px 0;
  }
  .r {
    text-align: right;
  }
`;

interface SaidFigureProps {
  readonly says: string;
  readonly title: string;
  /** Null on paper, where nothing opens. */
  readonly open: Opening | null;
  readonly here?: Here | undefined;
  /** The local day at whose end it is asked; "" for now. */
  readonly stood?: string;
  readonly height?: number;
  readonly asTable?: boolean;
  /** Its sentence is said above it. */
  readonly isTold?: boolean;
}

/** The figure of a sentence, as it is meant in a room: drawn, with its words, and opened part by part. */
export function SaidFigure({
  says,
  title,
  open,
  here,
  stood = "",
  height = 300,
  asTable = false,
  isTold = false,
}: SaidFigureProps) {
  const { data, error, refetch } = useQuery({
    queryKey: ["says", says, here, stood],
    queryFn: ({ signal }) =>
      ask("says", { says, ...(here ? { here } : {}), ...(stood ? { stood } : {}) }, signal),
    placeholderData: keepPreviousData,
  });
  if (error && !data)
    return (
      <div role="alert">
        <p>{error.message}</p>
        <Button $small $look="line" onPress={() => void refetch()}>
          Try again
        </Button>
      </div>
    );
  if (!data) return <Waiting>Counting …</Waiting>;
  return <AnsweredFigure answer={data} {...{ title, open, height, asTable, isTold }} />;
}

/** The figure of a sentence that has been answered. */
export function AnsweredFigure({
  answer: { shown, definition, dress },
  title,
  open,
  height = 300,
  asTable = false,
  isTold = false,
}: Pick<SaidFigureProps, "title" | "open" | "height" | "asTable" | "isTold"> & {
  readonly answer: ShownTile;
}) {
  if (!isDrawable(shown))
    return (
      <Rows aria-label={title}>
        <RowsHead columns={shown.records.columns} />
        <RowsBody records={shown.records} subject={definition.subject.id} />
      </Rows>
    );
  // What it lacks is said once, in the place of a picture.
  if (shown.kind === "history" && shown.blank) return <Says>{shown.blank}</Says>;
  return (
    <>
      {isTold && <Says>{saidWords(shown.says)}</Says>}
      <Room $height={height} role="group" aria-label={title}>
        <FigureBody
          shown={shown}
          report={definition}
          dress={dress}
          measure=""
          title={title}
          opened={null}
          onOpen={(mark) => open?.ofMark(definition, mark, `${title}: ${mark.label}`)}
          asTable={asTable}
          small={height < 260}
          fills
        />
      </Room>
    </>
  );
}
