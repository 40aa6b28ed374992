"use client";
import { Pin, PinOff, Plus, Search, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { Fragment, useMemo, useState } from "react";
import styled from "styled-components";
import { folded } from "@/core/base";
import type { ReportLine } from "@/contract/room";
import { ask, Button, Empty, Mast, Page, Purpose, tell, Title } from "../kit";
import { Sketch } from "../report";

const SearchBox = styled.div`background: var(--sand); padding: 10px 32px; .box { display: flex; align-items: center; gap: 12px; background: var(--salt); height: 50px; padding: 0 18px; max-width: 810px; } .box:focus-within { outline: 3px solid var(--plum); } input { border: 0; background: none; flex: 1; min-width: 0; font: italic 400 21px/30px var(--serif); outline: none !important; box-shadow: none !important; } input::placeholder { color: var(--ink-3); } svg { color: var(--plum); flex: none; } @media (max-width: 700px) { padding: 10px 16px; }`;
const Shelf = styled.section`
  padding: 10px 32px 0; max-width: 1010px; h2 { display: flex; align-items: baseline; gap: 10px; font: 620 20px/24px var(--serif); padding: 8px 0; } h2 em { font: italic 400 16px/20px var(--serif); color: var(--ink-3); } & + & { margin-top: 14px; border-top: 3px solid var(--ink); margin-left: 32px; margin-right: 32px; padding-left: 0; padding-right: 0; }
  li { display: grid; grid-template-columns: 92px minmax(0, 1fr) 150px auto; gap: 16px; align-items: center; border-top: 1px solid var(--line); padding: 6px 12px; margin: 0 -12px; min-height: 70px; } li:hover { background: var(--mallow); }
  .preview { background: var(--salt); padding: 7px 10px; height: 58px; overflow: hidden; } .preview svg { width: 100%; height: 44px; }
  .name { font: 560 19px/24px var(--serif); color: var(--ink); } .says { color: var(--ink-2); display: -webkit-box; -webkit-line-clamp: 2; -webkit-box-orient: vertical; overflow: hidden; font-size: 13px; line-height: 18px; } .says i { font-family: var(--serif); font-size: 14px; } .who { font-size: 13px; line-height: 18px; } .who b { font-weight: 650; } .tools { display: flex; }
  @media (max-width: 700px) { padding: 10px 16px 0; li { grid-template-columns: minmax(0, 1fr) auto; } .preview, .who { display: none; } & + & { margin: 14px 16px 0; } }
`;

/** All reports, found by their names and by what they say. */
export function Library({ reports, mayBuild, words: first }: { reports: readonly ReportLine[]; mayBuild: boolean; words: string }) {
  const [words, setWords] = useState(first);
  const router = useRouter();
  const found = useMemo(() => {
    const asked = folded(words).split(/\s+/).filter(Boolean);
    return reports.filter((report) => { const text = folded(`${report.name} ${report.owner} ${report.pieces.map((piece) => piece.text).join(" ")}`); return asked.every((word) => text.includes(word)); });
  }, [reports, words]);
  const search = (next: string) => {
    setWords(next);
    window.history.replaceState(null, "", next ? `/reports?q=${encodeURIComponent(next)}` : "/reports");
  };
  const [mine, others] = [found.filter((report) => report.mine), found.filter((report) => !report.mine)];
  return (
    <Page>
      <Mast>
        <Title>Reports</Title>
        <Purpose>{reports.length} that you may read. Every one is a sentence; every figure opens.</Purpose>
        <div className="acts"><Button $look="solid" onPress={() => router.push("/reports/new")}><Plus aria-hidden />New report</Button></div>
      </Mast>
      <SearchBox role="search"><div className="box"><Search size={19} aria-hidden /><input aria-label="Find a report" placeholder="Find a report by its name or by what it says" value={words} onChange={(event) => search(event.target.value)} onKeyDown={(event) => event.key === "Enter" && found[0] && router.push(`/reports/${found[0].id}`)} /></div></SearchBox>
      {reports.length === 0 && <Empty says="No report is saved yet. Say what to count, and keep the answer here."><Button $look="solid" onPress={() => router.push("/reports/new")}>New report</Button></Empty>}
      {reports.length > 0 && found.length === 0 && <Empty says={`No report is called or says “${words}”.`}><Button $look="line" onPress={() => search("")}>Show all {reports.length}</Button><Button $look="line" onPress={() => router.push(`/reports/new?s=${encodeURIComponent(words)}`)}>Count it</Button></Empty>}
      {mine.length > 0 && <ShelfOf title="Yours" says="changed most lately first" reports={mine} mayBin={mayBuild} />}
      {others.length > 0 && <ShelfOf title="By others" says="in this workspace" reports={others} mayBin={false} />}
      <div style={{ height: 40 }} />
    </Page>
  );
}

function ShelfOf({ title, says, reports, mayBin }: { title: string; says: string; reports: readonly ReportLine[]; mayBin: boolean }) {
  return (
    <Shelf aria-label={title}>
      <h2>{title} <em>{says}</em></h2>
      <ul>{reports.map((report) => <Line key={report.id} report={report} mayBin={mayBin} />)}</ul>
    </Shelf>
  );
}

function Line({ report, mayBin }: { report: ReportLine; mayBin: boolean }) {
  const router = useRouter();
  const act = async (path: string, body: object, says?: string) => {
    try {
      await ask(path, body);
      if (says) tell(says);
      router.refresh();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <li>
      <div className="preview"><Sketch shape={report.shape ?? "list"} /></div>
      <div>
        <Link className="name" href={`/reports/${report.id}`}>{report.name}</Link>
        <div className="says">{report.pieces.map((piece, i) => <Fragment key={i}>{i > 0 && piece.text !== "," ? " " : ""}{piece.part ? piece.text : <i>{piece.text}</i>}</Fragment>)}</div>
      </div>
      <div className="who"><b>{report.mine ? dayOf(report.updatedAt) : report.owner}</b><br />{report.boards === 0 ? "on no dashboard" : report.boards === 1 ? "on 1 dashboard" : `on ${report.boards} dashboards`}</div>
      <div className="tools">
        <Button $icon aria-label={report.pinned ? `Unpin ${report.name}` : `Pin ${report.name}`} onPress={() => void act("/api/room/pin", { kind: "report", id: report.id, pinned: !report.pinned })}>{report.pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}</Button>
        {mayBin && <Button $icon aria-label={`Put ${report.name} into the bin`} onPress={() => void act("/api/room/bin", { kind: "report", id: report.id }, `${report.name} is in the bin for 30 days.`)}><Trash2 aria-hidden /></Button>}
      </div>
    </li>
  );
}

const dayOf = (iso: string): string => new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" }).format(new Date(iso));
