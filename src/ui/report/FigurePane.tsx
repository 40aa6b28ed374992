"use client";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Report } from "@/core/definition";
import type { Mark, Said } from "@/core/figure";
import { allOfParts, topParts } from "@/core/filter";
import { conditionText } from "@/core/sentence";
import type { ShownFigure } from "@/contract/room";
import { Chart, FigureTable, markId } from "../charts";
import { Button, Empty } from "../kit";

export const Says = styled.p`font: 400 17px/24px var(--serif); color: var(--ink); b { font-weight: 620; }`;
export const saidWords = (says: readonly Said[]) => says.map((said, i) => (said.strong ? <b key={i}>{said.text}</b> : <span key={i}>{said.text}</span>));

/** In a word: what a figure's number is of. */
export const measureWords = (shown: ShownFigure & { kind: "count" }, report: Report, context: AskContext | null): string => {
  const [measure] = shown.answer.measures;
  return measure.words === "count" && context ? context.catalog.countedWords(report.subject, shown.answer.total[0].value ?? 0) : measure.words;
};

export function FigureBody({ shown, report, measure, title, opened, onOpen, asTable, small }: { shown: ShownFigure & { kind: "count" }; report: Report; measure: string; title: string; opened: Mark | null; onOpen: (mark: Mark) => void; asTable: boolean; small?: boolean }) {
  const drawn = { onOpen, opened: opened ? markId(opened) : null, label: title, ...(small ? { small } : {}) };
  if (asTable || !report.shape || report.shape === "list") return <FigureTable figure={shown.figure} drawn={drawn} measure={measure} />;
  return <Chart shape={report.shape} figure={shown.figure} drawn={drawn} measure={measure} />;
}

/** Nothing found: which condition empties it, and an offer to drop each. */
export function NothingFound({ context, report, onChange }: { context: AskContext; report: Report; onChange: (report: Report) => void }) {
  const parts = topParts(report.where);
  const without = (index: number): Report => {
    const { where: _where, ...rest } = report;
    const where = allOfParts(parts.filter((_, i) => i !== index));
    return { ...rest, ...(where ? { where } : {}) } as Report;
  };
  return (
    <Empty says={`No ${context.catalog.subjectWords(report.subject)} match this.`}>
      {parts.map((part, i) => <Button key={i} $look="line" onPress={() => onChange(without(i))}>Drop “{conditionText(part, context.catalog, report.subject.id)}”</Button>)}
    </Empty>
  );
}
