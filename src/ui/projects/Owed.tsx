"use client";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import { useState } from "react";
import styled from "styled-components";
import type { OwedLine } from "@/contract/projects";
import { dayText } from "@/core/time";
import { ask, Button, tell, useMoments } from "../kit";
import { Ground } from "../rooms";

const Lines = styled.ul`
  li {
    display: flex;
    gap: 4px 10px;
    align-items: center;
    flex-wrap: wrap;
    border-top: 1px solid var(--line);
    padding: 5px 0;
  }
  li > span {
    color: var(--ink-2);
  }
  li > :last-child {
    margin-left: auto;
  }
`;

/** The latest week that each manager owes a word for, with one button to ask for it. */
export function Owed({ mayRemind, project }: { mayRemind: boolean; project?: number }) {
  const client = useQueryClient();
  const moments = useMoments();
  const [busy, setBusy] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: ["owed", project],
    queryFn: ({ signal }) => ask("owed", project === undefined ? {} : { project }, signal),
  });
  const latest = latestOf(data ?? []);
  if (latest.length === 0) return null;
  const remind = async ({ project: id, week }: OwedLine) => {
    setBusy(`${id} ${week}`);
    try {
      const { to } = await ask("remind", { project: id, week });
      tell(`${to} was asked by mail.`);
      await client.invalidateQueries({ queryKey: ["owed"] });
    } catch (error) {
      tell((error as Error).message);
    } finally {
      setBusy(null);
    }
  };
  return (
    <Ground $on="plain" aria-label="Weekly words that are owed">
      <header>
        <h2>Who has not handed in</h2>
        <span className="end">
          {latest.length === 1 ? "1 weekly word is owed" : `${latest.length} weekly words are owed`}
        </span>
      </header>
      <Lines>
        {latest.map(({ line, weeks }) => (
          <li key={line.project}>
            {project === undefined && <Link href={`/projects/${line.project}`}>{line.name}</Link>}
            <span>
              {line.manager ?? "no manager"}, week of {dayText(line.begins).slice(0, -5)}
              {weeks > 1 && ` and ${weeks - 1} more`}
            </span>
            {line.remindedAt ? (
              <span>asked {moments.day(line.remindedAt)}</span>
            ) : mayRemind && line.manager ? (
              <Button
                $small
                $look="line"
                isDisabled={busy !== null}
                onPress={() => void remind(line)}
              >
                Ask {line.manager}
              </Button>
            ) : (
              <span />
            )}
          </li>
        ))}
      </Lines>
    </Ground>
  );
}

/** For each project its latest week that is owed, and how many there are. */
const latestOf = (lines: readonly OwedLine[]) =>
  [...new Map([...lines].reverse().map((line) => [line.project, line])).values()]
    .map((line) => ({
      line,
      weeks: lines.filter((one) => one.project === line.project).length,
    }))
    .sort((a, b) => b.line.begins.localeCompare(a.line.begins) || b.weeks - a.weeks);
