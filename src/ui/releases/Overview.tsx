"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import type { ReleaseLine } from "@/contract/rooms";
import type { WorkUnit } from "@/core/definition";
import { answerOf } from "@/core/kinds";
import { nameText } from "@/core/sentence";
import { ask, Empty, Waiting } from "../kit";
import { Columns, Forecast, Ground, useForecast } from "../rooms";
import { AnsweredFigure, Blocks, useSaidOpening } from "../said";

interface OverviewProps {
  readonly release: ReleaseLine;
  readonly unit: WorkUnit;
  /** The local day at whose end it is seen; "" for now. */
  readonly stood: string;
}

/** How a release is, in one look: what is left of it, what is in it, when it may be done. */
export function Overview({ release, unit, stood }: OverviewProps) {
  const here = { thing: "release" as const, id: release.id };
  const { open, records } = useSaidOpening(here);
  const at = stood ? { stood } : {};
  const burns = `burndown of release ${nameText(release.name)} in ${unit} as planks`;
  const burndown = useQuery({
    queryKey: ["says", burns, stood],
    queryFn: ({ signal }) => ask("says", { says: burns, ...at }, signal),
    placeholderData: keepPreviousData,
    enabled: release.starts !== null && release.due !== null,
  });
  const { data, error } = useQuery({
    queryKey: ["release", release.id, stood],
    queryFn: ({ signal }) => ask("release", { release: release.id, ...at }, signal),
    placeholderData: keepPreviousData,
  });
  const isRunning = (release.stage === "under way" || release.stage === "late") && !stood;
  const report = burndown.data?.definition;
  const forecast = useForecast(report?.kind === "burndown" ? report : null, isRunning);
  const shown = burndown.data?.shown;
  const answer = answerOf("burndown", shown);
  const pace = shown?.kind === "history" ? (shown.pace ?? null) : null;
  if (error && !data) return <Empty says={error.message} />;
  return (
    <>
      <Columns>
        <div>
          <Ground $on="tide">
            <header>
              <h2>What is left</h2>
            </header>
            {drawn()}
          </Ground>
          {data ? part("open items") : <Waiting>Counting …</Waiting>}
        </div>
        <div>
          {part("scope")}
          {part("by status")}
          {report && (
            <Forecast
              thing="release"
              planned={release.due}
              running={isRunning}
              {...{ answer, pace, forecast }}
            />
          )}
        </div>
      </Columns>
      {records}
    </>
  );

  function drawn(): ReactNode {
    if (!release.starts || !release.due)
      return <p>Its dates are missing: with a start and a due date its work burns down here.</p>;
    if (burndown.error && !burndown.data) return <p role="alert">{burndown.error.message}</p>;
    if (!burndown.data || !shown) return <Waiting>Counting …</Waiting>;
    return (
      <AnsweredFigure answer={burndown.data} title="What is left" open={open} height={340} isTold />
    );
  }

  /** A made part under its title. */
  function part(id: string): ReactNode {
    const found = data?.parts.find((one) => one.id === id);
    if (!found) return null;
    return (
      <Ground $on={id === "open items" ? "plain" : "salt"}>
        <header>
          <h2>{found.title}</h2>
        </header>
        <Blocks blocks={found.blocks} open={open} here={here} />
      </Ground>
    );
  }
}
