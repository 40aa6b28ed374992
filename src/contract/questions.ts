import { z } from "zod";
import type { Report } from "@/core/kinds";
import { LONGEST_QUESTION, type Taught, type Use } from "@/core/plain";
import { act } from "./act";
import type { TwinLine } from "./library";
import { IdAsk, NothingAsk } from "./shared";

export const QuestionAsk = z.object({ question: z.string().max(LONGEST_QUESTION * 2) });

/** `counted`: with what each reading comes to, which takes longer than reading. */
export const ReadAsk = QuestionAsk.extend({ counted: z.boolean().default(true) });

/** One way in which a question can be read, and what it comes to. */
export interface ReadingLine {
  /** The question as it was read: with misspelt words as what they were meant to be. */
  readonly text: string;
  /** With a picture that fits it. */
  readonly report: Report;
  /** As it was read, without a picture that nobody asked for. */
  readonly sentence: string;
  /** The sentence of the report. */
  readonly pictured: string;
  readonly uses: readonly Use[];
  readonly isSure: boolean;
  readonly doubts: readonly string[];
  /** What words that could be several things were taken for. */
  readonly chose: readonly Taught[];
  /** How many reports that one may see say it so, where it could be read otherwise. */
  readonly reports: number;
  /** Its figure in a word or two; null where it has no single one. */
  readonly figure: string | null;
}

/** Another question near to it. */
export interface NearLine {
  readonly label: string;
  /** The sentence that asks it, with a picture. */
  readonly pictured: string;
  readonly figure: string | null;
}

export interface QuestionRead {
  /** The best first. */
  readonly readings: readonly ReadingLine[];
  readonly near: readonly NearLine[];
  /** Reports that ask this already, or the same of the same records. */
  readonly there: readonly TwinLine[];
}

/** What words of the desk mean. */
export interface TaughtLine extends Taught {
  readonly id: number;
  readonly isForAll: boolean;
  /** Who said so. */
  readonly by: string | null;
}

/** A question that was not understood for sure. */
export interface DoubtedLine {
  readonly id: number;
  readonly question: string;
  readonly by: string;
  /** The sentence that was opened in the end. */
  readonly chosen: string | null;
  readonly at: string;
}

export interface WordsShown {
  readonly taught: readonly TaughtLine[];
  readonly doubted: readonly DoubtedLine[];
}

/** A question worth asking today. */
export interface SuggestedLine {
  readonly label: string;
  readonly why: "unusual" | "asked last" | "asked by your team";
  readonly href: string;
  readonly figure: string | null;
}

const words = z.string().trim().min(2).max(60);
export const TeachAsk = z.object({
  words,
  means: z.string().trim().min(3).max(500),
  forAll: z.boolean(),
});
export const DoubtedAsk = QuestionAsk.extend({ chosen: z.string().max(2000).nullable() });

export const questionActs = {
  readQuestion: act(ReadAsk).answers<QuestionRead>(),
  /** Words for oneself, or for everyone. */
  teach: act(TeachAsk).answers<number>(),
  forget: act(IdAsk).answers<true>(),
  doubted: act(DoubtedAsk).answers<true>(),
  words: act(NothingAsk).answers<WordsShown>(),
  suggested: act(NothingAsk).answers<SuggestedLine[]>(),
};
