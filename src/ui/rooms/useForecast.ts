"use client";
import type { BurndownReport, ShownForecast } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { ask } from "../kit";

/** The likelihood of a burndown; null while it is not known or not asked for. */
export function useForecast(report: BurndownReport | null, wanted: boolean): ShownForecast | null {
  const { data } = useQuery({
    queryKey: ["forecast", report],
    queryFn: ({ signal }) => ask("forecast", { definition: report }, signal),
    enabled: wanted && report !== null,
  });
  return wanted ? (data ?? null) : null;
}
