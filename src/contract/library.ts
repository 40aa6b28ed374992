import { ReportSchema } from "@/core/kinds/schemas";
import { ConditionSchema } from "@/core/filter/schemas";
import { DressSchema, SubjectSchema, PlainMeasureSchema } from "@/core/definition/schemas";
import { type Report } from "@/core/kinds";

import { Kind, IdAsk, KeptAsk, NothingAsk } from "./shared";
import { type Dress } from "@/core/definition";
import { type Piece } from "@/core/sentence";
import { type ShapeId } from "@/core/shapes";
import { act } from "./act";
import { z } from "zod";

export const SaveReportAsk = z.object({
  id: z.int().optional(),
  version: z.int().optional(),
  name: z.string(),
  purpose: z.string().optional(),
  category: z.string().optional(),
  definition: ReportSchema,
  dress: DressSchema,
});

export const Share = z
  .object({
    everyone: z.boolean(),
    person: z.int().nullable(),
    team: z.int().nullable(),
    mayChange: z.boolean(),
  })
  .refine(
    (share) =>
      [share.everyone, share.person !== null, share.team !== null].filter(Boolean).length === 1,
    "a share is with everyone, a person or a team",
  );

export const SharesAsk = z.object({ kind: Kind, id: z.int(), shares: z.array(Share).max(200) });

export const SaveFilterAsk = z.object({
  id: z.int().optional(),
  version: z.int().optional(),
  name: z.string(),
  purpose: z.string().default(""),
  subject: SubjectSchema,
  where: ConditionSchema.nullable().optional(),
});

export const SaveMeasureAsk = z.object({
  id: z.int().optional(),
  name: z.string(),
  means: z.string(),
  subject: z.string(),
  measure: PlainMeasureSchema,
});

export const DraftAsk = z.object({
  report: z.int().min(0),
  draft: z
    .object({
      report: ReportSchema,
      dress: DressSchema,
      name: z.string().max(200),
      baseVersion: z.int(),
    })
    .nullable(),
});

export const TwinsAsk = z.object({ definition: ReportSchema, except: z.int().nullable() });

export const DefinitionFileAsk = z.object({ text: z.string().max(2_000_000) });

export const PinAsk = z.object({ kind: Kind, id: z.int(), pinned: z.boolean() });

/** A saved report as its room gets it. */
export interface KeptReport {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly definition: Report;
  readonly dress: Dress;
  readonly owner: { readonly id: number; readonly name: string };
  readonly updatedAt: string;
  readonly pinned: boolean;
  readonly mayChange: boolean;
}

/** A line of the library. */
export interface ReportLine {
  readonly id: number;
  readonly name: string;
  readonly purpose: string;
  readonly category: string;
  readonly pieces: readonly Piece[];
  /** Further words by which people look for such a report. */
  readonly sought: string;
  readonly shape: ShapeId | null;
  /** Conditions from outside, such as filters of a dashboard, can narrow it. */
  readonly takesConditions: boolean;
  readonly owner: string;
  readonly mine: boolean;
  /** Of somebody in one of the viewer's teams, or shared with one. */
  readonly myTeams: boolean;
  readonly updatedAt: string;
  readonly boards: number;
  readonly pinned: boolean;
  readonly mayChange: boolean;
  /** How often it was opened in 90 days, when last, and when last by the viewer. */
  readonly opened: number;
  readonly lastOpened: string | null;
  readonly mineOpened: string | null;
}

/** A ready-made report as the library offers it. */
export interface ReadyLine {
  readonly name: string;
  readonly category: string;
  readonly sentence: string;
  readonly shape: ShapeId;
}

/** A saved filter as the library shows it, its conditions spelled out. */
export interface FilterLine {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly subject: string;
  readonly says: string;
  /** The sentence that lists what it holds, and that whose conditions are its own. */
  readonly sentence: string;
  readonly conditions: string;
  readonly owner: string;
  readonly mine: boolean;
  readonly shared: boolean;
  readonly updatedAt: string;
  readonly mayChange: boolean;
  readonly pinned: boolean;
}

/** A report by its name; a trend can be laid under another. */
export interface ReportName {
  readonly id: number;
  readonly name: string;
  readonly isTrend: boolean;
}

/** A report that asks the same, or of the same records. */
export interface TwinLine {
  readonly id: number;
  readonly name: string;
  readonly same: "sentence" | "conditions";
}

export interface VersionLine {
  readonly version: number;
  readonly name: string;
  /** What a report was then; null for other kinds, and for what no longer reads. */
  readonly report: Pick<KeptReport, "definition" | "dress"> | null;
  readonly savedBy: string | null;
  readonly savedAt: string;
}

/** Whom something is shared with: everyone, a person or a team. */
export interface ShareLine {
  readonly everyone: boolean;
  readonly person: number | null;
  readonly team: number | null;
  readonly mayChange: boolean;
}

export interface BinLine {
  readonly kind: "report" | "dashboard" | "filter";
  readonly id: number;
  readonly name: string;
  readonly deletedAt: string;
}

/** What somebody was making, kept on the server as they type. */
export interface KeptDraft {
  readonly report: Report;
  readonly dress: Dress;
  readonly name: string;
  readonly baseVersion: number;
}

/** A report or dashboard in somebody's side list. */
export interface PinLine {
  readonly kind: "report" | "dashboard" | "filter";
  readonly id: number;
  readonly name: string;
}

/** A dashboard that hands a report on to those it is shared with. */
export interface ReachedBoard {
  readonly id: number;
  readonly name: string;
  /** Names of people and teams, or "everyone". */
  readonly with: readonly string[];
}

/** A report that comes with a dashboard. */
export interface ReachedReport {
  readonly id: number;
  readonly name: string;
  readonly owner: string;
}

/** What sharing reaches: who reads a report by which dashboards, or which reports a dashboard brings with it. */
export interface Reach {
  readonly boards: readonly ReachedBoard[];
  readonly reports: readonly ReachedReport[];
}

/** Somebody who may not read what they are about to be sent. */
export interface Stranger {
  readonly id: number;
  readonly name: string;
}

export const StrangersAsk = z.object({
  kind: Kind.exclude(["filter"]),
  id: z.int(),
  people: z.array(z.int()).max(200),
  teams: z.array(z.int()).max(50),
});

/** A definition that was saved: its id and the version it has now. */
export interface SavedVersion {
  readonly id: number;
  readonly version: number;
}

/** A definition that came from a file. */
export interface BroughtDefinition {
  readonly kind: "report" | "dashboard" | "filter";
  readonly id: number;
  readonly name: string;
}

export const libraryActs = {
  report: act(IdAsk).answers<KeptReport>(),
  saveReport: act(SaveReportAsk).answers<SavedVersion>(),
  /** Reports that ask the same. */
  twins: act(TwinsAsk).answers<TwinLine[]>(),
  draft: act(IdAsk).answers<KeptDraft | null>(),
  keepDraft: act(DraftAsk).answers<true>(),
  saveFilter: act(SaveFilterAsk).answers<SavedVersion>(),
  /** The reports that a saved filter changes. */
  filterUses: act(IdAsk).answers<{ readonly id: number; readonly name: string }[]>(),
  saveMeasure: act(SaveMeasureAsk).answers<number>(),
  bringDefinition: act(DefinitionFileAsk).answers<BroughtDefinition>(),
  pin: act(PinAsk).answers<true>(),
  versions: act(KeptAsk).answers<VersionLine[]>(),
  shares: act(KeptAsk).answers<ShareLine[]>(),
  setShares: act(SharesAsk).answers<true>(),
  /** What sharing reaches beside those it is shared with. */
  reach: act(KeptAsk).answers<Reach>(),
  /** Of those who are chosen, and the members of chosen teams, those who may not read it. */
  strangers: act(StrangersAsk).answers<Stranger[]>(),
  bin: act(KeptAsk).answers<true>(),
  binned: act(NothingAsk).answers<BinLine[]>(),
  unbin: act(KeptAsk).answers<true>(),
};
