import { z } from "zod";
import type { Report } from "@/core/kinds";
import { LONGEST_QUESTION, type Use } from "@/core/plain";
import { act } from "./act";
import type { TwinLine } from "./library";

export const QuestionAsk = z.object({ question: z.string().max(LONGEST_QUESTION * 2) });

/** One way in which a question can be read, and what it comes to. */
export interface ReadingLine {
  /** With a picture that fits it. */
  readonly report: Report;
  /** As it was read, without a picture that nobody asked for. */
  readonly sentence: string;
  /** The sentence of the report. */
  readonly pictured: string;
  readonly uses: readonly Use[];
  readonly isSure: boolean;
  readonly doubts: readonly string[];
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

export const questionActs = {
  readQuestion: act(QuestionAsk).answers<QuestionRead>(),
};
