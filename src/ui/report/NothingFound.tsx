"use client";
import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { numberText } from "@/core/base";
import type { AskContext } from "@/core/catalog";
import { allOfParts, contradictionIn, topParts } from "@/core/filter";
import { isHistory, type Report } from "@/core/kinds";
import { conditionText } from "@/core/sentence";
import { ask, Button, Empty } from "../kit";
import { withWhere } from "./pickers/where";

/** Nothing found: the condition that empties it is named, with an offer to drop it. */
export function NothingFound({
  context,
  report,
  onChange,
}: {
  context: AskContext;
  report: Report;
  onChange: (report: Report) => void;
}) {
  const parts = topParts(report.where);
  // Of the past it cannot be told what each condition would leave.
  const isNow = !isHistory(report);
  const { data } = useQuery({
    queryKey: ["emptied", report],
    queryFn: ({ signal }) => ask("emptied", { definition: report }, signal),
    enabled: isNow && parts.length > 0,
  });
  const clash = useMemo(() => contradictionOf(report, context), [report, context]);
  const words = (index: number) => conditionText(parts[index], context.catalog, report.subject.id);
  const drop = (index: number) =>
    onChange(withWhere(report, allOfParts(parts.filter((_, i) => i !== index))));
  const says = clash
    ? `Nothing can match: ${clash}.`
    : !isNow
      ? "What could be asked instead:"
      : `No ${context.catalog.subjectWords(report.subject)} match this.`;
  const offered = data?.length
    ? data.map(({ index, without }) => ({ index, without: numberText(without) }))
    : parts.map((_, index) => ({ index, without: "" }));
  return (
    <Empty says={says}>
      {data?.[0] && (
        <p style={{ flexBasis: "100%", font: "inherit" }}>
          It is “{words(data[0].index)}” that empties it.
        </p>
      )}
      {offered.slice(0, 5).map(({ index, without }) => (
        <Button key={index} $look="line" onPress={() => drop(index)}>
          Drop “{words(index)}”{without ? `: ${without}` : ""}
        </Button>
      ))}
    </Empty>
  );
}

/** Two conditions that can never hold at once, in words. */
function contradictionOf(report: Report, context: AskContext): string | null {
  const clash = contradictionIn(report.where, report.subject.id, {
    ...context,
    viewer: { person: 0, team: null, teams: [], projects: [] },
    projects: null,
    money: null,
    past: false,
  });
  return (
    clash &&
    clash.map((one) => conditionText(one, context.catalog, report.subject.id)).join(" and ")
  );
}
