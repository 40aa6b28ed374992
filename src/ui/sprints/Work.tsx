"use client";
import type { ShownSprint, SprintLine } from "@/contract/figures";
import type { BurndownReport, LevelReport, Report } from "@/core/kinds";
import { answerOf, burndownParts } from "@/core/kinds";
import { useState } from "react";
import { TabPanel } from "react-aria-components";
import { PLAIN_DRESS, type WorkUnit } from "@/core/definition";
import type { AccountLine } from "@/core/history";
import type { Mark } from "@/core/figure";
import { BurnUp } from "../charts";
import { Checkbox, Empty, later, Waiting } from "../kit";
import {
  contextOf,
  FigureBody,
  flagsOf,
  saidWords,
  Says,
  useDayNotes,
  type RoomFacts,
} from "../report";
import { Forecast, useForecast } from "../rooms";
import { Grounds } from "./sprintStyle";
import { DRAWN, type DrawnLeaf } from "./drawnLeaves";

const Account = later(() => import("./Account"), "Account");
const OtherFigure = later(() => import("./OtherFigure"), "OtherFigure");
const LeftOut = later(() => import("./LeftOut"), "LeftOut");
const Steps = later(() => import("./Steps"), "Steps");

interface WorkProps {
  readonly facts: RoomFacts;
  readonly sprint: SprintLine;
  readonly leaf: DrawnLeaf;
  readonly unit: WorkUnit;
  /** The local day at whose end it is seen; "" for now. */
  readonly stood: string;
  readonly data: ShownSprint | undefined;
  readonly error: Error | null;
  /** What is drawn on the leaves beside the burndown. */
  readonly reports: Readonly<Record<Exclude<DrawnLeaf, "burndown" | "burnup">, Report>>;
  readonly without: readonly number[];
  readonly onWithout: (statuses: readonly number[]) => void;
  readonly onOpen: (report: Report, mark: Mark, title: string) => void;
  readonly onRecords: (report: BurndownReport, path: readonly string[], title: string) => void;
}

/** The work of a sprint, drawn; beside it its account, and when it may be done. */
export function Work({
  facts,
  sprint,
  leaf,
  unit,
  stood,
  data,
  error,
  reports,
  without,
  onWithout,
  onOpen,
  onRecords,
}: WorkProps) {
  const [onWorkingDays, setOnWorkingDays] = useState(true);
  const { data: notes } = useDayNotes(null);
  const isRunning = sprint.stage === "running" && !stood;
  const forecast = useForecast(data?.definition ?? null, isRunning);
  const answer = answerOf("burndown", data?.shown);
  return (
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
                      onOpen={(mark) => onOpen(data.definition, mark, mark.label)}
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
                      onOpen: (mark) => onOpen(data.definition, mark, mark.label),
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
              title={`${DRAWN[leaf]} of ${leaf === "velocity" ? (sprint.team ?? "the team") : sprint.name}`}
              onOpen={(mark) => onOpen(reports[leaf], mark, mark.label)}
            />
          )}
          {leaf === "flow" && (
            <LeftOut
              context={contextOf(facts)}
              report={reports.flow as LevelReport}
              without={without}
              onWithout={onWithout}
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
            onRecords={(line: AccountLine, title: string) =>
              onRecords(data.definition, [burndownParts.write({ kind: line })], title)
            }
          />
          <Forecast
            thing="sprint"
            answer={answer}
            pace={data.shown.pace ?? null}
            forecast={forecast}
            planned={sprint.ends}
            running={isRunning}
          />
        </div>
      )}
    </Grounds>
  );
}
