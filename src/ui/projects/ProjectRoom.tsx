"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { TabPanel } from "react-aria-components";
import type { ShownProject } from "@/contract/projects";
import type { RoomBoards as RoomBoardsFacts } from "@/contract/rooms";
import { dayText, daysText } from "@/core/time";
import {
  ask,
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
import { BriefingsLeaf } from "../briefings";
import { useSaidOpening } from "../said";
import { BriefingButton, Leafed, LeafTabs, Leaves, OpenItems, RoomBoards, useLeaf } from "../rooms";
import { Overview, type LeafProps } from "./Overview";

const Timeline = later(() => import("../timeline"), "Timeline");
const Money = later(() => import("./Money"), "Money");
const WordsLeaf = later(() => import("./words/WordsLeaf"), "WordsLeaf");

const LEAVES = {
  overview: "Overview",
  board: "Board",
  timeline: "Timeline",
  money: "Money",
  items: "Items",
  words: "Words",
  briefings: "Briefings",
} as const;
type Leaf = keyof typeof LEAVES;

/** The leaves that somebody sees of it; what is open is counted beside its items. */
const leavesOf = ({ seesMoney, openItems }: ShownProject): Readonly<Record<string, string>> => {
  const { overview, board, timeline, money, items, words, briefings } = LEAVES;
  return {
    overview,
    board,
    timeline,
    ...(seesMoney ? { money } : {}),
    items: openItems > 0 ? `${items} · ${openItems}` : items,
    words,
    briefings,
  };
};

interface ProjectRoomProps {
  readonly project: ShownProject;
  readonly boards: RoomBoardsFacts;
  readonly mayKeep: boolean;
}

/** One project: how it is, when, what it costs, what is open, what is said of it, and its briefings. */
export function ProjectRoom({ project: given, boards, mayKeep }: ProjectRoomProps) {
  const [chosen, setLeaf] = useLeaf(LEAVES);
  const [stood, setStood] = useState("");
  const { data, error } = useQuery({
    queryKey: ["project", given.id, stood],
    queryFn: ({ signal }) =>
      ask("project", { project: given.id, ...(stood ? { stood } : {}) }, signal),
    placeholderData: keepPreviousData,
    ...(stood ? {} : { initialData: given }),
  });
  const here = { thing: "project" as const, id: given.id };
  const { open, records } = useSaidOpening(here);
  const project = data ?? given;
  const leaf = chosen === "money" && !project.seesMoney ? "overview" : chosen;
  return (
    <Page>
      <Mast>
        <Title>{project.name}</Title>
        <Purpose>{purposeOf(project)}</Purpose>
        <div className="acts">
          <DayField
            label="As it stood on"
            value={stood}
            max={project.today}
            none="now"
            back="Back to now"
            onChange={setStood}
          />
          {mayKeep && <BriefingButton kind="project" id={given.id} />}
        </div>
      </Mast>
      <Leafed selectedKey={leaf} onSelectionChange={(id) => setLeaf(id as Leaf)}>
        <Leaves>
          <LeafTabs label="What is shown of it" leaves={leavesOf(project)} />
          <span className="end">
            {stood ? `as it stood on ${dayText(stood)}` : seenBy(project)}
          </span>
        </Leaves>
        <TabPanel key={leaf} id={leaf}>
          {data ? (
            BODIES[leaf]({
              project,
              here,
              open,
              stood,
              boards,
              mayKeep,
              onWords: () => setLeaf("words"),
            })
          ) : error ? (
            <Empty says={error.message} />
          ) : (
            <Waiting>Counting …</Waiting>
          )}
        </TabPanel>
      </Leafed>
      <div className="sight">
        <SightLine />
      </div>
      {records}
    </Page>
  );
}

type BodyProps = LeafProps & Omit<ProjectRoomProps, "project"> & { readonly onWords: () => void };

/** What each leaf shows. */
const BODIES: Readonly<Record<Leaf, (props: BodyProps) => ReactNode>> = {
  overview: (props) => <Overview {...props} />,
  board: ({ boards, open, stood }) => <RoomBoards given={boards} {...{ open, stood }} />,
  timeline: ({ project, stood }) => (
    <Timeline rows={[project.id]} today={project.today} stood={stood} isOpen />
  ),
  money: (props) => <Money {...props} />,
  items: ({ project, open, stood }) => (
    <OpenItems of={{ kind: "project", id: project.id }} {...{ open, stood }} />
  ),
  words: (props) => <WordsLeaf {...props} />,
  briefings: ({ project, mayKeep }) => (
    <BriefingsLeaf of={{ kind: "project", target: project.id }} mayKeep={mayKeep} />
  ),
};

/** "a refit, 1 Sep to 18 Dec 2026": what its head says, as one line. */
const purposeOf = ({ type, span }: ShownProject): string =>
  [type ?? "", span ? daysText(span.from, span.to) : "without dates yet"]
    .filter(Boolean)
    .join(", ");

function seenBy({ manager, teams }: ShownProject): string {
  const led = manager ? `${manager.name} leads it` : "nobody leads it";
  if (teams.length === 0) return `${led}; everybody sees it`;
  const named =
    teams.length > 1 ? `${teams.slice(0, -1).join(", ")} and ${teams.at(-1)}` : teams[0];
  return `${led}; ${named} ${teams.length > 1 ? "see" : "sees"} it`;
}
