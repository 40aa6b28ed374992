"use client";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import type { BriefingLine } from "@/contract/briefings";
import type { BriefingKind } from "@/core/briefing";
import { dayText } from "@/core/time";
import { ask, Button, Choice, tell, useMoments } from "../kit";

const Room = styled.div`
  padding: 14px 32px 24px;
  max-width: 960px;
  .new {
    display: flex;
    gap: 12px;
    align-items: center;
    flex-wrap: wrap;
    padding-bottom: 12px;
  }
  @media (max-width: 700px) {
    padding: 12px 16px;
  }
`;
const Lines = styled.ul`
  li {
    border-top: 1px solid var(--line);
    padding: 9px 0;
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 16px;
  }
  a {
    font: 560 19px/25px var(--serif);
  }
  small {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .frozen {
    background: var(--lit);
    color: var(--brass-ink);
    padding: 1px 8px;
    align-self: start;
    font-weight: 600;
    font-size: 12.5px;
  }
`;

const USUAL = "usual";

interface LeafProps {
  readonly of: { readonly kind: BriefingKind; readonly target: number };
  readonly mayKeep: boolean;
}

/** The briefings of one thing, and a new one, from a template or the usual parts. */
export function BriefingsLeaf({ of, mayKeep }: LeafProps) {
  const router = useRouter();
  const [template, setTemplate] = useState(USUAL);
  const { data } = useQuery({
    queryKey: ["briefings", of],
    queryFn: ({ signal }) => ask("briefings", { of }, signal),
  });
  const { data: templates } = useQuery({
    queryKey: ["templates", of.kind],
    queryFn: ({ signal }) => ask("templates", { kind: of.kind }, signal),
    enabled: mayKeep,
  });
  const make = async () => {
    try {
      const id = await ask("newBriefing", {
        ...of,
        template: template === USUAL ? null : Number(template),
      });
      router.push(`/briefings/${id}`);
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <Room>
      {mayKeep && (
        <div className="new">
          <Button $look="solid" onPress={() => void make()}>
            New briefing
          </Button>
          {templates && templates.length > 0 && (
            <Choice
              label="begins with"
              value={template}
              options={[
                [USUAL, "the usual parts"],
                ...templates.map((one) => [String(one.id), one.name] as const),
              ]}
              onChange={setTemplate}
            />
          )}
        </div>
      )}
      {data && <BriefingLines lines={data} isOfOne />}
      {data?.length === 0 && (
        <p>
          There is no briefing yet. A new one is there at once: its words and figures are made from
          what is kept, and you write into it what no figure says.
        </p>
      )}
    </Room>
  );
}

/** Briefings one under the other: of what, as of when, by whom. */
export function BriefingLines({
  lines,
  isOfOne = false,
}: {
  lines: readonly BriefingLine[];
  isOfOne?: boolean;
}) {
  const moments = useMoments();
  return (
    <Lines>
      {lines.map((line) => (
        <li key={line.id}>
          <Link href={`/briefings/${line.id}`}>{line.title}</Link>
          {line.frozenOn ? (
            <span className="frozen">frozen on {dayText(line.frozenOn)}</span>
          ) : (
            <small>kept current</small>
          )}
          <small>
            {isOfOne ? "" : `${line.kind} ${line.of} · `}
            by {line.owner} · written in {moments.time(line.updatedAt)}
          </small>
        </li>
      ))}
    </Lines>
  );
}
