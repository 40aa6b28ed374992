"use client";
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { WordLine } from "@/contract/projects";
import { dayText } from "@/core/time";
import { ask, Empty, Waiting } from "../../kit";
import { HealthSign } from "../../said";
import { Columns, Ground } from "../../rooms";
import { Owed } from "../Owed";
import type { LeafProps } from "../Overview";
import { Milestones } from "./Milestones";
import { Progress } from "./Progress";
import { WordForm } from "./WordForm";

const Said = styled.ol`
  > li {
    border-top: 1px solid var(--line);
    padding: 8px 0 10px;
  }
  h3 {
    display: flex;
    gap: 8px;
    align-items: center;
    font: 620 14px/20px var(--sans);
  }
  h3 small {
    margin-left: auto;
    color: var(--ink-2);
    font-weight: 400;
    font-size: 12.5px;
  }
  dl {
    display: grid;
    grid-template-columns: 60px minmax(0, 1fr);
    margin: 2px 0 0;
    font: 400 16px/23px var(--serif);
  }
  dt {
    color: var(--ink-2);
    font: 400 12.5px/23px var(--sans);
  }
  dd {
    margin: 0;
    overflow-wrap: anywhere;
  }
`;
const Eight = styled.p`
  display: flex;
  gap: 10px;
  align-items: center;
  color: var(--ink-2);
  padding-bottom: 6px;
`;

const WEEKS = 8;

/** What is said of a project week by week, and what its manager enters: this week's word, how far it is, its milestones. */
export function WordsLeaf({ project, stood }: LeafProps) {
  const { data, error } = useQuery({
    queryKey: ["weekly words", project.id],
    queryFn: ({ signal }) => ask("weeklyWords", { project: project.id }, signal),
  });
  if (error && !data) return <Empty says={error.message} />;
  if (!data) return <Waiting>Reading …</Waiting>;
  const words = stood ? data.filter((word) => word.begins <= stood) : data;
  const rank = (word: WordLine) =>
    word.health === null ? null : project.healthWords.indexOf(word.health);
  return (
    <Columns>
      <div>
        {project.maySay && !stood && <WordForm project={project} words={data} />}
        <Ground $on="plain">
          <header>
            <h2 className="serif">What was said</h2>
          </header>
          <Glance words={words} managerName={project.manager?.name ?? ""} rank={rank} />
          <Said>
            {words.map((word) => (
              <li key={`${word.week} ${word.person}`}>
                <h3>
                  <HealthSign place={rank(word)} label={word.health ?? "nothing said of it"} />
                  {word.health ?? "no health said"}
                  <small>
                    {word.person}, week of {dayText(word.begins)}
                  </small>
                </h3>
                <dl>
                  {(["done", "next", "worry"] as const).flatMap((part) =>
                    word[part]
                      ? [<dt key={part}>{part}</dt>, <dd key={`${part} said`}>{word[part]}</dd>]
                      : [],
                  )}
                </dl>
              </li>
            ))}
          </Said>
          {words.length === 0 && <p>Nobody has handed in a word yet.</p>}
        </Ground>
      </div>
      <div>
        <Owed mayRemind={project.maySay} project={project.id} />
        <Progress project={project} />
        <Milestones project={project} />
      </div>
    </Columns>
  );
}

/** The last eight weeks of the manager's words, oldest first. */
function Glance({
  words,
  managerName,
  rank,
}: {
  words: readonly WordLine[];
  managerName: string;
  rank: (word: WordLine) => number | null;
}) {
  const own = words.filter((word) => word.person === managerName);
  const seen = (own.length ? own : words).slice(0, WEEKS).reverse();
  if (seen.length < 2) return null;
  return (
    <Eight>
      {seen.length} weeks
      {seen.map((word) => (
        <HealthSign
          key={`${word.week} ${word.person}`}
          place={rank(word)}
          label={`${dayText(word.begins)}: ${word.health ?? "nothing said of it"}`}
        />
      ))}
    </Eight>
  );
}
