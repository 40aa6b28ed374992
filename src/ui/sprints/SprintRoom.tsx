"use client";
import type { SprintLine } from "@/contract/figures";
import type { RoomBoards as RoomBoardsFacts } from "@/contract/rooms";
import { printReport, type Report, type VelocityReport } from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { ChevronLeft, ChevronRight, ScrollText } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { TabPanel, Tabs } from "react-aria-components";
import type { Mark } from "@/core/figure";
import { dayText, daysText } from "@/core/time";
import { ask, Button, Choice, DayField, Mast, Page, Purpose, SightLine, Title } from "../kit";
import { contextOf, OpenedRecords, partOf, type RoomFacts } from "../report";
import {
  BriefingButton,
  isThingLeaf,
  LeafTabs,
  THING_LEAVES,
  ThingLeaf,
  UNITS,
  useLeaf,
  useWorkUnit,
} from "../rooms";
import { DRAWN } from "./drawnLeaves";
import { cumulativeFlow } from "./sprintReports";
import { Leaves } from "./sprintStyle";
import { Work } from "./Work";

const LEAVES = { ...DRAWN, ...THING_LEAVES };
type Leaf = keyof typeof LEAVES;
interface SprintRoomProps {
  readonly facts: RoomFacts;
  readonly sprint: SprintLine;
  readonly sprints: readonly SprintLine[];
  readonly boards: RoomBoardsFacts;
  readonly mayKeep: boolean;
  /** There are releases to be seen. */
  readonly hasReleases: boolean;
}

/** One sprint: how its work burns down, what came into it and by whom, where its items stand, and when it may be done. */
export function SprintRoom({
  facts,
  sprint,
  sprints,
  boards,
  mayKeep,
  hasReleases,
}: SprintRoomProps) {
  const router = useRouter();
  const [unit, setUnit] = useWorkUnit();
  const [leaf, setLeaf] = useLeaf<Leaf>(LEAVES);
  const [stood, setStood] = useState("");
  const [without, setWithout] = useState<readonly number[]>([]);
  const [opened, setOpened] = useState<{
    report: Report;
    mark: Mark | null;
    title: string;
    path?: readonly string[];
  } | null>(null);
  const { data, error } = useQuery({
    queryKey: ["sprint", sprint.id, unit, stood],
    queryFn: ({ signal }) =>
      ask("sprint", { sprint: sprint.id, unit, ...(stood ? { stood } : {}) }, signal),
    placeholderData: keepPreviousData,
  });
  const context = contextOf(facts);
  const team = sprints.filter((one) => one.teamId === sprint.teamId);
  const place = team.findIndex((one) => one.id === sprint.id);
  const teams = [...new Map(sprints.map((one) => [one.teamId, one.team ?? "no team"])).entries()];
  const go = (to: SprintLine | undefined) => to && router.push(`/sprints/${to.id}`);
  const reports: Record<"flow" | "velocity", Report> = {
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
  const shownReport = isThingLeaf(leaf)
    ? undefined
    : leaf === "flow" || leaf === "velocity"
      ? reports[leaf]
      : data?.definition;
  const open = (report: Report, mark: Mark, title: string) => setOpened({ report, mark, title });
  const of = { kind: "sprint" as const, id: sprint.id };
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
          {hasReleases && <Link href="/releases">Releases</Link>}
          {mayKeep && <BriefingButton {...of} />}
        </div>
      </Mast>
      <Tabs
        style={{ display: "contents" }}
        selectedKey={leaf}
        onSelectionChange={(id) => setLeaf(id as Leaf)}
      >
        <Leaves>
          <LeafTabs label="What is drawn" leaves={LEAVES} />
          <div className="acts">
            {!isThingLeaf(leaf) && (
              <Choice
                hideLabel
                label="Counted in"
                value={unit}
                options={UNITS}
                onChange={setUnit}
              />
            )}
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
                className="as-report"
              >
                <ScrollText size={16} aria-hidden />
                As a report
              </Link>
            )}
          </div>
        </Leaves>
        {isThingLeaf(leaf) ? (
          <TabPanel id={leaf}>
            <ThingLeaf {...{ of, leaf, boards, stood, mayKeep }} />
          </TabPanel>
        ) : (
          <Work
            {...{ facts, sprint, leaf, unit, stood, data, error, reports, without }}
            onWithout={setWithout}
            onOpen={open}
            onRecords={(report, path, title) => setOpened({ report, mark: null, title, path })}
          />
        )}
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
