"use client";
import styled from "styled-components";
import type { ReadPart } from "@/contract/briefings";
import type { ShownProject } from "@/contract/projects";
import { figuresIn } from "@/core/briefing";
import type { Here } from "@/core/catalog";
import { Button } from "../kit";
import { Blocks, HealthSign, SaidFigure, type Opening } from "../said";
import { Columns, Ground } from "../rooms";
import { Planks } from "./Planks";
import { costCurve, progressCurve } from "./sentences";

const Top = styled.div`
  display: grid;
  grid-template-columns: 172px minmax(0, 1fr);
  gap: 24px;
  padding: 14px 32px 0;
  align-items: start;
  .health {
    background: var(--tide-2);
    padding: 8px 16px;
    min-height: 72px;
    b {
      display: flex;
      gap: 12px;
      align-items: center;
      font: 600 24px/32px var(--serif);
    }
    span {
      color: var(--ink-2);
      font-size: 12.5px;
    }
  }
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 16px 0;
  }
`;

export interface LeafProps {
  readonly project: ShownProject;
  readonly here: Here;
  readonly open: Opening;
  readonly stood: string;
}

const partOf = ({ parts }: ShownProject, id: string): ReadPart | undefined =>
  parts.find((part) => part.id === id);

const figureOf = (project: ShownProject, part: string, key: string): string | null =>
  figuresIn(partOf(project, part)?.blocks ?? []).find((figure) => figure.key === key)?.words ??
  null;

/** How a project is, in one look. */
export function Overview({
  project,
  here,
  open,
  stood,
  onWords,
}: LeafProps & { readonly onWords: () => void }) {
  const health = figureOf(project, "verdict", "health");
  const { span } = project;
  return (
    <>
      <Top>
        <div className="health">
          <b>
            {health ?? "no word"}
            <HealthSign
              place={health === null ? null : project.healthWords.indexOf(health)}
              label={health ?? "nothing said"}
            />
          </b>
          <span>{health ? "in the weekly word" : "nobody has said anything"}</span>
        </div>
        <div>
          <Section part={partOf(project, "verdict")} {...{ open, here }} />
          <Section part={partOf(project, "money")} {...{ open, here }} />
        </div>
      </Top>
      <Columns>
        <div>
          {span && project.seesMoney ? (
            <Ground>
              <header>
                <h2>Cost, planned and spent</h2>
                <span className="end">month by month</span>
              </header>
              <SaidFigure
                says={costCurve(span)}
                title="Cost, planned and spent"
                height={340}
                {...{ open, here, stood }}
              />
            </Ground>
          ) : span ? (
            <Ground>
              <header>
                <h2>Progress, planned and actual</h2>
              </header>
              <SaidFigure
                says={progressCurve(span)}
                title="Progress, planned and actual"
                height={340}
                {...{ open, here, stood }}
              />
            </Ground>
          ) : (
            <Ground>
              <p>
                It has no dates yet: with a start and an end its cost and progress are drawn here.
              </p>
            </Ground>
          )}
          <Part project={project} id="open items" {...{ open, here }} />
        </div>
        <div>
          <Planks {...{ project, here, open, stood }} />
          <Part project={project} id="milestones" {...{ open, here }} />
          <Ground>
            <header>
              <h2 className="serif">Weekly word</h2>
              <span className="end">
                {project.maySay && (
                  <Button $small onPress={onWords}>
                    Write this week’s
                  </Button>
                )}
              </span>
            </header>
            <Section part={partOf(project, "word")} {...{ open, here }} />
            {!partOf(project, "word") && <p>Nobody has handed in a word yet.</p>}
          </Ground>
          <Part project={project} id="revenue" {...{ open, here }} />
        </div>
      </Columns>
    </>
  );
}

/** A part of the overview under its title; nothing where it has nothing to say. */
function Part({
  project,
  id,
  open,
  here,
}: {
  project: ShownProject;
  id: string;
  open: Opening;
  here: Here;
}) {
  const part = partOf(project, id);
  if (!part) return null;
  return (
    <Ground $on="plain">
      <header>
        <h2>{part.title}</h2>
      </header>
      <Section part={part} {...{ open, here }} />
    </Ground>
  );
}

const Section = ({ part, open, here }: { part: ReadPart | undefined; open: Opening; here: Here }) =>
  part && <Blocks blocks={part.blocks} open={open} here={here} />;
