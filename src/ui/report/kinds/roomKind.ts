import type { ReactNode } from "react";
import type { Answer, Report } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import type { Area } from "@/core/sentence";
import type { PickerProps } from "../pickers";
import type { TrendAnswer, Trend } from "../explore";

/** What a picker of a part of the sentence is given. */
export interface PartProps<R extends Report = Report> extends Omit<PickerProps, "report"> {
  readonly report: R;
  /** Which of the parts of its area it is. */
  readonly index: number;
  readonly dress: Dress;
  readonly onDress: (dress: Dress) => void;
  /** Opens the conditions in groups. */
  readonly onGroups: () => void;
}

export type Picker<R extends Report = Report> = (props: PartProps<R>) => ReactNode;

/** What can be said beyond what is there: at once, or after something is chosen for it. */
export type Addition<R extends Report = Report> = {
  readonly label: string;
  readonly about: string;
  readonly isDisabled?: boolean;
} & (
  | { readonly say: (report: R, context: AskContext) => Report }
  | { readonly choose: Picker<R> }
  | { readonly leaveTo: "groups" }
);

/** What the room shows and offers for one kind of report. */
export interface RoomKind<R extends Report, A extends Answer> {
  /** What chooses each part of its sentence that not every kind has. */
  readonly pickers: { readonly [K in Area]?: Picker<R> };
  readonly additions: (report: R, context: AskContext) => readonly Addition<R>[];
  /** Enough is said for it to be asked. */
  readonly isBegun: (report: R) => boolean;
  /** Its answer is its records themselves, in a table of their own. */
  readonly isRecords: boolean;
  /** It tells of the past of items, whatever they are now. */
  readonly isHistory: boolean;
  /** It burns down, by working days or by the clock. */
  readonly hasPace: boolean;
  /** In a word: what its figure's number is of. */
  readonly measureWords: (answer: A, report: Report, context: AskContext | null) => string;
  /** What it could mean, where its answer asks which. */
  readonly choices?: (report: R, answer: A, context: AskContext) => readonly MeaningChoice[];
  /** The trend in it that can be explored. */
  readonly trend: (report: R, answer: A) => Explored | null;
}

/** One of several things that a report could mean. */
export interface MeaningChoice {
  readonly label: string;
  readonly report: Report;
}

export interface Explored {
  readonly report: Trend;
  readonly answer: TrendAnswer;
}
