"use client";
import type { SprintLine } from "@/contract/figures";
import {
  burndownParts,
  type LevelReport,
  type Report,
  type VelocityReport,
  printReport,
  answerOf,
} from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { ChevronLeft, ChevronRight, ScrollText } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { Tab, TabList, TabPanel, Tabs } from "react-aria-components";
import { PLAIN_DRESS, type WorkUnit } from "@/core/definition";
import type { Mark } from "@/core/figure";
import { dayText, daysText } from "@/core/time";
import { BurnUp } from "../charts";
import {
  ask,
  Button,
  Checkbox,
  Choice,
  DayField,
  Empty,
  later,
  Mast,
  Page,
  Purpose,
  SightLine,
  Title,
  Waiting,
} from "../kit";
import {
  contextOf,
  FigureBody,
  flagsOf,
  OpenedRecords,
  partOf,
  saidWords,
  Says,
  type RoomFacts,
  useDayNotes,
} from "../report";
import { useForecast } from "./useForecast";
import { Grounds, Leaves } from "./sprintStyle";
import { cumulativeFlow } from "./sprintReports";

const Account = later(() => import("./Account"), "Account");
const OtherFigure = later(() => import("./OtherFigure"), "OtherFigure");
const LeftOut = later(() => import("./LeftOut"), "LeftOut");
const Forecast = later(() => import("./Forecast"), "Forecast");
const Steps = later(() => import("./Steps"), "Steps");

const LEAVES = {
  burndown: "Burndown",
  burnup: "Burn-up",
  flow: "Cumulative flow",
  velocity: "Velocity",
} as const;
type Leaf = keyof typeof LEAVES;
const UNITS: readonly (readonly [WorkUnit, string])[] = [
  ["points", "points"],
  ["count", "items"],
  ["remaining estimate", "remaining estimate"],
];
const UNIT_KEY = "gt_sprint_unit";

interface SprintRoomProps {
  readonly facts: RoomFacts;
  readonly sprint: SprintLine;
  readonly sprints: readonly SprintLine[];
}

/** One sprint: how its work burns down, what came into it and by whom, where its items stand, and when it may be done. */
export function SprintRoom({ facts, sprint, sprints }: SprintRoomProps) {
  const router = useRouter();
  const [unit, setUnit] = useState<WorkUnit>("points");
  const [leaf, setLeaf] = useState<Leaf>("burndown");
  const [onWorkingDays, setOnWorkingDays] = useState(true);
  const [stood, setStood] = useState("");
  const [without, setWithout] = useState<readonly number[]>([]);
  const [opened, setOpened] = useState<{
    report: Report;
    mark: Mark | null;
    title: string;
    path?: readonly string[];
  } | null>(null);
  useEffect(() => {
    const kept = localStorage.getItem(UNIT_KEY);
    if (UNITS.some(([id]) => id === kept)) setUnit(kept as WorkUnit);
  }, []);
  const choose = (next: WorkUnit) => {
    localStorage.setItem(UNIT_KEY, next);
    setUnit(next);
  };
  const { data, error } = useQuery({
    queryKey: ["sprint", sprint.id, unit, stood],
    queryFn: ({ signal }) =>
      ask("sprint", { sprint: sprint.id, unit, ...(stood ? { stood } : {}) }, signal),
    placeholderData: keepPreviousData,
  });
  const { data: notes } = useDayNotes(null);
  const forecast = useForecast(data?.definition ?? null, sprint.stage === "running" && !stood);
  const context = contextOf(facts);
  const team = sprints.filter((one) => one.teamId === sprint.teamId);
  const place = team.findIndex((one) => one.id === sprint.id);
  const teams = [...new Map(sprints.map((one) => [one.teamId, one.team ?? "no team"])).entries()];
  const go = (to: SprintLine | undefined) => to && router.push(`/sprints/${to.id}`);
  const reports: Record<Exclude<Leaf, "burndown" | "burnup">, Report> = {
    flow: cumulativeFlow(sprint, facts.now, context, without),
    velocity: {
      kind: "velocity",
      subject: { id: "items" },
      team: sprint.teamId,
      unit,
      last: 9,
      shape: "columns",
    } satisfies VelocityReport,
  };
  const shownReport = leaf === "flow" || leaf === "velocity" ? reports[leaf] : data?.definition;
  const open = (report: Report, mark: Mark | null, title: string) =>
    setOpened({ report, mark, title });
  const answer = answerOf("burndown", data?.shown);
  return (
    <Page>
      <Mast>
        <Title>{sprint.name}</Title>
        <Purpose>
          {[
            sprint.team,
            sprint.starts && sprint.ends ? daysText(sprint.starts, sprint.ends) : "without dates",
            stood ? `as it stood on ${dayText(stood)}` : sprint.stage,
          ]
            .filter(Boolean)
            .join(", ")}
        </Purpose>
        <div className="acts">
          <Button
            $icon
            aria-label="The sprint before"
            isDisabled={!team[place + 1]}
            onPress={() => go(team[place + 1])}
          >
            <ChevronLeft aria-hidden />
          </Button>
          <Choice
            hideLabel
            label="Sprint"
            value={String(sprint.id)}
            options={team.map((one) => [String(one.id), one.name] as const)}
            onChange={(id) => go(team.find((one) => String(one.id) === id))}
          />
          <Button
            $icon
            aria-label="The sprint after"
            isDisabled={place < 1}
            onPress={() => go(team[place - 1])}
          >
            <ChevronRight aria-hidden />
          </Button>
          {teams.length > 1 && (
            <Choice
              hideLabel
              label="Team"
              value={String(sprint.teamId)}
              options={teams.map(([id, name]) => [String(id), name] as const)}
              onChange={(id) =>
                go(
                  sprints.find((one) => String(one.teamId) === id && one.stage === sprint.stage) ??
                    sprints.find((one) => String(one.teamId) === id),
                )
              }
            />
          )}
        </div>
      </Mast>
      <Tabs
        style={{ display: "contents" }}
        selectedKey={leaf}
        onSelectionChange={(id) => setLeaf(id as Leaf)}
      >
        <Leaves>
          <TabList aria-label="What is drawn">
            {(Object.keys(LEAVES) as Leaf[]).map((id) => (
              <Tab key={id} id={id}>
                {LEAVES[id]}
              </Tab>
            ))}
          </TabList>
          <div className="acts">
            <Choice hideLabel label="Counted in" value={unit} options={UNITS} onChange={choose} />
            <DayField
              label="As it stood on"
              value={stood}
              min={sprint.starts ?? undefined}
              max={sprint.ends ?? undefined}
              none="now"
              back="Back to now"
              onChange={setStood}
            />
            {shownReport && (
              <Link
                href={`/reports/new?s=${encodeURIComponent(printReport(shownReport, context.catalog))}`}
                style={{
                  display: "inline-flex",
                  gap: 6,
                  alignItems: "center",
                  color: "var(--plum)",
                  fontWeight: 600,
                }}
              >
                <ScrollText size={16} aria-hidden />
                As a report
              </Link>
            )}
          </div>
        </Leaves>
        <Grounds>
          <div className="column">
            <TabPanel id={leaf} className="figure">
              {error && !data ? (
                <Empty says={error.message} />
              ) : !data ? (
                <Waiting>Counting …</Waiting>
              ) : leaf === "burndown" || leaf === "burnup" ? (
                <>
                  <Says>{saidWords(data.shown.says)}</Says>
                  {answer?.burndown && leaf === "burndown" && (
                    <Checkbox isSelected={onWorkingDays} onChange={setOnWorkingDays}>
                      Pace over working days only
                    </Checkbox>
                  )}
                  {answer?.burndown &&
                    data.shown.pace &&
                    !data.shown.blank &&
                    (leaf === "burndown" ? (
                      <div aria-label="Figure" role="group" style={{ display: "flex", flex: 1 }}>
                        <FigureBody
                          shown={data.shown}
                          report={data.definition}
                          dress={PLAIN_DRESS}
                          measure=""
                          title={`Burndown of ${sprint.name}`}
                          opened={null}
                          onOpen={(mark) => open(data.definition, mark, mark.label)}
                          asTable={false}
                          pace={onWorkingDays ? "working" : "clock"}
                          flags={flagsOf(notes ?? [], data.shown)}
                        />
                      </div>
                    ) : (
                      <BurnUp
                        answer={answer}
                        pace={data.shown.pace}
                        drawn={{
                          onOpen: (mark) => open(data.definition, mark, mark.label),
                          opened: [],
                          label: `Burn-up of ${sprint.name}`,
                          dress: PLAIN_DRESS,
                        }}
                        forecast={
                          forecast?.forecast
                            ? { forecast: forecast.forecast, days: forecast.days }
                            : null
                        }
                      />
                    ))}
                  {!answer?.burndown && (
                    <Empty
                      says={
                        sprint.starts
                          ? "There is nothing to draw before it begins."
                          : "Its dates are missing: a sprint needs a start and an end before anything can burn down."
                      }
                    />
                  )}
                </>
              ) : (
                <OtherFigure
                  report={reports[leaf]}
                  title={`${LEAVES[leaf]} of ${leaf === "velocity" ? (sprint.team ?? "the team") : sprint.name}`}
                  onOpen={(mark) => open(reports[leaf], mark, mark.label)}
                />
              )}
              {leaf === "flow" && (
                <LeftOut
                  context={context}
                  report={reports.flow as LevelReport}
                  without={without}
                  onWithout={setWithout}
                />
              )}
            </TabPanel>
            {data && <Steps sprint={data} unit={unit} zone={facts.calendar.zone} />}
          </div>
          {data && (
            <div className="column">
              <Account
                sprint={data}
                unit={unit}
                zone={facts.calendar.zone}
                onRecords={(line, title) =>
                  setOpened({
                    report: data.definition,
                    mark: null,
                    title,
                    path: [burndownParts.write({ kind: line })],
                  })
                }
              />
              <Forecast
                answer={answer}
                pace={data.shown.pace ?? null}
                forecast={forecast}
                planned={sprint.ends}
                running={sprint.stage === "running" && !stood}
              />
            </div>
          )}
        </Grounds>
      </Tabs>
      <div className="sight">
        <SightLine />
      </div>
      {opened && (
        <OpenedRecords
          key={opened.title}
          title={opened.title}
          report={opened.report}
          part={opened.path ? { path: [...opened.path] } : partOf(opened.mark)}
          onClose={() => setOpened(null)}
        />
      )}
    </Page>
  );
}
