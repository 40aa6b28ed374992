"use client";
import type { ReportName } from "@/contract/library";
import { type Report, answerOf } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import { PLAIN_DRESS } from "@/core/definition";
import { valueWords } from "@/core/figure";
import type { Value } from "@/core/filter";

import { ask, Button, Checkbox, Choice } from "../../kit";
import { Findings } from "./Findings";
import {
  bridgeOver,
  byGrain,
  coarser,
  direction,
  finer,
  knownPlaces,
  onlyParts,
  otherPeriods,
  rateOf,
  splitBy,
  stretchBefore,
  zoomed,
  type Laid,
  type Stretch,
  type Trend,
  type TrendAnswer,
  unsplit,
} from "./steps";
import { LayUnder } from "./Under";

const Panel = styled.section`
  background: var(--mallow);
  padding: 8px 14px 10px;
  display: grid;
  gap: 6px;
  flex: none;
  .row {
    display: flex;
    gap: 6px 10px;
    align-items: center;
    flex-wrap: wrap;
  }
  .row > span {
    color: var(--ink-2);
  }
  b {
    font: 620 17px/24px var(--serif);
  }
  fieldset {
    border: 0;
    padding: 0;
    display: flex;
    gap: 2px 12px;
    flex-wrap: wrap;
  }
`;
/** Tracked fields that a level can be split by. */
const SPLITS = ["priority", "status", "assignee", "team", "service", "project", "sprint"];

interface ExploreProps {
  readonly context: AskContext;
  readonly report: Trend;
  readonly answer: TrendAnswer;
  /** Two points that were chosen on the chart. */
  readonly stretch: Stretch | null;
  readonly onStretch: (stretch: Stretch | null) => void;
  readonly onChange: (report: Report) => void;
  readonly reportId: number | null;
  readonly address: string;
  readonly mayKeep: boolean;
  readonly laid: readonly Laid[];
  readonly onLaid: (laid: readonly Laid[]) => void;
  readonly reports: readonly ReportName[];
}

/** Going on from a trend: how fast it moves between two points, what made the difference, closer, coarser, by another field. Each step is a report that undo leads back from. */
export function Explore({
  context,
  report,
  answer,
  stretch,
  onStretch,
  onChange,
  reportId,
  address,
  mayKeep,
  laid,
  onLaid,
  reports,
}: ExploreProps) {
  const [picked, setPicked] = useState<readonly string[]>([]);
  const known = knownPlaces(answer);
  if (known.length < 2) return null;
  const chosen: Stretch =
    stretch && known.includes(stretch.from) && known.includes(stretch.to)
      ? stretch
      : { from: known[0], to: known[known.length - 1] };
  const rate = rateOf(answer, chosen);
  const earlier = stretchBefore(answer, chosen);
  const before = earlier && rateOf(answer, earlier);
  const unit = answer.measure.unit;
  const signed = (
    value: { toFixed: (places?: number) => string; isNegative: () => boolean },
    places?: number,
  ) =>
    `${value.isNegative() ? "− " : "+ "}${valueWords(value.toFixed(places).replace("-", ""), unit)}`;
  const options = known.map((place) => [String(place), answer.rows[place].label] as const);
  const heads = answer.kind === "level" ? answer.split.filter((head) => /^v/.test(head.key)) : [];
  const level = report.kind === "level" ? report : null;
  const splitField = level?.split
    ? context.catalog.findPath("items", level.split.field)?.at(-1)
    : undefined;
  const canKeep = splitField?.thing !== undefined;
  const values = heads
    .filter((head) => picked.includes(head.key))
    .map((head): Value => ({
      kind: "thing",
      thing: splitField!.thing!,
      id: Number(head.key.slice(1)),
    }));
  const steps = { finer: finer(report.grain), coarser: coarser(report.grain) };
  return (
    <Panel aria-label="Explore">
      <div className="row">
        <span>Between the ends of</span>
        <Choice
          hideLabel
          label="From the end of"
          value={String(chosen.from)}
          options={options.slice(0, -1)}
          onChange={(place) =>
            onStretch({
              from: Number(place),
              to: Math.max(chosen.to, known[known.indexOf(Number(place)) + 1]),
            })
          }
        />
        <span>and</span>
        <Choice
          hideLabel
          label="To the end of"
          value={String(chosen.to)}
          options={options.slice(1)}
          onChange={(place) =>
            onStretch({
              from: Math.min(chosen.from, known[known.indexOf(Number(place)) - 1]),
              to: Number(place),
            })
          }
        />
        {rate && (
          <span role="status" aria-label="Rate">
            <b>{signed(rate.change)}</b>, {signed(rate.aWeek, 2)} a week
            {before ? (
              <>
                ; the stretch before <b>{signed(before.change)}</b>, {signed(before.aWeek, 2)} a
                week
              </>
            ) : null}
          </span>
        )}
        {stretch && (
          <Button $small onPress={() => onStretch(null)}>
            The whole trend
          </Button>
        )}
      </div>
      <div className="row">
        <Button $small $look="line" onPress={() => onChange(bridgeOver(report, answer, chosen))}>
          What made the difference
        </Button>
        <Button
          $small
          isDisabled={!stretch}
          onPress={() => {
            onStretch(null);
            onChange(zoomed(report, answer, chosen));
          }}
        >
          Closer
        </Button>
        {steps.finer && (
          <Button $small onPress={() => onChange(byGrain(report, steps.finer!))}>
            By {steps.finer}
          </Button>
        )}
        {steps.coarser && (
          <Button $small onPress={() => onChange(byGrain(report, steps.coarser!))}>
            By {steps.coarser}
          </Button>
        )}
        {level && (
          <Choice
            hideLabel
            label="Split by"
            value={level.split?.field[0] ?? ""}
            options={[
              ["", "not split"],
              ...SPLITS.map((field) => [field, `split by ${field}`] as const),
            ]}
            onChange={(field) => onChange(splitBy(level, field || null))}
          />
        )}
        <LayUnder report={report} laid={laid} onLaid={onLaid} reports={reports} />
        <span style={{ marginLeft: "auto" }} />
        <Findings
          report={reportId}
          address={address}
          mayKeep={mayKeep}
          proposed={
            rate
              ? `${signed(rate.change)} from the end of ${answer.rows[chosen.from].label} to the end of ${answer.rows[chosen.to].label}`
              : ""
          }
        />
      </div>
      {level && canKeep && heads.length > 1 && (
        <div className="row">
          <fieldset aria-label="Parts">
            {heads.slice(0, 12).map((head) => (
              <Checkbox
                key={head.key}
                isSelected={picked.includes(head.key)}
                onChange={(on) =>
                  setPicked(on ? [...picked, head.key] : picked.filter((key) => key !== head.key))
                }
              >
                {head.label}
              </Checkbox>
            ))}
          </fieldset>
          {values.length > 0 && (
            <Button
              $small
              $look="line"
              onPress={() => {
                setPicked([]);
                onChange(onlyParts(level, values));
              }}
            >
              Only {values.length === 1 ? "this" : `these ${values.length}`}
            </Button>
          )}
        </div>
      )}
      <OppositeStory report={report} answer={answer} />
    </Panel>
  );
}

/** A warning where half of the period, or twice of it, tells the opposite of the whole. */
function OppositeStory({ report, answer }: { report: Trend; answer: TrendAnswer }) {
  const others = otherPeriods(report, answer);
  const own = direction(answer);
  const half = useDirection(others?.half ?? null);
  const double = useDirection(others?.double ?? null);
  const opposite = [
    half !== null && half * own < 0
      ? half > 0
        ? "the later half of this period rises"
        : "the later half of this period falls"
      : null,
    double !== null && double * own < 0
      ? double > 0
        ? "a period twice as long rises"
        : "a period twice as long falls"
      : null,
  ].filter(Boolean);
  if (opposite.length === 0) return null;
  return (
    <p role="status" style={{ font: "400 17px/24px var(--serif)" }}>
      <b>Another period tells the opposite:</b> this trend {own > 0 ? "rises" : "falls"}, but{" "}
      {opposite.join(", and ")}.
    </p>
  );
}

function useDirection(report: Trend | null): -1 | 0 | 1 | null {
  const bare = report && unsplit(report);
  const { data } = useQuery({
    queryKey: ["direction", bare],
    queryFn: ({ signal }) => ask("figure", { definition: bare, dress: PLAIN_DRESS }, signal),
    enabled: bare !== null,
    staleTime: 300_000,
    retry: false,
  });
  const answer = answerOf("level", data) ?? answerOf("crossings", data);
  return answer && direction(answer);
}
