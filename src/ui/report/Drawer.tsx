"use client";
import { useQuery } from "@tanstack/react-query";
import { Calculator, ChevronDown, ChevronUp, Copy, List } from "lucide-react";
import { useState } from "react";
import { DialogTrigger } from "react-aria-components";
import styled from "styled-components";
import { subjects, type AskContext } from "@/core/catalog";
import type { Report } from "@/core/definition";
import type { Mark } from "@/core/figure";
import type { Workings } from "@/core/plan";
import { numberText } from "@/core/base";
import { ask, Button, Popover, PopoverDialog, tell, Waiting } from "../kit";
import { Choose, fieldOptions, Foot, samePath } from "./pickers";
import { RecordsTable, type Sorts } from "./RecordsTable";

export type Leaf = "records" | "workings";

const Box = styled.section<{ $open: boolean }>`
  background: var(--tide); padding: 8px 20px 0 22px; display: flex; flex-direction: column; height: ${(p) => (p.$open ? 290 : 42)}px; flex: none; min-width: 0;
  .leaves { display: flex; align-items: stretch; height: 34px; gap: 4px; flex: none; min-width: 0; }
  .leaf { display: flex; align-items: center; gap: 8px; padding: 0 14px; font-weight: 600; color: var(--ink-2); } .leaf[aria-selected="true"] { background: var(--tide-2); color: var(--ink); } .leaf svg { width: 16px; height: 16px; }
  .what { display: flex; align-items: center; gap: 9px; padding: 0 12px; min-width: 0; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; } .what i { width: 13px; height: 13px; background: var(--brass); flex: none; } .what b { font-weight: 650; overflow: hidden; text-overflow: ellipsis; }
  .acts { margin-left: auto; display: flex; align-items: center; flex: none; }
  .body { background: var(--tide-2); flex: 1; min-height: 0; display: flex; flex-direction: column; }
  @media (max-width: 700px) { padding: 8px 8px 0; .leaves { overflow-x: auto; } }
`;
const Account = styled.div`
  overflow: auto; display: grid; grid-template-columns: minmax(0, 3fr) minmax(0, 2fr); gap: 24px; padding: 8px 16px 14px; align-items: start;
  table { border-collapse: collapse; width: 100%; } th { text-align: left; font-weight: 500; font-size: 12.5px; color: var(--ink-2); padding: 2px 10px 2px 0; } td { padding: 3px 10px 3px 0; border-top: 1px solid rgba(0, 0, 0, 0.12); vertical-align: baseline; } .r { text-align: right; font: 520 18px/24px var(--serif); padding-right: 0; } td:first-child { font-weight: 600; } tr.sum td { border-top: 2px solid var(--ink); } tr.sum .r { font-size: 24px; } .q { color: var(--ink-2); }
  @media (max-width: 900px) { grid-template-columns: 1fr; }
`;

interface DrawerProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly opened: Mark | null;
  readonly leaf: Leaf | null;
  readonly onLeaf: (leaf: Leaf | null) => void;
  readonly onShowAll: () => void;
}

/** Exactly the records behind a figure, and how it was counted. */
export function Drawer({ context, report, opened, leaf, onLeaf, onShowAll }: DrawerProps) {
  const [showing, setShowing] = useState<readonly (readonly string[])[] | null>(null);
  const [sorts, setSorts] = useState<Sorts>([]);
  const [count, setCount] = useState<number | null>(null);
  const shown = showing?.filter((ids) => context.catalog.findPath(report.subject.id, ids)) ?? (report.kind === "list" && report.showing.length ? report.showing : subjects[report.subject.id].showing.map((id) => [id]));
  const known = sorts.filter((sort) => context.catalog.findPath(report.subject.id, sort.field));
  const part = opened && (opened.path.length || opened.split !== undefined) ? { path: [...opened.path], ...(opened.split === undefined ? {} : { split: opened.split }) } : undefined;
  const workings = useQuery({ queryKey: ["workings", report], queryFn: ({ signal }) => ask<Workings>("/api/room/workings", { definition: report }, signal), enabled: leaf === "workings" });
  const tab = (id: Leaf, words: string, icon: React.ReactNode) => <button className="leaf" role="tab" aria-selected={leaf === id} onClick={() => onLeaf(leaf === id ? null : id)}>{icon}{words}</button>;
  const toggle = (ids: readonly string[]) => setShowing(shown.some((one) => samePath(one, ids)) ? shown.filter((one) => !samePath(one, ids)) : [...shown, ids]);
  return (
    <Box $open={leaf !== null} aria-label="Records and workings">
      <div className="leaves">
        <div role="tablist" aria-label="Leaves" style={{ display: "flex" }}>{tab("records", "Records", <List aria-hidden />)}{tab("workings", "Workings", <Calculator aria-hidden />)}</div>
        {leaf === "records" && <div className="what" role="status">{part && <i aria-hidden />}<b>{part ? opened!.label : "All"}</b>{count !== null && <span>· {numberText(count)} {context.catalog.countedWords(report.subject, count)}</span>}</div>}
        <div className="acts">
          {leaf === "records" && part && <Button $small onPress={onShowAll}>Show all</Button>}
          {leaf === "records" && (
            <DialogTrigger>
              <Button $small>Columns</Button>
              <Popover placement="top end"><PopoverDialog aria-label="Columns">{({ close }) => <><Choose label="Columns" options={fieldOptions(context.catalog, report.subject.id, () => true)} chosen={shown} many same={samePath} onChoose={toggle} /><Foot><Button $small $look="solid" onPress={close}>Done</Button></Foot></>}</PopoverDialog></Popover>
            </DialogTrigger>
          )}
          {leaf === "workings" && workings.data && <Button $small onPress={() => void navigator.clipboard.writeText(workingsText(workings.data)).then(() => tell("The workings are copied."), () => tell("This browser does not let pages copy."))}><Copy aria-hidden />Copy as text</Button>}
          <Button $small $icon aria-label={leaf ? "Close the drawer" : "Open the drawer"} onPress={() => onLeaf(leaf ? null : "records")}>{leaf ? <ChevronDown aria-hidden /> : <ChevronUp aria-hidden />}</Button>
        </div>
      </div>
      {leaf === "records" && <div className="body" role="tabpanel" aria-label="Records"><RecordsTable report={report} {...(part ? { opened: part } : {})} showing={shown} sorts={known} onSort={setSorts} onCount={setCount} /></div>}
      {leaf === "workings" && <div className="body" role="tabpanel" aria-label="Workings">{workings.data ? <WorkingsLeaf workings={workings.data} /> : workings.error ? <p role="alert" style={{ padding: 14 }}>{workings.error.message}</p> : <Waiting style={{ padding: 14 }}>Counting each condition …</Waiting>}</div>}
    </Box>
  );
}

const WorkingsLeaf = ({ workings }: { workings: Workings }) => (
  <Account tabIndex={0} role="region" aria-label="How it was counted">
    <table>
      <thead><tr><th>Condition</th><th>What it meant</th><th>Where it came from</th><th className="r" style={{ font: "500 12.5px/20px var(--sans)" }}>Left</th></tr></thead>
      <tbody>
        {workings.lines.map((line) => <tr key={line.says}><td>{line.says}</td><td>{line.meant}</td><td className="q">{line.from}</td><td className="r">{numberText(line.left)}</td></tr>)}
        <tr className="sum"><td colSpan={3}>counted, each once</td><td className="r">{numberText(workings.lines[workings.lines.length - 1].left)}</td></tr>
      </tbody>
    </table>
    <table>
      <thead><tr><th colSpan={2}>How the figure was made</th></tr></thead>
      <tbody>{workings.notes.map((note) => <tr key={note.about}><td className="q" style={{ fontWeight: 400, whiteSpace: "nowrap" }}>{note.about}</td><td>{note.says}</td></tr>)}</tbody>
    </table>
  </Account>
);

export const workingsText = (workings: Workings): string => [...workings.lines.map((line) => `${line.says}${line.meant ? ` (${line.meant})` : ""}: ${line.left} left; from ${line.from}`), ...workings.notes.map((note) => `${note.about}: ${note.says}`)].join("\n");
