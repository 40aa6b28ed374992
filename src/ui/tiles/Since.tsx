"use client";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import styled from "styled-components";
import type { NarrowingText } from "@/contract/figures";
import { ask, useMoments } from "../kit";

const Band = styled.p`
  background: var(--tide-2);
  margin: 0 -14px;
  padding: 3px 14px;
  font-size: 12.5px;
  flex: none;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  b {
    font-weight: 650;
  }
`;

interface SinceProps {
  readonly report: number;
  readonly narrowed: readonly NarrowingText[];
  /** The instant of the viewer's visit before this one, as ISO text. */
  readonly since: string;
  readonly stamp: number;
}

/** What came and what left since the viewer last looked; it opens to exactly these. Nothing where nothing did. */
export function Since({ report, narrowed, since, stamp }: SinceProps) {
  const moments = useMoments();
  const { data } = useQuery({
    queryKey: ["since", report, narrowed, since, stamp],
    queryFn: ({ signal }) => ask("since", { report, narrowed: [...narrowed], since }, signal),
    staleTime: 240_000,
  });
  if (!data?.words) return null;
  return (
    <Band>
      <b>Since you last looked</b>, {moments.time(since)}:{" "}
      <Link href={`/reports/new?s=${encodeURIComponent(data.says)}`}>{data.words}</Link>
    </Band>
  );
}
