"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import {
  brokenParts,
  isDrawable,
  printReport,
  type Drawable,
  type Report,
  type Shown,
  listsRecords,
} from "@/core/kinds";

import { ask, takeBegun } from "../../kit";
import { choicesOf, measureWords, shownKindOf, trendOf } from "../kinds/shown";

/** The figure that was begun with the page, and what it answers. */
export interface FirstFigure {
  readonly says: string;
  readonly dress: Dress;
  readonly shown: Promise<Shown | null>;
}

const isOf = (first: FirstFigure, report: Report, dress: Dress, context: AskContext): boolean =>
  first.says === printReport(report, context.catalog) &&
  JSON.stringify(first.dress) === JSON.stringify(dress);

/** Asks for the figure of a report as it changes; until the next is there the last one stays. */
export function useFigure(
  report: Report,
  draftReport: Report,
  dress: Dress,
  context: AskContext,
  first: FirstFigure | null,
) {
  const { isBegun: begins } = shownKindOf(report);
  const isRecords = listsRecords(report);
  const isBegun = begins(report);
  const broken = useMemo(() => brokenParts(draftReport, context), [draftReport, context]);
  const isWhole = broken.length === 0;
  const {
    data,
    error,
    isFetching,
    isPlaceholderData: isOld,
  } = useQuery({
    queryKey: ["figure", report, dress],
    queryFn: async ({ signal }) => {
      const begun = first && isOf(first, report, dress, context) ? first.shown : undefined;
      return (await takeBegun(begun)) ?? ask("figure", { definition: report, dress }, signal);
    },
    placeholderData: keepPreviousData,
    enabled: isBegun && isWhole && !isRecords,
  });
  // Of what is not asked for, the last figure says nothing.
  const shown = isBegun && !isRecords ? data : undefined;
  const drawn: Drawable | null = isDrawable(shown) ? shown : null;
  const isEmpty = shown?.kind === "count" && shown.answer.total[0].records === 0 && !isOld;
  const isBlank = shown?.kind === "history" && shown.blank !== undefined && !isOld;
  return {
    shown: shown ?? null,
    drawn,
    figure: drawn && !isOld ? drawn.figure : null,
    measure: drawn ? measureWords(drawn, report, context) : "",
    says: drawn ? drawn.says : null,
    trend: trendOf(report, isOld || isBlank ? null : drawn),
    broken,
    error,
    isFetching,
    isOld,
    isBegun,
    isWhole,
    /** Nothing matches. */
    isEmpty,
    /** There is no history to tell of. */
    isBlank,
    /** What the figure could mean, where the reader has to say which. */
    choices: drawn && isBlank ? choicesOf(report, drawn, context) : [],
  };
}

export type FigureNow = ReturnType<typeof useFigure>;
