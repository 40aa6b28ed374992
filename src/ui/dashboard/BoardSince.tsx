"use client";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import styled from "styled-components";
import type { NarrowingText } from "@/contract/figures";
import { ask, useMoments } from "../kit";

const Line = styled.p`
  padding: 10px 32px 0;
  color: var(--ink-2);
  a {
    color: var(--plum);
    font-weight: 600;
  }
  @media (max-width: 900px) {
    padding-inline: 16px;
  }
`;

interface BoardSinceProps {
  /** When the viewer was here before, as ISO text. */
  readonly since: string;
  /** What narrows the dashboard. */
  readonly narrowed: readonly NarrowingText[];
  readonly stamp: number;
}

/** In one line: what came and what left of all that is open since the viewer was here; nothing where nothing did. */
export function BoardSince({ since, narrowed, stamp }: BoardSinceProps) {
  const moments = useMoments();
  const { data } = useQuery({
    queryKey: ["boardSince", narrowed, since, stamp],
    queryFn: ({ signal }) => ask("boardSince", { narrowed: [...narrowed], since }, signal),
    staleTime: 240_000,
  });
  if (!data?.words) return null;
  return (
    <Line role="status">
      Since you last looked, {moments.time(since)}, of all that is open{" "}
      <Link href={`/reports/new?s=${encodeURIComponent(data.says)}`}>{data.words}</Link>.
    </Line>
  );
}
