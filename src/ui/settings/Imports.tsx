"use client";
import type { Sent } from "@/contract/acts";
import type { Stage } from "@/core/catalog";
import type { ImportState } from "@/contract/workspace";
import { useQuery } from "@tanstack/react-query";
import { Download } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import { integerText } from "@/core/base";

import { ask, Button, Choice, later, Mast, Notice, Page, Purpose, tell, Title } from "../kit";
import { Leaves } from "./Leaves";

const DropArea = later(() => import("./DropArea"), "DropArea");

const Body = styled.div`
  padding: 16px 32px 120px;
  max-width: 820px;
  display: grid;
  gap: 14px;
  .drop {
    background: var(--salt);
    padding: 28px;
    display: grid;
    gap: 10px;
    justify-items: start;
  }
  .drop[data-drop-target] {
    background: var(--mallow-2);
  }
  .drop p {
    font: 400 17px/25px var(--serif);
  }
  .doing {
    background: var(--salt);
    padding: 16px;
  }
  .doing p {
    font: 400 18px/26px var(--serif);
  }
  .ruler {
    height: 6px;
    background: var(--ghost);
    margin-top: 10px;
  }
  .ruler i {
    display: block;
    height: 6px;
    background: var(--c1);
    border-right: 3px solid var(--brass);
  }
  table {
    border-collapse: collapse;
    width: 100%;
    background: var(--tide);
  }
  th {
    text-align: right;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 7px 14px;
  }
  th:first-child {
    text-align: left;
  }
  td {
    border-top: 1px solid rgba(0, 0, 0, 0.1);
    padding: 4px 14px;
    text-align: right;
    font: 520 16px/22px var(--serif);
  }
  td:first-child {
    text-align: left;
    font: 400 13.5px/20px var(--sans);
  }
  tr.sum td {
    border-top: 2px solid var(--ink);
    font-weight: 650;
  }
  .cause {
    display: grid;
    grid-template-columns: 64px minmax(0, 1fr);
    gap: 12px;
    border-top: 1px solid var(--line);
    padding: 7px 0;
    b {
      font: 520 20px/24px var(--serif);
      text-align: right;
    }
    small {
      color: var(--ink-2);
      font-size: 12.5px;
    }
  }
  h2 {
    font: 620 20px/26px var(--serif);
  }
  @media (max-width: 700px) {
    padding: 16px 16px 100px;
  }
`;
const Foot = styled.footer`
  position: sticky;
  bottom: 0;
  margin-top: auto;
  background: var(--mallow);
  padding: 12px 32px;
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  .last {
    margin-left: auto;
    display: flex;
    gap: 10px;
    align-items: center;
  }
`;
const RUNNING: readonly ImportState["state"][] = ["reading", "writing"];

/** Brings a bundle in: upload, dry run, what is refused and why, then for good. It goes on when the page is left. */
export function Imports({ last, workspace }: { last: readonly ImportState[]; workspace: string }) {
  const [id, setId] = useState<number | null>(
    last.find((one) => !["done", "failed", "stopped"].includes(one.state))?.id ?? null,
  );
  const [error, setError] = useState<string | null>(null);
  const [sending, setSending] = useState<string | null>(null);
  const { data: state, refetch } = useQuery({
    queryKey: ["import", id],
    queryFn: async () =>
      ((await (await fetch(`/api/imports/${id}`)).json()) as { value: ImportState }).value,
    enabled: id !== null,
    staleTime: 0,
    refetchInterval: ({ state: { data } }) => (!data || RUNNING.includes(data.state) ? 700 : false),
  });
  const upload = async (file: File) => {
    setError(null);
    setSending(file.name);
    const reply = await fetch("/api/imports", {
      method: "POST",
      headers: {
        "x-file-name": encodeURIComponent(file.name),
        "content-type": "application/octet-stream",
      },
      body: file,
    }).catch(() => null);
    const told = (await reply?.json().catch(() => null)) as {
      value?: number;
      problems?: { message: string }[];
    } | null;
    setSending(null);
    if (!reply?.ok || told?.value === undefined)
      return setError(
        told?.problems?.[0].message ?? "The file did not arrive. Try again in a moment.",
      );
    setId(told.value);
  };
  const act = async (what: "bring in" | "stop", stages?: Sent<"import">["stages"]) => {
    if (id === null) return;
    try {
      await ask("import", { id, act: what, ...(stages ? { stages } : {}) });
      await refetch();
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
  return (
    <Page>
      <Mast>
        <Title>Settings</Title>
        <Purpose>Bring items in{state ? `: ${state.fileName}, into ${workspace}` : ""}</Purpose>
      </Mast>
      <Leaves />
      {!state && (
        <Body>
          <DropArea sending={sending} error={error} onFile={(file) => void upload(file)} />
          {last.length > 0 && (
            <section>
              <h2>Before</h2>
              {last.map((one) => (
                <div key={one.id} className="cause">
                  <b>{one.id}</b>
                  <span>
                    {one.fileName}
                    <br />
                    <small>
                      {one.state === "done" ? "came in" : one.state}
                      {one.refused ? `; ${one.refused} refused` : ""}
                    </small>
                  </span>
                </div>
              ))}
            </section>
          )}
        </Body>
      )}
      {state && <Shown state={state} onAct={act} onAgain={() => setId(null)} />}
    </Page>
  );
}

function Shown({
  state,
  onAct,
  onAgain,
}: {
  state: ImportState;
  onAct: (what: "bring in" | "stop", stages?: Sent<"import">["stages"]) => Promise<void>;
  onAgain: () => void;
}) {
  const router = useRouter();
  const [stages, setStages] = useState<Readonly<Record<string, Stage>>>({});
  const fresh = state.tables.reduce((sum, table) => sum + table.fresh + table.changed, 0);
  const read = state.tables.reduce((sum, table) => sum + table.read, 0);
  const isRunning = RUNNING.includes(state.state);
  const totals = (pick: (table: ImportState["tables"][number]) => number) =>
    integerText(state.tables.reduce((sum, table) => sum + pick(table), 0));
  return (
    <>
      <Body>
        <div className="doing" role="status">
          <p>
            {
              {
                reading: `Dry run: ${state.doing}. Nothing is written yet; you may leave this page.`,
                checked: `Dry run: ${integerText(read)} rows read. Nothing is written yet.`,
                asks: "Some statuses are described by no file. Say of which stage they are.",
                writing: `Writing: ${state.doing}. You may leave this page.`,
                done: "It came in.",
                failed: state.problem ?? "It failed; nothing was written.",
                stopped: "It was stopped; nothing was written.",
              }[state.state]
            }
          </p>
          {isRunning && (
            <div
              className="ruler"
              role="progressbar"
              aria-label="Progress"
              aria-valuenow={Math.round(state.share * 100)}
              aria-valuemin={0}
              aria-valuemax={100}
            >
              <i style={{ width: `${Math.round(state.share * 100)}%` }} />
            </div>
          )}
        </div>
        {state.state === "asks" && (
          <section>
            {state.unstaged.map((one) => (
              <Choice
                key={one.status}
                label={one.status}
                value={stages[one.status] ?? one.guess}
                options={[
                  ["waiting", "waiting"],
                  ["under way", "under way"],
                  ["finished", "finished"],
                ]}
                onChange={(stage) => setStages({ ...stages, [one.status]: stage })}
              />
            ))}
          </section>
        )}
        {state.tables.length > 0 && (
          <table>
            <thead>
              <tr>
                <th>File</th>
                <th>read</th>
                <th>new</th>
                <th>changed</th>
                <th>the same</th>
                <th>refused</th>
              </tr>
            </thead>
            <tbody>
              {state.tables.map((table) => (
                <tr key={table.file}>
                  <td>{table.file}</td>
                  <td>{integerText(table.read)}</td>
                  <td>{integerText(table.fresh)}</td>
                  <td>{integerText(table.changed)}</td>
                  <td>{integerText(table.same)}</td>
                  <td>{integerText(table.refused)}</td>
                </tr>
              ))}
              <tr className="sum">
                <td>rows read</td>
                <td>{totals((t) => t.read)}</td>
                <td>{totals((t) => t.fresh)}</td>
                <td>{totals((t) => t.changed)}</td>
                <td>{totals((t) => t.same)}</td>
                <td>{totals((t) => t.refused)}</td>
              </tr>
            </tbody>
          </table>
        )}
        {state.refused > 0 && (
          <section>
            <h2>
              {state.refused} {state.state === "done" ? "were" : "would be"} refused
            </h2>
            {state.causes.map((cause) => (
              <div key={cause.reason} className="cause">
                <b>{cause.count}</b>
                <span>
                  {cause.reason}
                  <br />
                  <small>
                    {cause.where}
                    {cause.count > 3 ? ` and ${cause.count - 3} more` : ""}
                  </small>
                </span>
              </div>
            ))}
          </section>
        )}
        {state.unread.map(({ file, columns }) => (
          <Notice key={file} role="status">
            <span>
              <b>{file}</b>: nothing reads {columns.length === 1 ? "the column" : "the columns"}{" "}
              {columns.join(", ")}; what stands there is left out.
            </span>
          </Notice>
        ))}
        {state.state === "failed" && (
          <Notice>Mend the file and choose it again; nothing of it is in the workspace.</Notice>
        )}
      </Body>
      <Foot>
        {isRunning || state.state === "checked" || state.state === "asks" ? (
          <Button $look="line" onPress={() => void onAct("stop").then(onAgain)}>
            Stop
          </Button>
        ) : (
          <Button $look="line" onPress={onAgain}>
            Another file
          </Button>
        )}
        {state.refused > 0 &&
          state.tables
            .filter((table) => table.refused > 0)
            .map((table) => (
              <a
                key={table.file}
                href={`/api/imports/${state.id}?refused=${table.file}.csv`}
                download
                style={{ display: "inline-flex", gap: 6, alignItems: "center", fontWeight: 600 }}
              >
                <Download size={16} aria-hidden />
                Refused {table.file}
              </a>
            ))}
        <div className="last">
          {state.state === "asks" && (
            <Button
              $look="solid"
              onPress={() =>
                void onAct(
                  "bring in",
                  Object.fromEntries(
                    state.unstaged.map((one) => [one.status, stages[one.status] ?? one.guess]),
                  ),
                )
              }
            >
              Read it so
            </Button>
          )}
          {isRunning && <span>when all is read</span>}
          {(isRunning || state.state === "checked") && (
            <Button
              $look="solid"
              isDisabled={state.state !== "checked" || fresh === 0}
              onPress={() => void onAct("bring in")}
            >
              {state.state === "checked"
                ? fresh
                  ? `Bring in ${integerText(fresh)}`
                  : "Nothing new to bring in"
                : "Bring in"}
            </Button>
          )}
          {state.state === "done" && (
            <Button $look="solid" onPress={() => router.push("/reports/new")}>
              Count something
            </Button>
          )}
        </div>
      </Foot>
    </>
  );
}
