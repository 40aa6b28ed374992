"use client";
import type { FilterLine, KeptDraft, ReportName } from "@/contract/library";
import type { OpenedPart } from "@/contract/figures";
import {
  asDrawn,
  type CountReport,
  type Report,
  brokenParts,
  type Shown,
  type ShownForecast,
} from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import {
  Download as DownloadIcon,
  History,
  Mail,
  Pencil,
  Pin,
  PinOff,
  Redo2,
  Table2,
  TextCursorInput,
  Undo2,
  Users,
} from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useState } from "react";
import styled from "styled-components";
import { numberText, type Problem } from "@/core/base";
import { isBareCount, type Dress as DressOptions } from "@/core/definition";
import type { Mark } from "@/core/figure";
import { conditionText } from "@/core/sentence";

import { CursorScope, type Drawable } from "../charts";
import { Download, Mailing, Sharing } from "../handing";
import { ask, Button, Checkbox, Notice, tell, Waiting, MenuButton } from "../kit";
import { Begin } from "./Begin";
import { ConditionBuilder } from "./ConditionBuilder";
import { proposedName, useDraft } from "./draft";
import { Drawer, type Leaf } from "./Drawer";
import { Dress } from "./dress/Dress";
import { useDayNotes } from "./dress/DayNotes";
import {
  AtCursor,
  Explore,
  Under,
  useLaid,
  type Stretch,
  type Trend,
  type TrendAnswer,
} from "./explore";
import { contextOf, type KeptReport, type RoomFacts } from "./facts";
import { FigureBody, flagsOf, measureWords, NothingFound, saidWords, Says } from "./FigurePane";
import { Headline } from "./Headline";
import { ListFigure } from "./ListFigure";
import { allOfParts, topParts } from "@/core/filter";
import { Places } from "./Places";
import { withWhere } from "./pickers";
import { PutOnBoard } from "./PutOnBoard";
import { ReadAs } from "./ReadAs";
import { asRead, Readers, type Chosen } from "./Readers";
import { RecordsTable, type Sorts } from "./RecordsTable";
import { Rename } from "./Rename";
import { withText } from "./dress/Titles";
import { subjects } from "@/core/catalog";
import { SaveFilter } from "./SaveFilter";
import { Conflict, SaveDialog, useSaving } from "./Saving";
import { TypedSentence } from "./TypedSentence";
import { Versions } from "./Versions";

const Grid = styled.main<{ $wide: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) ${(p) => (p.$wide ? "44px" : "284px")};
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: 100vh;
  min-height: 560px;
  .head {
    grid-column: 1 / -1;
    padding: 10px 32px 14px;
    min-width: 0;
    position: relative;
    z-index: 3;
  }
  .readers {
    grid-column: 1 / -1;
  }
  .bar {
    display: flex;
    align-items: center;
    gap: 4px;
    min-height: 34px;
    flex-wrap: wrap;
  }
  .bar .name {
    font-weight: 650;
    margin-right: 4px;
    overflow-wrap: anywhere;
  }
  .bar .state {
    color: var(--ink-3);
    margin-left: 10px;
  }
  .bar .acts {
    margin-left: auto;
    display: flex;
    gap: 4px;
    align-items: center;
    flex-wrap: wrap;
  }
  .figure {
    background: var(--salt);
    min-width: 0;
    overflow: auto;
    display: flex;
    flex-direction: column;
    padding: 16px 32px 12px;
    gap: 4px;
  }
  .figure h2 {
    font: 680 14px/20px var(--sans);
  }
  .figure .draw {
    flex: 1;
    min-height: 0;
    display: flex;
    flex-direction: column;
    padding-top: 8px;
    gap: 6px;
  }
  .figure.old .draw,
  .figure.old .said {
    opacity: 0.45;
    filter: grayscale(1);
  }
  .side {
    grid-row: 3 / 5;
    grid-column: 2;
    overflow: auto;
    background: var(--mallow);
  }
  .drawer {
    grid-column: 1;
    min-width: 0;
  }
  .tab {
    writing-mode: vertical-rl;
    font: 560 18px/44px var(--serif);
    width: 44px;
    padding-top: 16px;
  }
  .titled {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    align-items: flex-start;
  }
  .titled small {
    color: var(--ink-2);
    display: block;
  }
  .foot {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .at {
    height: 18px;
    line-height: 18px;
    font-size: 12.5px;
    color: var(--ink-2);
    flex: none;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .poor {
    color: var(--ink-2);
    font: italic 400 15px/20px var(--serif);
  }
  @media (max-width: 900px) {
    display: block;
    height: auto;
    .figure {
      padding: 14px 16px;
      min-height: 360px;
    }
    .head {
      padding: 8px 16px 12px;
    }
  }
`;

interface RoomProps {
  readonly facts: RoomFacts;
  readonly kept: KeptReport | null;
  readonly sentence: string | null;
  readonly draft?: KeptDraft | null;
  readonly reports?: readonly ReportName[];
  /** The saved filter whose conditions are changed here. */
  readonly filter?: FilterLine | null;
}

/** Where nothing lies under a figure it fills the room. */
const ALONE = { display: "contents" } as const;
const LINKED = { display: "flex", flexDirection: "column", height: 300, flex: "none" } as const;
const NO_REPORTS: NonNullable<RoomProps["reports"]> = [];
type Opens = "share" | "mail" | "download" | "versions" | "filter" | null;

/** The report room: the sentence, readers' choices, the figure, its dress, and the drawer with its records and workings. */
export function ReportRoom({
  facts,
  kept,
  sentence,
  draft: stored = null,
  reports = NO_REPORTS,
  filter = null,
}: RoomProps) {
  const context = useMemo(() => contextOf(facts), [facts]);
  const room = useDraft(context, kept, sentence, stored);
  const { draft, says } = room;
  const { dress } = draft;
  const [chosen, choose] = useReaderChoices();
  const report = useMemo(
    () => asRead(draft.report, dress, chosen, context),
    [draft.report, dress, chosen, context],
  );
  const [typing, setTyping] = useState<string | null>(room.unread);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [opened, setOpened] = useState<Mark | null>(null);
  const [leaf, setLeaf] = useState<Leaf | null>(null);
  const [asTable, setAsTable] = useState(false);
  const [groups, setGroups] = useState(false);
  const [opens, setOpens] = useState<Opens>(null);
  const [exported, setExported] = useState<OpenedPart | undefined>();
  const [about, setAbout] = useState({
    purpose: kept?.purpose ?? "",
    category: kept?.category ?? "",
  });
  const [pace, setPace] = useState<"working" | "clock">("working");
  const [isForecast, setForecast] = useState(false);
  const [stretch, setStretch] = useState<Stretch | null>(null);
  const [laid, lay] = useLaid();
  const router = useRouter();
  const saving = useSaving(kept, draft, facts.mayBuild, room.forget, about);
  const mayBuild = facts.mayBuild;
  const isBegun = Boolean(
    report.kind !== "count" ||
    report.shape ||
    report.where ||
    report.by.length ||
    !report.measures.every(isBareCount),
  );
  const isList = report.kind === "list";
  const broken = useMemo(() => brokenParts(draft.report, context), [draft.report, context]);
  const isWhole = broken.length === 0;
  const {
    data: shown,
    error,
    isFetching,
    isPlaceholderData,
  } = useQuery({
    queryKey: ["figure", report, dress],
    queryFn: ({ signal }) => ask("figure", { definition: report, dress }, signal),
    placeholderData: keepPreviousData,
    enabled: isBegun && isWhole && !isList,
  });
  const { data: twins } = useQuery({
    queryKey: ["twins", report, kept?.id ?? null],
    queryFn: ({ signal }) => ask("twins", { definition: report, except: kept?.id ?? null }, signal),
    enabled: isBegun && isWhole && !kept && mayBuild,
    staleTime: 60_000,
  });
  const { data: notes } = useDayNotes(kept?.id ?? null);
  const { data: forecast } = useQuery({
    queryKey: ["forecast", report],
    queryFn: ({ signal }) => ask("forecast", { definition: report }, signal),
    enabled: isForecast && report.kind === "burndown",
  });
  const title = dress.title ?? (draft.name || proposedName(says));
  const open = useCallback((mark: Mark) => {
    setOpened(mark);
    setLeaf((now) => (now === "workings" ? "records" : (now ?? "records")));
  }, []);
  useEffect(() => {
    setOpened(null);
    setStretch(null);
  }, [report]);
  useEffect(() => {
    if (kept) void ask("report", { id: kept.id }).catch(() => undefined);
  }, [kept]);
  useEffect(() => {
    if (room.isStored)
      tell(
        "Your unsaved changes are back.",
        kept
          ? {
              words: "Leave them",
              run: () => room.set({ report: kept.definition, dress: kept.dress, name: kept.name }),
            }
          : undefined,
      );
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  const onChange = room.setReport;
  const begin = () => {
    if (!mayBuild) return;
    room.setDress(withPlaced(dress, shown ?? null, draft.report));
    saving.begin();
  };
  useRoomKeys({
    onType: () => setTyping(says),
    onTable: () => setAsTable((on) => !on),
    onLeaf: (wanted) => setLeaf((now) => (now === wanted ? null : wanted)),
    onSave: begin,
    undo: room.undo,
    redo: room.redo,
  });
  const drawn = shown && shown.kind !== "list" ? shown : null;
  const isEmpty =
    shown?.kind === "count" && shown.answer.total[0].records === 0 && !isPlaceholderData;
  const isBlank = shown?.kind === "history" && shown.blank !== undefined && !isPlaceholderData;
  const isPlain = report.kind === "count" && !report.shape;
  const trend = trendOf(report, isPlaceholderData || isBlank ? null : drawn);
  const isLinked = trend !== null && laid.length > 0;
  const figure = drawn && !isPlaceholderData ? drawn.figure : null;
  const ranked = report.kind === "count" ? asDrawn(report) : null;
  const says_ = shown && shown.kind !== "list" ? shown.says : null;
  const measure = drawn ? measureWords(drawn, report, context) : "";
  const unplaced = useMemo(
    () => unplacedIn(shown ?? null, dress, draft.report),
    [shown, dress, draft.report],
  );
  const link = kept ? `/reports/${kept.id}` : `/reports/new?s=${encodeURIComponent(says)}`;
  const download = (part: OpenedPart | undefined) => {
    setExported(part);
    setOpens("download");
  };
  const isWide = isList && !typing;
  const [isDressOpen, setDressOpen] = useState(false);
  return (
    <Grid $wide={isWide && !isDressOpen}>
      <header className="head">
        <div className="bar">
          <span className="name">{draft.name || (kept ? kept.name : "New report")}</span>
          {mayBuild && (
            <Button $small $icon aria-label="Rename" onPress={saving.rename}>
              <Pencil aria-hidden />
            </Button>
          )}
          <span className="state" role="status">
            {typing !== null ? "typing · the last good sentence is kept" : saving.state}
            {shown && !isList ? ` · as of ${shown.asOf}` : ""}
          </span>
          <div className="acts">
            <Button $icon aria-label="Undo" isDisabled={!room.undo} onPress={() => room.undo?.()}>
              <Undo2 aria-hidden />
            </Button>
            <Button $icon aria-label="Redo" isDisabled={!room.redo} onPress={() => room.redo?.()}>
              <Redo2 aria-hidden />
            </Button>
            {typing === null ? (
              <Button onPress={() => setTyping(says)}>
                <TextCursorInput aria-hidden />
                Type it
              </Button>
            ) : (
              <Button $look="line" onPress={() => setTyping(null)}>
                Back to parts
              </Button>
            )}
            {kept && (
              <Button onPress={() => setOpens("share")}>
                <Users aria-hidden />
                Share
              </Button>
            )}
            {kept && mayBuild && (
              <Button onPress={() => setOpens("mail")}>
                <Mail aria-hidden />
                Mail
              </Button>
            )}
            {isBegun && (
              <Button onPress={() => download(undefined)}>
                <DownloadIcon aria-hidden />
                Export
              </Button>
            )}
            {kept && (
              <More
                kept={kept}
                mayBuild={mayBuild}
                onVersions={() => setOpens("versions")}
                onCopy={saving.copy}
              />
            )}
            {kept && <PutOnBoard report={kept.id} mayBuild={mayBuild} />}
            {mayBuild && (
              <Button
                $look="solid"
                isDisabled={!saving.canSave || (typing !== null && problem !== null)}
                onPress={begin}
              >
                Save
              </Button>
            )}
          </div>
        </div>
        {typing === null ? (
          <Headline
            context={context}
            report={draft.report}
            onChange={onChange}
            text={says}
            dress={dress}
            onDress={room.setDress}
            onGroups={() => setGroups(true)}
          />
        ) : (
          <TypedSentence
            context={context}
            start={typing}
            onRead={(next) =>
              JSON.stringify(next) !== JSON.stringify(draft.report) && onChange(next)
            }
            onProblem={setProblem}
            onBack={() => {
              setTyping(null);
              setProblem(null);
            }}
          />
        )}
        {saving.notice && !saving.theirs && (
          <Notice style={{ marginTop: 8 }} role="alert">
            {saving.notice}
          </Notice>
        )}
        {dress.off.length > 0 && typing === null && (
          <p style={{ color: "var(--ink-2)", paddingTop: 4 }}>
            Switched off:{" "}
            {dress.off.map((one, i) => (
              <Button
                key={i}
                $small
                onPress={() =>
                  room.set({
                    dress: { ...dress, off: dress.off.filter((_, at) => at !== i) },
                    report: withWhere(
                      draft.report,
                      allOfParts([
                        ...topParts(draft.report.where).slice(0, one.at),
                        one.where,
                        ...topParts(draft.report.where).slice(one.at),
                      ]),
                    ),
                  })
                }
              >
                {conditionText(one.where, context.catalog, draft.report.subject.id)} · switch on
              </Button>
            ))}
          </p>
        )}
        {filter && (
          <Notice style={{ marginTop: 8 }} role="status">
            You are changing the saved filter <b>{filter.name}</b>; only its conditions are kept.
            <Button $small $look="solid" onPress={() => setOpens("filter")}>
              Save the filter
            </Button>
          </Notice>
        )}
      </header>
      <div className="readers">
        <Readers
          context={context}
          report={draft.report}
          dress={dress}
          chosen={chosen}
          onChoose={choose}
        />
      </div>
      <section
        className={`figure${(isFetching && isPlaceholderData) || (typing !== null && problem) ? " old" : ""}`}
        aria-label="Figure"
        aria-busy={isFetching}
      >
        {groups ? (
          <ConditionBuilder
            context={context}
            report={draft.report}
            dress={dress}
            onChange={(next, dressed) => room.set({ report: next, dress: dressed })}
            onDone={() => setGroups(false)}
            {...(mayBuild ? { onSaveFilter: () => setOpens("filter") } : {})}
          />
        ) : (
          <>
            {typing !== null && problem && shown && (
              <p style={{ display: "flex", gap: 8, alignItems: "center" }}>
                <History size={16} aria-hidden />
                <span>
                  <b style={{ fontWeight: 650 }}>Last good figure</b>, as of {shown.asOf}
                </span>
              </p>
            )}
            {!isBegun && <Begin context={context} report={report} onChange={onChange} />}
            {twins && twins.length > 0 && (
              <Notice role="status" style={{ padding: "5px 16px" }}>
                {twins.slice(0, twins[0].same === "sentence" ? 1 : 2).map((twin) => (
                  <span key={twin.id}>
                    <Link href={`/reports/${twin.id}`}>
                      <b>{twin.name}</b>
                    </Link>{" "}
                    {twin.same === "sentence"
                      ? "asks exactly this already."
                      : "has the same conditions."}
                  </span>
                ))}
              </Notice>
            )}
            {unplaced.length > 0 && kept && (
              <Notice role="status">
                <b>Not placed yet:</b> {unplaced.join(", ")} came after the folds were made.
                {mayBuild && kept.mayChange && (
                  <Button
                    $small
                    $look="line"
                    onPress={() => room.setDress(withPlaced(dress, shown ?? null, draft.report))}
                  >
                    Leave them as they are
                  </Button>
                )}
              </Notice>
            )}
            {isBegun && (
              <div className="titled said">
                <div>
                  <h2 style={{ display: "inline" }}>{title}</h2>
                  {mayBuild && (
                    <Rename
                      label="Rename the title"
                      value={title}
                      own={draft.name || proposedName(says)}
                      onName={(name) => room.setDress(withText(dress, "title", name))}
                    />
                  )}
                  {dress.subtitle && <small>{dress.subtitle}</small>}
                  {says_ && <Says aria-live="polite">{saidWords(says_)}</Says>}
                </div>
                <span
                  style={{ display: "flex", gap: 6, flexWrap: "wrap", justifyContent: "flex-end" }}
                >
                  {report.kind === "burndown" && (
                    <>
                      <Checkbox
                        isSelected={pace === "working"}
                        onChange={(on) => setPace(on ? "working" : "clock")}
                      >
                        Working days
                      </Checkbox>
                      <Checkbox isSelected={isForecast} onChange={setForecast}>
                        Likelihood
                      </Checkbox>
                    </>
                  )}
                  {!isList &&
                    report.shape &&
                    !["number", "gauge", "pivot", "waterfall", "planks"].includes(report.shape) && (
                      <Button $small aria-pressed={asTable} onPress={() => setAsTable(!asTable)}>
                        <Table2 aria-hidden />
                        {asTable ? "As a picture" : "As a table"}
                      </Button>
                    )}
                </span>
              </div>
            )}
            {broken.map((part) => (
              <Notice key={part.says} role="alert">
                <span>
                  <b>{part.says}</b>: {part.why}.
                </span>
                {part.without && (
                  <Button $small $look="line" onPress={() => onChange(part.without!)}>
                    Drop it
                  </Button>
                )}
                <span style={{ color: "var(--ink-2)" }}>
                  or choose another in the sentence above
                </span>
              </Notice>
            ))}
            {error && <Notice role="alert">{error.message}</Notice>}
            {(isEmpty || (isBlank && report.where)) && !error && (
              <NothingFound context={context} report={report} onChange={onChange} />
            )}
            {figure?.poor && !asTable && (
              <p className="poor" role="status">
                {figure.poor}.
              </p>
            )}
            {figure && figure.cut > 0 && (
              <p className="poor" role="status">
                The table has all of them.{" "}
                {ranked && (
                  <Button $small $look="line" onPress={() => onChange(ranked)}>
                    Write that into the sentence
                  </Button>
                )}
              </p>
            )}
            {isForecast && forecast && (
              <p className="poor" role="status">
                {forecast.why ?? forecastWords(forecast)}
              </p>
            )}
            {isWhole && (
              <div className="draw">
                {report.kind === "count" && report.shape === "pivot" && (
                  <Places
                    context={context}
                    report={draft.report as CountReport}
                    dress={dress}
                    onChange={(next, dressed) => room.set({ report: next, dress: dressed })}
                  />
                )}
                <CursorScope isOn={trend !== null} isLinked={isLinked}>
                  {isBegun &&
                    !isList &&
                    report.shape &&
                    !isEmpty &&
                    !isBlank &&
                    (drawn ? (
                      <div style={isLinked && !asTable ? LINKED : ALONE}>
                        <FigureBody
                          shown={drawn}
                          report={report}
                          dress={dress}
                          measure={measure}
                          title={title}
                          opened={opened}
                          onOpen={open}
                          asTable={asTable}
                          onDress={room.setDress}
                          pace={pace}
                          flags={flagsOf(dress.dayNotes ? (notes ?? []) : [], drawn)}
                          forecast={
                            isForecast && forecast?.forecast
                              ? { forecast: forecast.forecast, days: forecast.days }
                              : null
                          }
                          {...(trend ? { stretch, onStretch: setStretch } : {})}
                        />
                      </div>
                    ) : (
                      !error && <Waiting>Counting …</Waiting>
                    ))}
                  {trend && !asTable && (
                    <p className="at" aria-hidden>
                      <AtCursor shown={drawn} />
                    </p>
                  )}
                  {trend && !asTable && typing === null && (
                    <Under
                      context={context}
                      report={trend.report}
                      laid={laid}
                      onLaid={lay}
                      reports={reports}
                    />
                  )}
                </CursorScope>
                {isList && (
                  <ListFigure
                    context={context}
                    report={report}
                    onReport={onChange}
                    dress={dress}
                    onDress={room.setDress}
                    mayChangeItems={facts.mayChangeItems}
                  />
                )}
                {report.kind !== "count" && !isList && !report.shape && !isBlank && drawn && (
                  <FigureBody
                    shown={drawn}
                    report={report}
                    dress={dress}
                    measure={measure}
                    title={title}
                    opened={opened}
                    onOpen={open}
                    asTable
                  />
                )}
                {isPlain && !isEmpty && (
                  <PlainList
                    report={report as CountReport}
                    asGroups={
                      isBegun && report.kind === "count" && report.by.length > 0 && drawn ? (
                        <FigureBody
                          shown={drawn}
                          report={report}
                          dress={dress}
                          measure={measure}
                          title={title}
                          opened={opened}
                          onOpen={open}
                          asTable
                          onDress={room.setDress}
                        />
                      ) : null
                    }
                  />
                )}
                {trend && !asTable && typing === null && (
                  <Explore
                    context={context}
                    report={trend.report}
                    answer={trend.answer}
                    stretch={stretch}
                    onStretch={setStretch}
                    onChange={onChange}
                    reportId={kept?.id ?? null}
                    address={`/reports/new?s=${encodeURIComponent(says)}`}
                    mayKeep={mayBuild}
                    laid={laid}
                    onLaid={lay}
                    reports={reports}
                  />
                )}
              </div>
            )}
            {(dress.footnote || dress.description) && (
              <div className="foot">
                {dress.footnote && <p>{dress.footnote}</p>}
                {dress.description && (
                  <details>
                    <summary>What it is for</summary>
                    <p style={{ whiteSpace: "pre-wrap", maxWidth: "80ch" }}>{dress.description}</p>
                  </details>
                )}
              </div>
            )}
          </>
        )}
      </section>
      <div className="side">
        {isWide && !isDressOpen ? (
          <button className="tab" aria-expanded={false} onClick={() => setDressOpen(true)}>
            Dress
          </button>
        ) : typing !== null ? (
          <ReadAs context={context} report={report} problem={problem} />
        ) : (
          <Dress
            context={context}
            report={draft.report}
            onReport={onChange}
            dress={dress}
            onDress={room.setDress}
            figure={figure}
            title={title}
            reportId={kept?.id ?? null}
          />
        )}
      </div>
      <div className="drawer">
        {!groups && isWhole && (
          <Drawer
            context={context}
            report={report}
            opened={opened}
            leaf={leaf}
            onLeaf={setLeaf}
            onShowAll={() => setOpened(null)}
            reports={reports}
            mayChangeItems={facts.mayChangeItems}
            onSaveFilter={mayBuild ? () => setOpens("filter") : null}
            onExport={isBegun ? download : null}
          />
        )}
      </div>
      <SaveDialog
        saving={saving}
        proposed={draft.name || proposedName(says)}
        about={about}
        onAbout={setAbout}
        onNamed={room.setName}
        onSaved={(id) => router.push(`/reports/${id}`)}
      />
      <Conflict
        context={context}
        saving={saving}
        draft={draft}
        onTheirs={() => {
          room.forget(saving.theirs!.version);
          location.assign(`/reports/${kept!.id}`);
        }}
      />
      {kept && (
        <Sharing
          kind="report"
          id={kept.id}
          name={kept.name}
          people={facts.data.lists.person}
          teams={facts.data.lists.team}
          mayChange={kept.mayChange}
          isOpen={opens === "share"}
          onClose={() => setOpens(null)}
        />
      )}
      {kept && mayBuild && opens === "mail" && (
        <Mailing
          kind="report"
          target={kept.id}
          name={kept.name}
          people={facts.data.lists.person}
          teams={facts.data.lists.team}
          isOpen
          onClose={() => setOpens(null)}
        />
      )}
      {opens === "download" && (
        <Download
          report={report}
          dress={dress}
          title={title}
          link={link}
          opened={exported}
          isOpen
          onClose={() => setOpens(null)}
        />
      )}
      {kept && (
        <Versions
          context={context}
          id={kept.id}
          report={draft.report}
          dress={dress}
          isOpen={opens === "versions"}
          onClose={() => setOpens(null)}
          onTake={(old, dressed, version) => {
            room.set({ report: old, dress: dressed });
            tell(`Version ${version} is here again; save it to keep it.`);
          }}
        />
      )}
      {opens === "filter" && (
        <SaveFilter
          context={context}
          report={draft.report}
          kept={filter}
          isOpen
          onClose={() => setOpens(null)}
          onSaved={() => {
            if (filter) {
              room.forget(0);
              router.push("/reports?shelf=filters");
            }
            router.refresh();
          }}
        />
      )}
    </Grid>
  );
}

/** The trend that can be explored, with its answer. */
function trendOf(
  report: Report,
  drawn: Drawable | null,
): { readonly report: Trend; readonly answer: TrendAnswer } | null {
  if (report.kind !== "level" && report.kind !== "crossings") return null;
  return drawn?.kind === "history" &&
    (drawn.answer.kind === "level" || drawn.answer.kind === "crossings")
    ? { report, answer: drawn.answer }
    : null;
}

/** What a reader chose lives in the address, and changes nobody's saved report. */
function useReaderChoices(): [Chosen, (chosen: Chosen) => void] {
  const [chosen, setChosen] = useState<Chosen>({});
  useEffect(() => {
    try {
      const given = new URLSearchParams(location.search).get("r");
      if (given) setChosen(JSON.parse(given) as Chosen);
    } catch {
      tell("The choices in this address do not read; the builder’s stand.");
    }
  }, []);
  const choose = useCallback((next: Chosen) => {
    setChosen(next);
    const address = new URL(location.href);
    if (Object.keys(next).length) address.searchParams.set("r", JSON.stringify(next));
    else address.searchParams.delete("r");
    window.history.replaceState(null, "", address.pathname + address.search);
  }, []);
  return [chosen, choose];
}

const foldedPlaces = (report: Report, shown: Shown | null) =>
  report.kind === "count" && shown?.kind === "count"
    ? [
        ...report.by.map((group, i) => ({
          group,
          place: String(i),
          heads: shown.answer.rows.flatMap((row) => (row.path[i] ? [row.path[i]] : [])),
        })),
        ...(report.split
          ? [{ group: report.split, place: "split", heads: [...shown.answer.split] }]
          : []),
      ].filter(({ group }) => group.folds?.length)
    : [];

/** Remembers which values were there when the folds were made: a later one is not placed yet. */
function withPlaced(dress: DressOptions, shown: Shown | null, report: Report): DressOptions {
  const places = foldedPlaces(report, shown);
  if (places.length === 0) return dress;
  return {
    ...dress,
    placed: Object.fromEntries(
      places.map(({ place, heads }) => [
        place,
        [...new Set(heads.filter((head) => head.kind === "value").map((head) => head.key))],
      ]),
    ),
  };
}

function unplacedIn(shown: Shown | null, dress: DressOptions, report: Report): string[] {
  return foldedPlaces(report, shown).flatMap(({ place, heads }) =>
    dress.placed[place]
      ? [
          ...new Set(
            heads
              .filter((head) => head.kind === "value" && !dress.placed[place].includes(head.key))
              .map((head) => head.label),
          ),
        ]
      : [],
  );
}

function forecastWords({ forecast, days }: ShownForecast): string {
  const day = (n: number | null) =>
    n === null
      ? "not within two years"
      : (days[Math.min(n, days.length - 1)] ?? `${n} working days`);
  return `Half of ${numberText(forecast!.runs)} runs are done by ${day(forecast!.days.p50)}, 85 % by ${day(forecast!.days.p85)}, 95 % by ${day(forecast!.days.p95)}. It is a likelihood, drawn from the last ${forecast!.rests} working days.`;
}

/** Until a picture is chosen: the matching records themselves, with their count. */
function PlainList({ report, asGroups }: { report: CountReport; asGroups: React.ReactNode }) {
  const [count, setCount] = useState<number | null>(null);
  const [sorts, setSorts] = useState<Sorts>([]);
  const showing = subjects[report.subject.id].showing.map((id) => [id]);
  return (
    <>
      {asGroups}
      <p role="status" style={{ color: "var(--ink-2)" }}>
        <span style={{ font: "540 34px/1.1 var(--serif)", color: "var(--ink)" }}>
          {count === null ? "…" : numberText(count)}
        </span>{" "}
        match; no picture is chosen, so here they are
      </p>
      {count === 0 && !report.where && (
        <p>There are none in this workspace yet; an administrator brings them in under Settings.</p>
      )}
      <div style={{ flex: 1, minHeight: 220, display: "flex" }}>
        <RecordsTable
          bare
          report={report}
          showing={showing}
          sorts={sorts}
          onSort={setSorts}
          onCount={setCount}
        />
      </div>
    </>
  );
}

function More({
  kept,
  mayBuild,
  onVersions,
  onCopy,
}: {
  kept: KeptReport;
  mayBuild: boolean;
  onVersions: () => void;
  onCopy: () => void;
}) {
  const [isPinned, setPinned] = useState(kept.pinned);
  const router = useRouter();
  const pin = async () => {
    try {
      await ask("pin", { kind: "report", id: kept.id, pinned: !isPinned });
      setPinned(!isPinned);
      router.refresh();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <>
      <Button aria-pressed={isPinned} onPress={() => void pin()}>
        {isPinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
        {isPinned ? "Unpin" : "Pin"}
      </Button>
      <MenuButton
        label="More"
        placement="bottom end"
        button={<Button>More …</Button>}
        entries={[
          { id: "versions", words: "Earlier versions", onAction: onVersions },
          mayBuild && { id: "copy", words: "Save as copy", onAction: onCopy },
          {
            id: "file",
            words: "Download its definition",
            onAction: () => location.assign(`/api/definitions/report/${kept.id}`),
          },
        ]}
      />
    </>
  );
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
      const run = (act: (() => void) | null) => {
        event.preventDefault();
        act?.();
      };
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
      else if (key === "c") run(() => onLeaf("compare"));
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
