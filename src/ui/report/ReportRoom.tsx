"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { History, Pencil, Pin, PinOff, Redo2, Table2, TextCursorInput, Undo2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useState } from "react";
import styled from "styled-components";
import { numberText, type Problem } from "@/core/base";
import { subjects } from "@/core/catalog";
import type { Mark } from "@/core/figure";
import type { ShownFigure } from "@/contract/room";
import { ask, Button, Notice, tell, Waiting } from "../kit";
import { Begin } from "./Begin";
import { proposedName, useDraft } from "./draft";
import { Drawer, type Leaf } from "./Drawer";
import { Dress } from "./Dress";
import { contextOf, type KeptReport, type RoomFacts } from "./facts";
import { FigureBody, measureWords, NothingFound, saidWords, Says } from "./FigurePane";
import { Headline } from "./Headline";
import { ReadAs } from "./ReadAs";
import { RecordsTable, type Sorts } from "./RecordsTable";
import { SaveDialog, useSaving } from "./Saving";
import { PutOnBoard } from "./PutOnBoard";
import { TypedSentence } from "./TypedSentence";

const Grid = styled.main`
  display: grid; grid-template-columns: minmax(0, 1fr) 284px; grid-template-rows: auto minmax(0, 1fr) auto; height: 100vh; min-height: 560px;
  .head { grid-column: 1 / -1; padding: 10px 32px 14px; min-width: 0; position: relative; z-index: 3; }
  .bar { display: flex; align-items: center; gap: 4px; min-height: 34px; flex-wrap: wrap; } .bar .name { font-weight: 650; margin-right: 4px; overflow-wrap: anywhere; } .bar .state { color: var(--ink-3); margin-left: 10px; } .bar .acts { margin-left: auto; display: flex; gap: 4px; align-items: center; flex-wrap: wrap; }
  .figure { background: var(--salt); min-width: 0; overflow: auto; display: flex; flex-direction: column; padding: 16px 32px 12px; gap: 4px; }
  .figure h2 { font: 680 14px/20px var(--sans); } .figure .draw { flex: 1; min-height: 0; display: flex; flex-direction: column; padding-top: 8px; gap: 6px; } .figure.old .draw, .figure.old .said { opacity: 0.45; filter: grayscale(1); }
  .side { grid-row: 2 / 4; grid-column: 2; overflow: auto; background: var(--mallow); } .drawer { grid-column: 1; min-width: 0; }
  .titled { display: flex; justify-content: space-between; gap: 12px; align-items: flex-start; }
  @media (max-width: 900px) { display: block; height: auto; .figure { padding: 14px 16px; min-height: 360px; } .head { padding: 8px 16px 12px; } }
`;

interface RoomProps {
  readonly facts: RoomFacts;
  readonly kept: KeptReport | null;
  readonly sentence: string | null;
}

/** The report room: the sentence, its figure, its dress, and the drawer with its records and workings. */
export function ReportRoom({ facts, kept, sentence }: RoomProps) {
  const context = useMemo(() => contextOf(facts), [facts]);
  const room = useDraft(context, kept, sentence);
  const { draft, says } = room;
  const { report, dress } = draft;
  const [typing, setTyping] = useState<string | null>(room.unread);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [opened, setOpened] = useState<Mark | null>(null);
  const [leaf, setLeaf] = useState<Leaf | null>(null);
  const [asTable, setAsTable] = useState(false);
  const router = useRouter();
  const saving = useSaving(kept, draft, facts.mayBuild, room.forget);
  const isBegun = Boolean(report.shape || report.where || (report.kind === "count" && (report.by.length || report.measures[0].field)) || report.kind === "list");
  const { data: shown, error, isFetching, isPlaceholderData } = useQuery({
    queryKey: ["figure", report, dress],
    queryFn: ({ signal }) => ask<ShownFigure>("/api/room/figure", { definition: report, dress }, signal),
    placeholderData: keepPreviousData,
    enabled: isBegun && report.kind === "count",
  });
  const title = dress.title ?? (draft.name || proposedName(says));
  const open = useCallback((mark: Mark) => { setOpened(mark); setLeaf("records"); }, []);
  useEffect(() => setOpened(null), [says]);
  const onChange = room.setReport;
  useRoomKeys({ onType: () => setTyping(says), onTable: () => setAsTable((on) => !on), onLeaf: (wanted) => setLeaf((now) => (now === wanted ? null : wanted)), onSave: saving.begin, undo: room.undo, redo: room.redo });
  const isEmpty = shown?.kind === "count" && shown.answer.total[0].records === 0 && !isPlaceholderData;
  const isPlainList = report.kind === "list" || !report.shape;
  const figure = shown?.kind === "count" && !isPlaceholderData ? shown.figure : null;
  return (
    <Grid>
      <header className="head">
        <div className="bar">
          <span className="name">{draft.name || (kept ? kept.name : "New report")}</span>
          {facts.mayBuild && <Button $small $icon aria-label="Rename" onPress={saving.rename}><Pencil aria-hidden /></Button>}
          <span className="state" role="status">{typing !== null ? "typing · the last good sentence is kept" : saving.state}{shown && report.kind === "count" ? ` · as of ${shown.asOf}` : ""}</span>
          <div className="acts">
            <Button $icon aria-label="Undo" isDisabled={!room.undo} onPress={() => room.undo?.()}><Undo2 aria-hidden /></Button>
            <Button $icon aria-label="Redo" isDisabled={!room.redo} onPress={() => room.redo?.()}><Redo2 aria-hidden /></Button>
            {typing === null ? <Button onPress={() => setTyping(says)}><TextCursorInput aria-hidden />Type it</Button> : <Button $look="line" onPress={() => setTyping(null)}>Back to parts</Button>}
            {kept && <PinButton kept={kept} />}
            {kept && <PutOnBoard report={kept.id} mayBuild={facts.mayBuild} />}
            {facts.mayBuild && kept && <Button onPress={saving.copy}>Save as copy</Button>}
            {facts.mayBuild && <Button $look="solid" isDisabled={!saving.canSave || (typing !== null && problem !== null)} onPress={saving.begin}>Save</Button>}
          </div>
        </div>
        {typing === null ? <Headline context={context} report={report} onChange={onChange} text={says} /> : <TypedSentence context={context} start={typing} onRead={(next) => JSON.stringify(next) !== JSON.stringify(report) && onChange(next)} onProblem={setProblem} onBack={() => { setTyping(null); setProblem(null); }} />}
        {saving.notice && <Notice style={{ marginTop: 8 }} role="alert">{saving.notice}</Notice>}
      </header>
      <section className={`figure${(isFetching && isPlaceholderData) || (typing !== null && problem) ? " old" : ""}`} aria-label="Figure" aria-busy={isFetching}>
        {typing !== null && problem && shown && <p style={{ display: "flex", gap: 8, alignItems: "center" }}><History size={16} aria-hidden /><span><b style={{ fontWeight: 650 }}>Last good figure</b>, as of {shown.asOf}</span></p>}
        {!isBegun && <Begin context={context} report={report} onChange={onChange} />}
        {isBegun && <div className="titled said"><div><h2>{title}</h2>{shown?.kind === "count" && report.kind === "count" && <Says aria-live="polite">{saidWords(shown.says)}</Says>}</div>{report.kind === "count" && report.shape && report.shape !== "number" && <Button $small aria-pressed={asTable} onPress={() => setAsTable(!asTable)}><Table2 aria-hidden />{asTable ? "As a picture" : "As a table"}</Button>}</div>}
        {error && <Notice role="alert">{error.message}</Notice>}
        {isEmpty && report.kind === "count" && !error && <NothingFound context={context} report={report} onChange={onChange} />}
        <div className="draw">
          {isBegun && report.kind === "count" && report.shape && !isEmpty && (shown?.kind === "count" ? <FigureBody shown={shown} report={report} measure={measureWords(shown, report, context)} title={title} opened={opened} onOpen={open} asTable={asTable} /> : !error && <Waiting>Counting …</Waiting>)}
          {isPlainList && !isEmpty && <PlainList room={room} onOpen={open} asGroups={isBegun && report.kind === "count" && report.by.length > 0 && shown?.kind === "count" ? <FigureBody shown={shown} report={report} measure={measureWords(shown, report, context)} title={title} opened={opened} onOpen={open} asTable /> : null} />}
        </div>
      </section>
      <div className="side">{typing !== null ? <ReadAs context={context} report={report} problem={problem} /> : <Dress context={context} report={report} onReport={onChange} dress={dress} onDress={room.setDress} figure={figure} title={title} />}</div>
      <div className="drawer"><Drawer context={context} report={report} opened={opened} leaf={leaf} onLeaf={setLeaf} onShowAll={() => setOpened(null)} /></div>
      <SaveDialog saving={saving} proposed={draft.name || proposedName(says)} onNamed={room.setName} onSaved={(id) => router.push(`/reports/${id}`)} />
    </Grid>
  );
}

/** Until a picture is chosen: the matching records themselves, with their count. */
function PlainList({ room, asGroups }: { room: ReturnType<typeof useDraft>; onOpen: (mark: Mark) => void; asGroups: React.ReactNode }) {
  const { report } = room.draft;
  const [count, setCount] = useState<number | null>(null);
  const [sorts, setSorts] = useState<Sorts>([]);
  const shownSorts = report.kind === "list" && report.sorts.length ? report.sorts : sorts;
  const showing = report.kind === "list" && report.showing.length ? report.showing : subjects[report.subject.id].showing.map((id) => [id]);
  return (
    <>
      {asGroups}
      <p role="status" style={{ color: "var(--ink-2)" }}><span style={{ font: "540 34px/1.1 var(--serif)", color: "var(--ink)" }}>{count === null ? "…" : numberText(count)}</span> {report.kind === "list" ? "in this list" : "match; no picture is chosen, so here they are"}</p>
      {count === 0 && !report.where && <p>There are none in this workspace yet; an administrator brings them in under Settings.</p>}
      <div style={{ flex: 1, minHeight: 220, display: "flex" }}><RecordsTable bare report={report} showing={showing} sorts={shownSorts} onSort={(next) => (report.kind === "list" ? room.setReport({ ...report, sorts: next }) : setSorts(next))} onCount={setCount} /></div>
    </>
  );
}

function PinButton({ kept }: { kept: KeptReport }) {
  const [isPinned, setPinned] = useState(kept.pinned);
  const router = useRouter();
  const toggle = async () => {
    try {
      await ask("/api/room/pin", { kind: "report", id: kept.id, pinned: !isPinned });
      setPinned(!isPinned);
      router.refresh();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return <Button aria-pressed={isPinned} onPress={() => void toggle()}>{isPinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}{isPinned ? "Unpin" : "Pin"}</Button>;
}

interface RoomKeys {
  readonly onType: () => void;
  readonly onTable: () => void;
  readonly onLeaf: (leaf: Leaf) => void;
  readonly onSave: () => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

function useRoomKeys({ onType, onTable, onLeaf, onSave, undo, redo }: RoomKeys): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      const typing = target.closest("input, textarea, select, [role=dialog]");
      const key = event.key.toLowerCase();
      const run = (act: (() => void) | null) => { event.preventDefault(); act?.(); };
      if (event.ctrlKey || event.metaKey) {
        if (key === "s") return run(onSave);
        if (key === "z" && !typing) return run(event.shiftKey ? redo : undo);
        return;
      }
      if (typing || event.altKey) return;
      if (key === "e") run(onType);
      else if (key === "t") run(onTable);
      else if (key === "r") run(() => onLeaf("records"));
      else if (key === "w") run(() => onLeaf("workings"));
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
