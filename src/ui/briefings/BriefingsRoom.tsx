"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import type { BriefingLine } from "@/contract/briefings";
import type { BriefingKind } from "@/core/briefing";
import { ask, Button, Choice, Empty, Mast, Page, Purpose, SightLine, tell, Title } from "../kit";
import { BriefingLines } from "./BriefingsLeaf";

const Body = styled.div`
  padding: 4px 32px 24px;
  max-width: 960px;
  .new {
    display: flex;
    gap: 8px 12px;
    align-items: center;
    flex-wrap: wrap;
    padding-bottom: 14px;
  }
  @media (max-width: 700px) {
    padding: 4px 16px 24px;
  }
`;

/** What a briefing can be of, with the things of each kind that one knows of. */
export type Subjects = Readonly<
  Record<BriefingKind, readonly { readonly id: number; readonly name: string }[]>
>;
const CALLED: Readonly<Record<BriefingKind, string>> = {
  project: "the project",
  sprint: "the sprint",
  release: "the release",
  team: "the team",
  filter: "the saved filter",
};

/** The index of all briefings that one may read, and a new one of whatever they can be of. */
export const BriefingsRoom = ({
  lines,
  subjects,
  mayKeep,
}: {
  lines: readonly BriefingLine[];
  subjects: Subjects;
  mayKeep: boolean;
}) => (
  <Page>
    <Mast>
      <Title>Briefings</Title>
      <Purpose>What is said of projects, sprints and teams, with the figures under it</Purpose>
    </Mast>
    <Body>
      {mayKeep && <NewBriefing subjects={subjects} />}
      <BriefingLines lines={lines} />
    </Body>
    {lines.length === 0 && <Empty says="There is no briefing yet that you may read." />}
    <div className="sight">
      <SightLine />
    </div>
  </Page>
);

function NewBriefing({ subjects }: { subjects: Subjects }) {
  const router = useRouter();
  const kinds = (Object.keys(CALLED) as BriefingKind[]).filter((kind) => subjects[kind].length > 0);
  const [kind, setKind] = useState<BriefingKind>(kinds[0] ?? "project");
  const [chosen, setChosen] = useState<string | null>(null);
  const things = subjects[kind];
  const target = things.find((thing) => String(thing.id) === chosen) ?? things[0];
  if (!target) return null;
  const make = async () => {
    try {
      router.push(`/briefings/${await ask("newBriefing", { kind, target: target.id })}`);
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <div className="new" role="group" aria-label="A new briefing">
      <Button $look="solid" onPress={() => void make()}>
        New briefing
      </Button>
      of
      <Choice
        hideLabel
        said
        label="Kind"
        value={kind}
        options={kinds.map((one) => [one, CALLED[one]] as const)}
        onChange={setKind}
      />
      <Choice
        hideLabel
        said
        label="Of what"
        value={String(target.id)}
        options={things.map((thing) => [String(thing.id), thing.name] as const)}
        onChange={setChosen}
      />
    </div>
  );
}
