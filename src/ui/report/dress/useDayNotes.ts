"use client";
import { useQuery } from "@tanstack/react-query";
import { ask } from "../../kit";

/** The dated notes of a report, and those of every one. */
export const useDayNotes = (report: number | null) =>
  useQuery({
    queryKey: ["dayNotes", report],
    queryFn: ({ signal }) => ask("dayNotes", { id: report ?? 0 }, signal),
    staleTime: 60_000,
  });
