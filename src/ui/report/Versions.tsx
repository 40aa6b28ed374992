"use client";
import {
  type Report,
  dressDifferences,
  printReport,
  reportDifferences,
  type Difference,
} from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import { type Dress } from "@/core/definition";

import { ask, Button, Dialog, Waiting, useMoments } from "../kit";

const Rows = styled.ul`
  max-height: 46vh;
  overflow: auto;
  li {
    border-top: 1px solid var(--line);
    padding: 8px 0;
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
  }
  li b {
    font-weight: 650;
  }
  li small {
    color: var(--ink-2);
  }
  p {
    font: 400 15px/20px var(--serif);
    grid-column: 1 / -1;
  }
`;
const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  td,
  th {
    text-align: left;
    border-top: 1px solid var(--line);
    padding: 5px 12px 5px 0;
    vertical-align: baseline;
    font-weight: 400;
  }
  th {
    font-weight: 650;
  }
  thead th {
    color: var(--ink-2);
    font-weight: 500;
    font-size: 12.5px;
    border-top: 0;
  }
`;

/** What differs, in words: each part as it was and as it is. */
export function Differences({
  list,
  was,
  now,
}: {
  list: readonly Difference[];
  was: string;
  now: string;
}) {
  if (list.length === 0) return <p>They say the same and look the same.</p>;
  return (
    <Table>
      <thead>
        <tr>
          <th />
          <th>{was}</th>
          <th>{now}</th>
        </tr>
      </thead>
      <tbody>
        {list.map((one) => (
          <tr key={one.about}>
            <th scope="row">{one.about}</th>
            <td>{one.was ?? "nothing"}</td>
            <td>{one.now ?? "nothing"}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Every save of a report: looked at, compared in words with what is there now, and taken back. */
export function Versions({
  context,
  id,
  report,
  dress,
  isOpen,
  onClose,
  onTake,
}: {
  context: AskContext;
  id: number;
  report: Report;
  dress: Dress;
  isOpen: boolean;
  onClose: () => void;
  onTake: (report: Report, dress: Dress, version: number) => void;
}) {
  const { data } = useQuery({
    queryKey: ["versions", id, isOpen],
    queryFn: ({ signal }) => ask("versions", { kind: "report", id }, signal),
    enabled: isOpen,
  });
  const moments = useMoments();
  const [looked, setLooked] = useState<number | null>(null);
  return (
    <Dialog title="Earlier versions" isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      {!data ? (
        <Waiting>Looking …</Waiting>
      ) : (
        <Rows>
          {data.map((line) => {
            const old = line.report;
            return (
              <li key={line.version}>
                <span>
                  <b>Version {line.version}</b>{" "}
                  <small>
                    {line.savedBy}, {moments.time(line.savedAt)}
                  </small>
                </span>
                <span>
                  <Button
                    $small
                    onPress={() => setLooked(looked === line.version ? null : line.version)}
                  >
                    {looked === line.version ? "Close" : "Compare"}
                  </Button>
                  {old && (
                    <Button
                      $small
                      $look="line"
                      onPress={() => {
                        onTake(old.definition, old.dress, line.version);
                        onClose();
                      }}
                    >
                      Take it back
                    </Button>
                  )}
                </span>
                <p>
                  {old
                    ? printReport(old.definition, context.catalog)
                    : "It does not read any more."}
                </p>
                {looked === line.version && old && (
                  <div style={{ gridColumn: "1 / -1" }}>
                    <Differences
                      list={[
                        ...reportDifferences(old.definition, report, context.catalog),
                        ...dressDifferences(old.dress, dress),
                      ]}
                      was={`version ${line.version}`}
                      now="now"
                    />
                  </div>
                )}
              </li>
            );
          })}
        </Rows>
      )}
    </Dialog>
  );
}
