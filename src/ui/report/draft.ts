"use client";
import type { KeptDraft } from "@/contract/library";
import { shapeInput, type Report, parseSentence, printReport } from "@/core/kinds";
import { useCallback, useEffect, useMemo, useReducer, useRef } from "react";
import type { AskContext } from "@/core/catalog";
import { PLAIN_DRESS, type Dress } from "@/core/definition";

import { shapes, whyNot } from "@/core/shapes";

import { ask, tell } from "../kit";
import type { KeptReport } from "./facts";

/** What is being made: the report, its dress and its name. */
export interface Draft {
  readonly report: Report;
  readonly dress: Dress;
  readonly name: string;
}

interface Steps {
  readonly past: readonly Draft[];
  readonly now: Draft;
  readonly future: readonly Draft[];
}

type Act = { readonly kind: "set"; readonly draft: Draft } | { readonly kind: "undo" | "redo" };

function step(steps: Steps, act: Act): Steps {
  const { past, now, future } = steps;
  if (act.kind === "set") return { past: [...past.slice(-99), now], now: act.draft, future: [] };
  if (act.kind === "undo")
    return past.length
      ? { past: past.slice(0, -1), now: past[past.length - 1], future: [now, ...future] }
      : steps;
  return future.length ? { past: [...past, now], now: future[0], future: future.slice(1) } : steps;
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

/** What an address says beside the report: what a reader chose, and what lies under it. */
const OF_THE_VIEW = ["r", "under"];

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
  const [steps, act] = useReducer(step, { past: [], now: first.draft, future: [] });
  const { now } = steps;
  const says = printReport(now.report, context.catalog);
  const waits = useRef<ReturnType<typeof setTimeout> | null>(null);
  const version = useRef(kept?.version ?? 0);
  const send = useCallback(
    (draft: KeptDraft | null) =>
      ask("keepDraft", { report: kept?.id ?? 0, draft }).catch(() => undefined),
    [kept?.id],
  );
  useEffect(() => {
    if (first.unread && steps.past.length === 0) return;
    const isKept = kept && says === printReport(kept.definition, context.catalog);
    const path = kept
      ? `/reports/${kept.id}${isKept ? "" : `?s=${encodeURIComponent(says)}`}`
      : `/reports/new?s=${encodeURIComponent(says)}`;
    if (steps.past.length > 0 || sentence || kept)
      window.history.replaceState(null, "", withOwn(path, OF_THE_VIEW));
    if (steps.past.length === 0) return;
    if (waits.current) clearTimeout(waits.current);
    waits.current = setTimeout(() => {
      waits.current = null;
      void send({
        report: now.report,
        dress: now.dress,
        name: now.name,
        baseVersion: version.current,
      });
    }, KEEP_AFTER_MS);
  }, [says, now.dress, now.name]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    const onLeave = () => {
      if (!waits.current) return;
      navigator.sendBeacon?.(
        "keepDraft",
        new Blob(
          [
            JSON.stringify({
              report: kept?.id ?? 0,
              draft: {
                report: now.report,
                dress: now.dress,
                name: now.name,
                baseVersion: version.current,
              },
            }),
          ],
          { type: "application/json" },
        ),
      );
    };
    window.addEventListener("pagehide", onLeave);
    return () => window.removeEventListener("pagehide", onLeave);
  });
  const set = useCallback(
    (more: Partial<Draft>) =>
      act({
        kind: "set",
        draft: {
          ...now,
          ...more,
          ...(more.report ? { report: withFittingShape(more.report, context) } : {}),
        },
      }),
    [now, context],
  );
  return {
    draft: now,
    says,
    unread: first.unread,
    isStored: first.isStored,
    isChanged: steps.past.length > 0,
    set,
    setReport: useCallback((report: Report) => set({ report }), [set]),
    setDress: useCallback((dress: Dress) => set({ dress }), [set]),
    setName: useCallback((name: string) => set({ name }), [set]),
    undo: steps.past.length ? () => act({ kind: "undo" }) : null,
    redo: steps.future.length ? () => act({ kind: "redo" }) : null,
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
      /^count (?!and )(.+?) where status is open( and)?/,
      (_all, what: string, and?: string) => `open ${what}${and ? " where" : ""}`,
    )
    .replace(/^count (?!and )|^list /, "");
  return (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 120);
}
