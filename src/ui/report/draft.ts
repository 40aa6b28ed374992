"use client";
import type { KeptDraft } from "@/contract/library";
import { shapeInput, type Report, parseSentence, printReport } from "@/core/kinds";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { AskContext } from "@/core/catalog";
import { PLAIN_DRESS, type Dress } from "@/core/definition";

import { shapes, whyNot } from "@/core/shapes";

import { ask, askAgain, sendLast, tell, useUndo } from "../kit";
import { wordsAskedFor } from "./asked";
import type { KeptReport } from "./facts";

/** What is being made: the report, its dress and its name. */
export interface Draft {
  readonly report: Report;
  readonly dress: Dress;
  readonly name: string;
}

/** Keeps the shape only while it can show the report; says what it had to leave out. */
export function withFittingShape(report: Report, context: AskContext): Report {
  if (!report.shape) return report;
  const why = whyNot(shapes[report.shape], shapeInput(report, context.catalog));
  if (!why) return report;
  tell(`${shapes[report.shape].words} was left out: ${why}.`);
  const { shape: _shape, ...rest } = report;
  return rest as Report;
}

const KEEP_AFTER_MS = 700;

function firstDraft(
  context: AskContext,
  kept: KeptReport | null,
  sentence: string | null,
  stored: KeptDraft | null,
): { draft: Draft; unread: string | null; isStored: boolean } {
  const kinds = context.catalog.kinds();
  const plain: Report = {
    kind: "count",
    measures: [{ measure: "count" }],
    subject: {
      id: "items",
      ...(kinds[0] ? { kind: (kinds.find((kind) => kind.name === "fault") ?? kinds[0]).id } : {}),
    },
    by: [],
  };
  const base: Draft = kept
    ? { report: kept.definition, dress: kept.dress, name: kept.name }
    : { report: plain, dress: PLAIN_DRESS, name: "" };
  const parsed = sentence ? parseSentence(sentence, context) : null;
  const asked = parsed?.ok ? printReport(parsed.value, context.catalog) : null;
  // A draft goes with the address it was made at: another sentence in the address is asked as it stands.
  const fits =
    stored &&
    stored.baseVersion === (kept?.version ?? 0) &&
    (asked === null ? kept !== null : asked === printReport(stored.report, context.catalog));
  if (fits && !(parsed && !parsed.ok))
    return {
      draft: { report: stored.report, dress: stored.dress, name: stored.name },
      unread: null,
      isStored:
        JSON.stringify([stored.report, stored.dress, stored.name]) !==
        JSON.stringify([base.report, base.dress, base.name]),
    };
  return {
    draft: parsed?.ok ? { ...base, report: parsed.value } : base,
    unread: parsed && !parsed.ok ? sentence : null,
    isStored: false,
  };
}

/** What an address says beside the report: what a reader chose, what lies under it, what one looks at. */
const OF_THE_VIEW = ["r", "under", "look"];

function withOwn(path: string, names: readonly string[]): string {
  const own = new URLSearchParams(
    [...new URLSearchParams(location.search)].filter(([name]) => names.includes(name)),
  ).toString();
  return own ? `${path}${path.includes("?") ? "&" : "?"}${own}` : path;
}

/** The draft of a room with undo and redo; the sentence lives in the address, all of it is kept on the server as one works. */
export function useDraft(
  context: AskContext,
  kept: KeptReport | null,
  sentence: string | null,
  stored: KeptDraft | null,
) {
  const first = useMemo(() => firstDraft(context, kept, sentence, stored), []); // eslint-disable-line react-hooks/exhaustive-deps
  const [words, setWords] = useState<string | null>(null);
  useEffect(() => setWords(sentence && wordsAskedFor(sentence)), [sentence]);
  const steps = useUndo<Draft>(() => ({ past: [], now: first.draft }));
  const { now, isChanged, set: change } = steps;
  const says = printReport(now.report, context.catalog);
  const waits = useRef<ReturnType<typeof setTimeout> | null>(null);
  const version = useRef(kept?.version ?? 0);
  const send = useCallback(
    (draft: KeptDraft | null) =>
      ask("keepDraft", { report: kept?.id ?? 0, draft }).catch(() => undefined),
    [kept?.id],
  );
  useEffect(() => {
    if (first.unread && !isChanged) return;
    const isKept = kept && says === printReport(kept.definition, context.catalog);
    const path = kept
      ? `/reports/${kept.id}${isKept ? "" : `?s=${encodeURIComponent(says)}`}`
      : `/reports/new?s=${encodeURIComponent(says)}`;
    if (isChanged || sentence || kept)
      window.history.replaceState(null, "", withOwn(path, OF_THE_VIEW));
    if (!isChanged) return;
    if (waits.current) clearTimeout(waits.current);
    waits.current = setTimeout(() => {
      waits.current = null;
      void send({ ...now, baseVersion: version.current });
    }, KEEP_AFTER_MS);
  }, [says, now.dress, now.name]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    const onLeave = () => {
      if (!waits.current) return;
      const draft = { ...now, baseVersion: version.current };
      sendLast("keepDraft", { report: kept?.id ?? 0, draft });
    };
    window.addEventListener("pagehide", onLeave);
    return () => window.removeEventListener("pagehide", onLeave);
  });
  const set = useCallback(
    (more: Partial<Draft>) =>
      change({
        ...now,
        ...more,
        ...(more.report ? { report: withFittingShape(more.report, context) } : {}),
      }),
    [now, context, change],
  );
  return {
    draft: now,
    says,
    unread: first.unread,
    isStored: first.isStored,
    isChanged,
    set,
    setReport: useCallback((report: Report) => set({ report }), [set]),
    setDress: useCallback((dress: Dress) => set({ dress }), [set]),
    setName: useCallback((name: string) => set({ name }), [set]),
    // Before the first change there are the words that became the report.
    undo: steps.undo ?? (words === null ? null : () => askAgain(words)),
    redo: steps.redo,
    /** It is saved as a version: the draft is over. */
    forget: (saved: number) => {
      version.current = saved;
      if (waits.current) clearTimeout(waits.current);
      waits.current = null;
      void send(null);
    },
  };
}

/** A name made from the sentence: "Open faults by priority". */
export function proposedName(says: string): string {
  const shapeWords = Object.values(shapes)
    .map((shape) => shape.words)
    .sort((a, b) => b.length - a.length)
    .join("|");
  const words = says
    .replace(new RegExp(` as (${shapeWords})$`), "")
    .replace(/ always (?:not set|"[^"]*"|[^\s,]+)(?:, (?:not set|"[^"]*"|[^\s,]+))*/g, "")
    .replace(
      /^count (?!and |where )([^,]+?) where status is open( and)?/,
      (_all, what: string, and?: string) => `open ${what}${and ? " where" : ""}`,
    )
    .replace(
      /^(.+), of (.+)$/,
      (_all, measures: string, of: string) => `${of}: ${measures.replaceAll("count where ", "")}`,
    )
    .replace(/^count (?!and )|^list /, "");
  return endingAtWord(words.charAt(0).toUpperCase() + words.slice(1));
}

const MOST_LETTERS = 120;

/** A name that is too long ends at a word, and shows that it does. */
function endingAtWord(words: string): string {
  if (words.length <= MOST_LETTERS) return words;
  const cut = words.slice(0, MOST_LETTERS - 1);
  const end = cut.lastIndexOf(" ");
  return `${end > MOST_LETTERS / 2 ? cut.slice(0, end) : cut}…`;
}
