"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { TabPanel } from "react-aria-components";
import type { ReleaseLine, RoomBoards as RoomBoardsFacts } from "@/contract/rooms";
import { dayText, daysText } from "@/core/time";
import { Choice, DayField, Mast, Page, Purpose, SightLine, Title } from "../kit";
import {
  BriefingButton,
  isThingLeaf,
  Leafed,
  LeafTabs,
  Leaves,
  THING_LEAVES,
  ThingLeaf,
  UNITS,
  useLeaf,
  useWorkUnit,
} from "../rooms";
import { Overview } from "./Overview";

const LEAVES = { overview: "Overview", ...THING_LEAVES };
type Leaf = keyof typeof LEAVES;

interface ReleaseRoomProps {
  readonly release: ReleaseLine;
  readonly releases: readonly ReleaseLine[];
  readonly boards: RoomBoardsFacts;
  readonly today: string;
  readonly mayKeep: boolean;
}

/** One release: what is in it, how that burns down, what is open, and what is said of it. */
export function ReleaseRoom({ release, releases, boards, today, mayKeep }: ReleaseRoomProps) {
  const router = useRouter();
  const [leaf, setLeaf] = useLeaf<Leaf>(LEAVES);
  const [unit, setUnit] = useWorkUnit();
  const [stood, setStood] = useState("");
  const of = { kind: "release" as const, id: release.id };
  return (
    <Page>
      <Mast>
        <Title>{release.name}</Title>
        <Purpose>{purposeOf(release)}</Purpose>
        <div className="acts">
          <Choice
            hideLabel
            label="Release"
            value={String(release.id)}
            options={releases.map((one) => [String(one.id), one.name] as const)}
            onChange={(id) => router.push(`/releases/${id}`)}
          />
          <DayField
            label="As it stood on"
            value={stood}
            max={today}
            none="now"
            back="Back to now"
            onChange={setStood}
          />
          <Link href="/sprints">Sprints</Link>
          {mayKeep && <BriefingButton {...of} />}
        </div>
      </Mast>
      <Leafed selectedKey={leaf} onSelectionChange={(id) => setLeaf(id as Leaf)}>
        <Leaves>
          <LeafTabs label="What is shown of it" leaves={LEAVES} />
          <span className="end">
            {stood && `as it stood on ${dayText(stood)}`}
            {leaf === "overview" && (
              <Choice
                hideLabel
                label="Counted in"
                value={unit}
                options={UNITS}
                onChange={setUnit}
              />
            )}
          </span>
        </Leaves>
        <TabPanel key={leaf} id={leaf}>
          {isThingLeaf(leaf) ? (
            <ThingLeaf {...{ of, leaf, boards, stood, mayKeep }} />
          ) : (
            <Overview {...{ release, unit, stood }} />
          )}
        </TabPanel>
      </Leafed>
      <div className="sight">
        <SightLine />
      </div>
    </Page>
  );
}

/** "of Booking site 3, 1 Sep to 18 Dec 2026, under way". */
function purposeOf({ project, starts, due, released, stage }: ReleaseLine): string {
  const span =
    starts && due ? daysText(starts, due) : due ? `due on ${dayText(due)}` : "without dates";
  const state = released && stage === "released" ? `released on ${dayText(released)}` : stage;
  return [...(project ? [`of ${project}`] : []), span, state].join(", ");
}
