"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { Tab, TabList, TabPanel } from "react-aria-components";
import type { ShownProject } from "@/contract/projects";
import type { KeptDashboard } from "@/contract/dashboards";
import { dayText } from "@/core/time";
import {
  ask,
  Button,
  DayField,
  Empty,
  later,
  Mast,
  Page,
  Purpose,
  SightLine,
  tell,
  Title,
  useAddress,
  Waiting,
  type InAddress,
} from "../kit";
import { BriefingsLeaf } from "../briefings";
import { useSaidOpening } from "../said";
import { Leafed, Leaves } from "./Leaves";
import { Overview } from "./Overview";

const Timeline = later(() => import("../timeline"), "Timeline");
const Money = later(() => import("./Money"), "Money");
const ProjectItems = later(() => import("./ProjectItems"), "ProjectItems");
const WordsLeaf = later(() => import("./words/WordsLeaf"), "WordsLeaf");
const RoomBoards = later(() => import("./RoomBoards"), "RoomBoards");

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

const LEAF: InAddress<Leaf> = {
  name: "leaf",
  plain: "overview",
  read: (text) => (text in LEAVES ? (text as Leaf) : "overview"),
  write: (leaf) => (leaf === "overview" ? null : leaf),
};

interface ProjectRoomProps {
  readonly project: ShownProject;
  /** The dashboards that it shows, with the rights of the viewer. */
  readonly boards: readonly (KeptDashboard & { readonly isOwn: boolean })[];
  /** Those that it may be set to show. */
  readonly offered: readonly { readonly id: number; readonly name: string }[];
  readonly role: string;
  readonly mayKeep: boolean;
}

/** One project: how it is, when, what it costs, what is open, what is said of it, and its briefings. */
export function ProjectRoom({ project: given, boards, offered, role, mayKeep }: ProjectRoomProps) {
  const router = useRouter();
  const [leaf, setLeaf] = useAddress(LEAF);
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
  const brief = async () => {
    try {
      const id = await ask("newBriefing", { kind: "project", target: given.id });
      router.push(`/briefings/${id}`);
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
  const project = data ?? given;
  const shared = { project, here, open, stood };
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
          {mayKeep && (
            <Button $look="line" onPress={() => void brief()}>
              Briefing
            </Button>
          )}
        </div>
      </Mast>
      <Leafed selectedKey={leaf} onSelectionChange={(id) => setLeaf(id as Leaf)}>
        <Leaves>
          <TabList aria-label="What is shown of it">
            {(Object.keys(LEAVES) as Leaf[])
              .filter((id) => id !== "money" || project.seesMoney)
              .map((id) => (
                <Tab key={id} id={id}>
                  {LEAVES[id]}
                  {id === "items" && project.openItems > 0 && ` · ${project.openItems}`}
                </Tab>
              ))}
          </TabList>
          <span className="end">{seenBy(project)}</span>
        </Leaves>
        <TabPanel key={leaf} id={leaf}>
          {error && !data ? (
            <Empty says={error.message} />
          ) : !data ? (
            <Waiting>Counting …</Waiting>
          ) : leaf === "overview" ? (
            <Overview {...shared} onWords={() => setLeaf("words")} />
          ) : leaf === "timeline" ? (
            <Timeline rows={[project.id]} today={project.today} stood={stood} isOpen />
          ) : leaf === "money" ? (
            <Money {...shared} />
          ) : leaf === "items" ? (
            <ProjectItems {...shared} />
          ) : leaf === "words" ? (
            <WordsLeaf {...shared} />
          ) : leaf === "briefings" ? (
            <BriefingsLeaf
              of={{ kind: "project", target: project.id }}
              mayKeep={mayKeep}
              role={role}
            />
          ) : (
            <RoomBoards {...shared} boards={boards} offered={offered} role={role} />
          )}
        </TabPanel>
      </Leafed>
      {stood && (
        <p className="sight" role="status">
          As it stood on {dayText(stood)}.
        </p>
      )}
      <div className="sight">
        <SightLine />
      </div>
      {records}
    </Page>
  );
}

/** "a refit, 1 Sep to 18 Dec 2026": what its head says, as one line. */
const purposeOf = ({ type, span }: ShownProject): string =>
  [
    type ?? "",
    span ? `${dayText(span.from).slice(0, -5)} to ${dayText(span.to)}` : "without dates yet",
  ]
    .filter(Boolean)
    .join(", ");

function seenBy({ manager, teams }: ShownProject): string {
  const led = manager ? `${manager.name} leads it` : "nobody leads it";
  if (teams.length === 0) return `${led}; everybody sees it`;
  const named =
    teams.length > 1 ? `${teams.slice(0, -1).join(", ")} and ${teams.at(-1)}` : teams[0];
  return `${led}; ${named} ${teams.length > 1 ? "see" : "sees"} it`;
}
