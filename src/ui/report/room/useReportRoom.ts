"use client";
import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useReducer, useState } from "react";
import type { OpenedPart } from "@/contract/figures";
import type { FilterLine, KeptDraft, ReportName } from "@/contract/library";
import type { Report } from "@/core/kinds";
import { ask, tell, undoKeys, useAddress, useShortcuts, type InAddress } from "../../kit";
import { proposedName, useDraft } from "../draft";
import { useLaid } from "../explore";
import { contextOf, type KeptReport, type RoomFacts } from "../facts";
import { asRead, type Chosen } from "../asRead";
import { useSaving } from "../Saving";
import { useLook } from "./look";
import { withPlaced } from "./placed";
import { afterEvent, enterRoom, type RoomDialog } from "./roomState";
import { useFigure, type FirstFigure } from "./useFigure";

export interface RoomProps {
  readonly facts: RoomFacts;
  readonly kept: KeptReport | null;
  readonly sentence: string | null;
  readonly draft?: KeptDraft | null;
  readonly reports?: readonly ReportName[];
  /** The saved filter whose conditions are changed here. */
  readonly filter?: FilterLine | null;
  readonly first?: FirstFigure | null;
}

const NO_REPORTS: readonly ReportName[] = [];

/** What a reader chose lives in the address, and changes nobody's saved report. */
const CHOSEN: InAddress<Chosen> = {
  name: "r",
  plain: {},
  read: (text) => JSON.parse(text) as Chosen,
  write: (chosen) => (Object.keys(chosen).length ? JSON.stringify(chosen) : null),
  onWrong: () => tell("The choices in this address do not read; the builder’s stand."),
};

/** All that the report room knows and can be told. */
export function useReportRoom({ facts, kept, sentence, ...given }: RoomProps) {
  const { draft: stored = null, reports = NO_REPORTS, filter = null, first = null } = given;
  const { mayBuild, mayKeep, mayChangeItems } = facts;
  const context = useMemo(() => contextOf(facts), [facts]);
  const drafting = useDraft(context, kept, sentence, stored);
  const { draft, says } = drafting;
  const { dress } = draft;
  const [chosen, choose] = useAddress(CHOSEN);
  const looking = useLook(context);
  const looked = looking.report;
  const report = useMemo(
    () => looked ?? asRead(draft.report, dress, chosen, context),
    [looked, draft.report, dress, chosen, context],
  );
  const steps = looked ? { undo: looking.undo, redo: null } : drafting;
  const change = (next: Report) => {
    looking.leave();
    drafting.setReport(next);
  };
  const [state, send] = useReducer(afterEvent, drafting.unread, enterRoom);
  const [about, setAbout] = useState({
    purpose: kept?.purpose ?? "",
    category: kept?.category ?? "",
  });
  const [laid, lay] = useLaid();
  const saving = useSaving(kept, draft, mayKeep, drafting.forget, about);
  const figure = useFigure(report, draft.report, dress, context, first);
  const { shown } = figure;
  const place = useCallback(
    () => drafting.setDress(withPlaced(dress, shown, draft.report)),
    [drafting, dress, shown, draft.report],
  );
  const save = () => {
    if (!mayKeep) return;
    const placed = withPlaced(dress, shown, draft.report);
    if (JSON.stringify(placed) !== JSON.stringify(dress)) drafting.setDress(placed);
    saving.begin(placed);
  };
  useEffect(() => send({ kind: "report changed" }), [report]);
  useOpened(kept);
  useStoredTold(drafting.isStored, kept, drafting.set);
  useShortcuts([
    {
      keys: "e",
      says: "type the sentence; Esc puts it back",
      run: () => send({ kind: "typing began", says }),
    },
    {
      keys: "t",
      says: "the figure as a table, and back",
      run: () => send({ kind: "table turned" }),
    },
    {
      keys: "r",
      says: "the records",
      run: () => send({ kind: "tab pressed", tab: "records" }),
    },
    {
      keys: "w",
      says: "the workings",
      run: () => send({ kind: "tab pressed", tab: "workings" }),
    },
    {
      keys: "c",
      says: "compare with another report, filter or keys",
      run: () => send({ kind: "tab pressed", tab: "compare" }),
    },
    { keys: "ctrl+s", says: "save", run: save, whileTyping: true },
    ...undoKeys(steps),
    { keys: "enter", shown: "Enter on any figure", says: "opens its records" },
    {
      keys: "shift",
      shown: "Shift and a column head",
      says: "adds to the order of a list",
    },
    {
      keys: "arrows",
      shown: "Arrows in the groups of conditions",
      says: "go from line to line; with Ctrl they move it, G makes a group, Delete takes it out",
    },
  ]);
  return {
    facts,
    kept,
    filter,
    reports,
    mayBuild,
    mayKeep,
    mayChangeItems,
    context,
    drafting,
    draft,
    dress,
    says,
    report,
    chosen,
    choose,
    state,
    send,
    about,
    setAbout,
    laid,
    lay,
    saving,
    save,
    place,
    figure,
    title: looked
      ? proposedName(looking.says)
      : (dress.title ?? (draft.name || proposedName(says))),
    link: kept && !looked ? `/reports/${kept.id}` : askedAt(looked ? looking.says : says),
    onChange: change,
    looking,
    steps,
    /** A step that explores: a look where a report is saved; one that is being made is changed by it. */
    explore: kept ? looking.see : change,
    open: useCallback((dialog: RoomDialog) => send({ kind: "dialog opened", dialog }), []),
    download: useCallback(
      (part: OpenedPart | undefined) =>
        send({ kind: "dialog opened", dialog: { kind: "download", part } }),
      [],
    ),
  };
}

/** The address at which a sentence is asked. */
export const askedAt = (says: string): string => `/reports/new?s=${encodeURIComponent(says)}`;

export type Room = ReturnType<typeof useReportRoom>;

/** It is remembered that the report was opened. */
function useOpened(kept: KeptReport | null): void {
  useEffect(() => {
    if (kept) void ask("report", { id: kept.id }).catch(() => undefined);
  }, [kept]);
}

/** What was left unsaved is there again, and says so. */
function useStoredTold(
  isStored: boolean,
  kept: KeptReport | null,
  set: ReturnType<typeof useDraft>["set"],
): void {
  useEffect(() => {
    if (!isStored) return;
    const leave = kept && {
      words: "Leave them",
      run: () => set({ report: kept.definition, dress: kept.dress, name: kept.name }),
    };
    tell("Your unsaved changes are back.", leave ?? undefined);
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
}

/** Reports that ask the same, while a new one is made. */
export function useTwins({ figure, report, kept, mayBuild }: Room) {
  return useQuery({
    queryKey: ["twins", report, kept?.id ?? null],
    queryFn: ({ signal }) => ask("twins", { definition: report, except: kept?.id ?? null }, signal),
    enabled: figure.isBegun && figure.isWhole && !kept && mayBuild,
    staleTime: 60_000,
  }).data;
}

/** When the rest of a burndown is likely to be done, where it is asked for. */
export function useLikelihood(report: Report, isAsked: boolean) {
  return useQuery({
    queryKey: ["forecast", report],
    queryFn: ({ signal }) => ask("forecast", { definition: report }, signal),
    enabled: isAsked,
  }).data;
}
