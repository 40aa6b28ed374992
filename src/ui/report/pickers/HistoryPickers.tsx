"use client";
import {
  BESIDES,
  CURVES,
  type Curve,
  type SCurveReport,
  type Beside,
  type BurndownReport,
  type CrossingsReport,
  type LevelReport,
  type Report,
  type VelocityReport,
  type CountReport,
} from "@/core/kinds";
import { WORK_UNITS, type WorkUnit } from "@/core/definition";
import { BUCKET_GRAINS, COMPARISONS, type BucketGrain } from "@/core/time";
import { Button, DayField, Choose, type Option } from "../../kit";
import type { PickerProps } from "./context";
import { Foot } from "./parts";

const done = (onDone: () => void) => (
  <Foot>
    <Button $small $look="solid" onPress={onDone}>
      Done
    </Button>
  </Foot>
);

/** What moves: arrivals, departures, or both. */
export const WhichPicker = ({
  report,
  onChange,
  onDone,
}: PickerProps & { report: CrossingsReport }) => (
  <>
    <Choose
      label="What moves"
      options={[
        { value: "both" as const, label: "arrivals and departures" },
        { value: "arrivals" as const, label: "arrivals" },
        { value: "departures" as const, label: "departures" },
      ]}
      chosen={[report.which]}
      onChoose={(which) =>
        onChange(
          withBeside(
            { ...report, which },
            (report.beside ?? []).filter((one) => one === "level" || which === "both"),
          ),
        )
      }
    />
    {done(onDone)}
  </>
);

export const GrainPicker = ({
  report,
  onChange,
  onDone,
}: PickerProps & { report: LevelReport | CrossingsReport | SCurveReport }) => (
  <>
    <Choose<BucketGrain>
      label="By which stretch"
      options={BUCKET_GRAINS.map((grain) => ({ value: grain, label: grain }))}
      chosen={[report.grain]}
      onChoose={(grain) => onChange({ ...report, grain } as Report)}
    />
    {done(onDone)}
  </>
);

const ABOUT_CURVE: Readonly<Record<Curve, string>> = {
  cost: "plan, what was spent, what it will come to",
  progress: "percent planned and done, several weighed by budget",
  "earned value": "what was planned and is done, in money, and its cost",
};

/** What of projects grows along an S-curve. */
export const CurvePicker = ({
  report,
  onChange,
  onDone,
}: PickerProps & { report: SCurveReport }) => (
  <>
    <Choose<Curve>
      label="What grows"
      options={CURVES.map((of) => ({ value: of, label: of, about: ABOUT_CURVE[of] }))}
      chosen={[report.of]}
      onChoose={(of) => onChange({ ...report, of })}
    />
    {done(onDone)}
  </>
);

/** Flows with their net or their level need a picture that has a line for it, and others have none. */
export function withBeside(
  { beside: _beside, ...report }: CrossingsReport,
  beside: readonly Beside[],
): CrossingsReport {
  if (beside.length === 0)
    return {
      ...report,
      ...(report.shape === "columnsWithLine" ? { shape: "columns" as const } : {}),
    };
  return {
    ...report,
    beside: BESIDES.filter((one) => beside.includes(one)),
    ...(report.shape ? { shape: "columnsWithLine" as const } : {}),
  };
}

const ABOUT_BESIDE: Readonly<Record<Beside, string>> = {
  net: "arrivals less departures",
  level: "how many at each end",
};

/** What stands beside flows. */
export function BesidePicker({
  report,
  onChange,
  onDone,
}: PickerProps & { report: CrossingsReport }) {
  const chosen = report.beside ?? [];
  return (
    <>
      <Choose<Beside>
        label="Beside it"
        many
        options={BESIDES.filter((one) => one === "level" || report.which === "both").map((one) => ({
          value: one,
          label: one,
          about: ABOUT_BESIDE[one],
        }))}
        chosen={chosen}
        onChoose={(one) =>
          onChange(
            withBeside(
              report,
              chosen.includes(one) ? chosen.filter((other) => other !== one) : [...chosen, one],
            ),
          )
        }
      />
      {done(onDone)}
    </>
  );
}

/** The two days between which a bridge is drawn, or a filter burns down. */
export function EndsPicker({
  ends: [first, last],
  onEnds,
  onDone,
}: {
  ends: readonly [string, string];
  onEnds: (from: string, to: string) => void;
  onDone: () => void;
}) {
  const put = (from: string, to: string) => from && to && onEnds(from, to);
  return (
    <div style={{ width: 300 }}>
      <div style={{ padding: 12, display: "grid", gap: 10 }}>
        <DayField
          stacked
          label="From the end of"
          value={first.slice(0, 10)}
          onChange={(day) => put(day, last)}
        />
        <DayField
          stacked
          label="To the end of"
          value={last.slice(0, 10)}
          onChange={(day) => put(first, day)}
          error={first > last ? "The earlier day comes first." : null}
        />
      </div>
      {done(onDone)}
    </div>
  );
}

function teamsWithSprints({ catalog: { names } }: PickerProps["context"]) {
  const teams = new Set(names.list("sprint").map((sprint) => sprint.team));
  return names.list("team").filter((team) => teams.has(team.id));
}

/** Which sprint or release burns down. */
export function BurnsPicker({
  context,
  report,
  onChange,
  onDone,
}: PickerProps & { report: BurndownReport }) {
  const { names } = context.catalog;
  const options: Option<BurndownReport["of"]>[] = [
    { value: { kind: "current sprint" }, label: "the current sprint", about: "begun, not closed" },
    ...teamsWithSprints(context).map((team) => ({
      value: { kind: "current sprint" as const, team: team.id },
      label: `the current sprint of ${team.label}`,
      about: "or else its last",
    })),
    ...[...names.list("sprint")]
      .sort((a, b) => (b.startsAt ?? 0) - (a.startsAt ?? 0))
      .map((sprint) => ({
        value: { kind: "sprint" as const, sprint: sprint.id },
        label: sprint.label,
        group: "Sprints",
      })),
    ...names.list("release").map((release) => ({
      value: { kind: "release" as const, release: release.id },
      label: release.label,
      group: "Releases",
    })),
  ];
  return (
    <>
      <Choose
        label="What burns down"
        options={options}
        chosen={[report.of]}
        same={(a, b) => JSON.stringify(a) === JSON.stringify(b)}
        onChoose={(of) => onChange({ ...report, of })}
      />
      {done(onDone)}
    </>
  );
}

export const UnitPicker = ({
  report,
  onChange,
  onDone,
}: PickerProps & { report: BurndownReport | VelocityReport }) => (
  <>
    <Choose<WorkUnit>
      label="In"
      options={WORK_UNITS.map((unit) => ({ value: unit, label: unit }))}
      chosen={[report.unit ?? "points"]}
      onChoose={(unit) => onChange({ ...report, unit } as Report)}
    />
    {done(onDone)}
  </>
);

export const TeamPicker = ({
  context,
  report,
  onChange,
  onDone,
}: PickerProps & { report: VelocityReport }) => (
  <>
    <Choose<number | null>
      label="Team"
      options={[
        { value: null, label: "my team", about: "whoever is looking" },
        ...context.catalog.names
          .list("team")
          .map((team) => ({ value: team.id, label: team.label })),
      ]}
      chosen={[report.team]}
      onChoose={(team) => onChange({ ...report, team })}
    />
    {done(onDone)}
  </>
);

export const LastPicker = ({
  report,
  onChange,
  onDone,
}: PickerProps & { report: VelocityReport }) => (
  <>
    <Choose<number | undefined>
      label="Over how many sprints"
      options={[
        { value: undefined, label: "all of them" },
        ...[3, 5, 8, 12].map((n) => ({ value: n, label: `the last ${n}` })),
      ]}
      chosen={[report.last]}
      onChoose={(last) => {
        const { last: _l, ...rest } = report;
        onChange(last ? { ...rest, last } : rest);
      }}
    />
    {done(onDone)}
  </>
);

export const ComparedPicker = ({
  report,
  onChange,
  onDone,
}: PickerProps & { report: CountReport }) => (
  <>
    <Choose<string>
      label="Compared with"
      options={[
        ...COMPARISONS.map((how) => ({ value: how as string, label: how })),
        { value: "", label: "nothing" },
      ]}
      chosen={[report.compared ?? ""]}
      onChoose={(how) => {
        const { compared: _c, ...rest } = report;
        onChange(how ? { ...rest, compared: how as (typeof COMPARISONS)[number] } : rest);
      }}
    />
    {done(onDone)}
  </>
);
