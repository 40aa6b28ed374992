import type { ReactNode } from "react";
import type { Report } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import type { Area } from "@/core/sentence";
import type { PickerProps } from "../pickers";

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

/** What a builder says one kind of report with. */
export interface BuilderKind<R extends Report> {
  /** What chooses each part of its sentence that not every kind has. */
  readonly pickers: { readonly [K in Area]?: Picker<R> };
  readonly additions: (report: R, context: AskContext) => readonly Addition<R>[];
}
