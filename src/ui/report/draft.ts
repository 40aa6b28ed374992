"use client";
import { useCallback, useEffect, useMemo, useReducer } from "react";
import type { AskContext } from "@/core/catalog";
import { PLAIN_DRESS, shapeInput, type Dress, type Report } from "@/core/definition";
import { parseSentence, printReport } from "@/core/sentence";
import { shapes, whyNot } from "@/core/shapes";
import { tell } from "../kit";
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
  if (act.kind === "undo") return past.length ? { past: past.slice(0, -1), now: past[past.length - 1], future: [now, ...future] } : steps;
  return future.length ? { past: [...past, now], now: future[0], future: future.slice(1) } : steps;
}

/** Keeps the shape only while it can show the report; says what it had to leave out. */
export function withFittingShape(report: Report): Report {
  if (!report.shape) return report;
  const why = whyNot(shapes[report.shape], shapeInput(report));
  if (!why) return report;
  tell(`${shapes[report.shape].words} was left out: ${why}.`);
  const { shape: _shape, ...rest } = report;
  return rest as Report;
}

const storeKey = (kept: KeptReport | null): string => `gt_draft_${kept?.id ?? "new"}`;

function firstDraft(context: AskContext, kept: KeptReport | null, sentence: string | null): { draft: Draft; unread: string | null } {
  const plain: Report = { kind: "count", measures: [{ measure: "count" }], subject: { id: "items", ...(context.catalog.kinds()[0] ? { kind: (context.catalog.kinds().find((kind) => kind.name === "fault") ?? context.catalog.kinds()[0]).id } : {}) }, by: [] };
  const base: Draft = kept ? { report: kept.definition, dress: kept.dress, name: kept.name } : { report: plain, dress: PLAIN_DRESS, name: "" };
  const parsed = sentence ? parseSentence(sentence, context) : null;
  const read: Draft = parsed?.ok ? { ...base, report: parsed.value } : base;
  return { draft: read, unread: parsed && !parsed.ok ? sentence : null };
}

/** The draft of a room with undo and redo; the sentence lives in the address, the rest is kept on this device until saved. */
export function useDraft(context: AskContext, kept: KeptReport | null, sentence: string | null) {
  const first = useMemo(() => firstDraft(context, kept, sentence), []); // eslint-disable-line react-hooks/exhaustive-deps
  const [steps, act] = useReducer(step, { past: [], now: first.draft, future: [] });
  const { now } = steps;
  const says = printReport(now.report, context.catalog);
  useEffect(() => {
    const stored = JSON.parse(localStorage.getItem(storeKey(kept)) ?? "null") as { says: string; version: number; dress: Dress; name: string } | null;
    if (stored && stored.says === says && stored.version === (kept?.version ?? 0) && (JSON.stringify(stored.dress) !== JSON.stringify(now.dress) || stored.name !== now.name)) act({ kind: "set", draft: { ...now, dress: stored.dress, name: stored.name } });
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    if (first.unread && steps.past.length === 0) return;
    const isKept = kept && says === printReport(kept.definition, context.catalog);
    const path = kept ? `/reports/${kept.id}${isKept ? "" : `?s=${encodeURIComponent(says)}`}` : `/reports/new?s=${encodeURIComponent(says)}`;
    if (steps.past.length > 0 || sentence || kept) window.history.replaceState(null, "", path);
    localStorage.setItem(storeKey(kept), JSON.stringify({ says, version: kept?.version ?? 0, dress: now.dress, name: now.name }));
  }, [says, now.dress, now.name]); // eslint-disable-line react-hooks/exhaustive-deps
  const setReport = useCallback((report: Report) => act({ kind: "set", draft: { ...now, report: withFittingShape(report) } }), [now]);
  const setDress = useCallback((dress: Dress) => act({ kind: "set", draft: { ...now, dress } }), [now]);
  const setName = useCallback((name: string) => act({ kind: "set", draft: { ...now, name } }), [now]);
  return {
    draft: now, says, unread: first.unread, setReport, setDress, setName,
    undo: steps.past.length ? () => act({ kind: "undo" }) : null,
    redo: steps.future.length ? () => act({ kind: "redo" }) : null,
    forget: () => localStorage.removeItem(storeKey(kept)),
  };
}

/** A name made from the sentence: "Open faults by priority". */
export function proposedName(says: string): string {
  const words = says
    .replace(/ as (bars|columns|stacked bars|line|pie|donut|number|list)$/, "")
    .replace(/^count (.+?) where status is open( and)?/, (_all, what: string, and?: string) => `open ${what}${and ? " where" : ""}`)
    .replace(/^count |^list /, "");
  return (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 120);
}
