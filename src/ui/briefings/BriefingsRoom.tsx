"use client";
import styled from "styled-components";
import type { BriefingLine } from "@/contract/briefings";
import { Empty, Mast, Page, Purpose, SightLine, Title } from "../kit";
import { BriefingLines } from "./BriefingsLeaf";

const Body = styled.div`
  padding: 4px 32px 24px;
  max-width: 960px;
  @media (max-width: 700px) {
    padding: 4px 16px 24px;
  }
`;

/** The index of all briefings that one may read. */
export const BriefingsRoom = ({ lines }: { lines: readonly BriefingLine[] }) => (
  <Page>
    <Mast>
      <Title>Briefings</Title>
      <Purpose>What is said of projects, sprints and teams, with the figures under it</Purpose>
    </Mast>
    {lines.length > 0 ? (
      <Body>
        <BriefingLines lines={lines} />
      </Body>
    ) : (
      <Empty says="There is no briefing yet that you may read. Begin one in the room of a project." />
    )}
    <div className="sight">
      <SightLine />
    </div>
  </Page>
);
