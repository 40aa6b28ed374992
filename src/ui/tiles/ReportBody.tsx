"use client";
import type { NarrowingText, ShownTile } from "@/contract/figures";
import type { ReportTile } from "@/core/definition";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { List, Maximize2, ScrollText } from "lucide-react";
import Link from "next/link";
import { memo, useEffect } from "react";
import type { Mark } from "@/core/figure";
import { isDrawable } from "@/core/kinds";

import { ask, Button, takeBegun } from "../kit";
import { AnsweredTile, titleOf } from "./AnsweredTile";
import { BesideNumber } from "./later";
import { Since } from "./Since";
import { Box } from "./tileStyle";

/** The answer of a tile that was begun with the page, and what it was narrowed by. */
export interface BegunTile {
  readonly narrowed: string;
  readonly answer: Promise<ShownTile | null>;
}

export interface ReportBodyProps {
  readonly tile: ReportTile;
  readonly onOpen: (answer: ShownTile, mark: Mark | null) => void;
  /** A part was pressed. */
  readonly onPart: (answer: ShownTile, mark: Mark) => void;
  readonly onExpand?: ((answer: ShownTile) => void) | undefined;
  /** Counts up each time when it is to be asked anew. */
  readonly stamp: number;
  readonly begun?: BegunTile | undefined;
  /** The local day at whose end it is asked for; "" for now. */
  readonly stood?: string;
  readonly narrowed?: readonly NarrowingText[];
  /** The parts that narrow other tiles. */
  readonly lit?: readonly string[];
  /** What a narrowing is called, by its id. */
  readonly nameOf?: (id: string) => string;
  /** When the viewer was here before, as ISO text. */
  readonly since?: string | null;
  readonly quiet?: boolean;
}

const NOTHING: readonly NarrowingText[] = [];
const NONE: readonly string[] = [];

/** One tile of a report: answered, narrowed, with its tools and its foot. One that fails says so and leaves the others alone. */
export const ReportBody = memo(function ReportBody({
  tile,
  onOpen,
  onPart,
  onExpand,
  stamp,
  begun,
  stood = "",
  narrowed = NOTHING,
  lit = NONE,
  nameOf = (id) => id,
  since = null,
  quiet,
}: ReportBodyProps) {
  const { report } = tile;
  const { data, error, refetch, isFetching } = useQuery({
    queryKey: ["tile", report, stood, narrowed],
    queryFn: async ({ signal }) =>
      (stood || begun?.narrowed !== JSON.stringify(narrowed)
        ? null
        : await takeBegun(begun.answer)) ??
      ask("tile", { report, narrowed: [...narrowed], ...(stood ? { stood } : {}) }, signal),
    staleTime: 240_000,
    placeholderData: keepPreviousData,
  });
  useEffect(() => {
    if (stamp > 0) void refetch();
  }, [stamp, refetch]);
  if (!data) {
    return (
      <Box $ground="var(--salt)" aria-busy={!error}>
        {error ? (
          <div role="alert" style={{ margin: "auto 0" }}>
            <p style={{ marginBottom: 8 }}>
              {error.message === "There is nothing here."
                ? "The report of this tile is gone, or not yours to see."
                : error.message}
            </p>
            <Button $small $look="line" onPress={() => void refetch()}>
              Try again
            </Button>
          </div>
        ) : (
          <p style={{ color: "var(--ink-3)", margin: "auto 0" }} role="status">
            Counting …
          </p>
        )}
      </Box>
    );
  }
  return (
    <AnsweredTile
      tile={tile}
      answer={data}
      onPart={onPart}
      lit={lit}
      nameOf={nameOf}
      state={isFetching ? "looking again" : error ? "not reached since, trying again" : ""}
      aside={
        data.definition.shape === "number" && isDrawable(data.shown) && data.shown.figure ? (
          <BesideNumber
            {...{ report, narrowed, stood, stamp }}
            figure={data.shown.figure}
            dress={data.dress}
          />
        ) : null
      }
      band={
        since && !stood && !quiet ? (
          <Since report={report} narrowed={narrowed} since={since} stamp={stamp} />
        ) : null
      }
      tools={quiet ? null : <Tools {...{ tile, onOpen }} answer={data} onExpand={onExpand} />}
    />
  );
});

/** What can be done with a tile: its report, its records, a larger view. */
function Tools({
  tile,
  answer,
  onOpen,
  onExpand,
}: Pick<ReportBodyProps, "tile" | "onOpen"> & {
  answer: ShownTile;
  onExpand: ReportBodyProps["onExpand"];
}) {
  const title = titleOf(tile, answer);
  return (
    <>
      <Link href={`/reports/${tile.report}`} aria-label={`Open the report ${title}`} title="Report">
        <ScrollText size={16} aria-hidden />
      </Link>
      <Button
        $small
        $icon
        aria-label={`The records of ${title}`}
        onPress={() => onOpen(answer, null)}
      >
        <List aria-hidden />
      </Button>
      {onExpand && (
        <Button $small $icon aria-label={`Enlarge ${title}`} onPress={() => onExpand(answer)}>
          <Maximize2 aria-hidden />
        </Button>
      )}
    </>
  );
}
