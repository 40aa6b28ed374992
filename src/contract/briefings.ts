import { z } from "zod";
import type { Block, BriefingKind } from "@/core/briefing";
import { act } from "./act";
import { IdAsk } from "./shared";

const KIND = z.enum(["project", "sprint", "release", "team", "filter"]);
const ROLE = z.enum(["administrator", "builder", "member", "client"]);
export type Reader = z.infer<typeof ROLE>;

/** A part of a briefing as it is kept. */
export const PartSchema = z.strictObject({
  id: z.string().min(1).max(60),
  /** Which part of the template it is; nothing: it was added by hand. */
  made: z.string().max(60).optional(),
  title: z.string().trim().max(160).optional(),
  /** Own words, with sentences in braces. */
  words: z.string().max(6_000).optional(),
  /** How the generator's words read when somebody last took or left them. */
  madeThen: z.string().max(20_000).optional(),
  /** A sentence that is drawn. */
  draws: z.string().max(2_000).optional(),
  /** Neither read nor printed. */
  isAway: z.literal(true).optional(),
  /** Who reads it; nothing: everybody who reads the briefing. */
  readers: z.array(ROLE).max(4).optional(),
});
export type KeptPart = z.infer<typeof PartSchema>;
const Parts = z.array(PartSchema).min(1).max(40);

/** What a frozen briefing said: its parts as they read then. */
export interface KeptBriefing {
  readonly head: string;
  readonly parts: readonly ReadPart[];
}

/** A part as it is read. */
export interface ReadPart {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly Block[];
  /** What the generator would write now, where own words stand and it writes something new. */
  readonly wouldSay: readonly Block[] | null;
  readonly madeText: string | null;
  /** Figures that read otherwise by now: how they read when it was frozen, and today. */
  readonly moved: readonly { readonly key: string; readonly was: string; readonly now: string }[];
}

/** A briefing in the index. */
export interface BriefingLine {
  readonly id: number;
  readonly title: string;
  readonly kind: BriefingKind;
  readonly of: string;
  readonly target: number;
  readonly owner: string;
  readonly updatedAt: string;
  /** The day that it is frozen at; null: kept current. */
  readonly frozenOn: string | null;
  readonly mayChange: boolean;
}

export interface ShownBriefing extends BriefingLine {
  readonly mayMail: boolean;
  readonly version: number;
  readonly today: string;
  /** "Kept current; as of Tue 24 Nov 2026, 15:30; for Inês Duarte." */
  readonly head: string;
  readonly parts: readonly ReadPart[];
  /** All its parts as they are kept, for those who may change it; in their order. */
  readonly kept: readonly KeptPart[];
  /** What its parts are called, by their ids, also those that are put away or say nothing. */
  readonly titles: Readonly<Record<string, string>>;
  /** Parts that are not for this reader. */
  readonly withheld: number;
  /** What it is of is gone: what was kept is read. */
  readonly isGone: boolean;
  /** It was answered anew, because the reader does not see what its maker sees. */
  readonly isAnew: boolean;
}

export interface TemplateLine {
  readonly id: number;
  readonly kind: BriefingKind;
  readonly name: string;
  readonly parts: readonly KeptPart[];
}

const Of = z.strictObject({ kind: KIND, target: z.int() });

export const briefingActs = {
  /** Those of one thing, or all that one may read. */
  briefings: act(z.strictObject({ of: Of.optional() })).answers<BriefingLine[]>(),
  briefing: act(IdAsk).answers<ShownBriefing>(),
  /** Without parts it begins with those of a template, or with the usual ones. */
  newBriefing: act(
    Of.extend({
      title: z.string().trim().max(160).default(""),
      template: z.int().nullable().default(null),
    }),
  ).answers<number>(),
  saveBriefing: act(
    z.strictObject({
      id: z.int(),
      version: z.int(),
      title: z.string().trim().min(1, "a briefing needs a title").max(160),
      parts: Parts,
    }),
  ).answers<number>(),
  /** Kept as a briefing of its own, as it stands at the end of a day; the current one goes on. */
  freezeBriefing: act(
    z.strictObject({ id: z.int(), on: z.iso.date(), title: z.string().trim().min(1).max(160) }),
  ).answers<number>(),
  /** A frozen briefing takes the figures that have moved. */
  countAgain: act(z.strictObject({ id: z.int(), version: z.int() })).answers<number>(),
  dropBriefing: act(IdAsk).answers<true>(),
  templates: act(z.strictObject({ kind: KIND })).answers<TemplateLine[]>(),
  saveTemplate: act(
    z.strictObject({
      kind: KIND,
      name: z.string().trim().min(1, "a template needs a name").max(80),
      parts: Parts,
    }),
  ).answers<number>(),
  dropTemplate: act(IdAsk).answers<true>(),
};
