"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { ShownTile } from "@/contract/figures";
import type { Here } from "@/core/catalog";
import type { CountAnswer, ShownRecords } from "@/core/kinds";
import { ask } from "../kit";

const MOST_ROWS = 500;

/** A sentence's answer in a room; asked again as the sentence changes. */
export const useSaid = (says: string, stood = "", here?: Here) =>
  useQuery<ShownTile, Error>({
    queryKey: ["says", says, here, stood, MOST_ROWS],
    queryFn: ({ signal }) =>
      ask(
        "says",
        {
          says,
          rows: MOST_ROWS,
          ...(here ? { here } : {}),
          ...(stood ? { stood } : {}),
        },
        signal,
      ),
    placeholderData: keepPreviousData,
  });

/** The records of a list; null as long as there are none, or where it is no list. */
export const recordsIn = (tile: ShownTile | undefined): ShownRecords | null =>
  tile?.shown.kind === "list" ? tile.shown.records : null;

/** The table of a count; null where it is none. */
export const countIn = (tile: ShownTile | undefined): CountAnswer | null =>
  tile?.shown.kind === "count" ? tile.shown.answer : null;
