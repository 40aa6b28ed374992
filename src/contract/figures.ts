import { ReportSchema } from "@/core/kinds/schemas";
import { DressSchema, SortSchema, SubjectSchema } from "@/core/definition/schemas";
import {
  type Report,
  type BurndownReport,
  type ShownHistory,
  type Shown,
  type ShownRecords,
  type ShownForecast,
} from "@/core/kinds";
import { WORK_UNITS, type Dress } from "@/core/definition";
import type { SubjectId } from "@/core/catalog";
import { type Value } from "@/core/filter";
import type { AccountLine, Cause } from "@/core/history";
import { act } from "./act";
import { type Workings } from "@/core/kinds/planned";
import { z } from "zod";

export const Opened = z.object({
  path: z.array(z.string()).max(3),
  split: z.string().optional(),
  measure: z.int().min(0).max(5).optional(),
  before: z.literal(true).optional(),
  record: z.int().optional(),
});

export type OpenedPart = z.infer<typeof Opened>;

export const Paths = z.array(z.array(z.string()).min(1).max(6)).max(40);

/** What the rooms ask the server, and what it answers; shared by both sides. */
export const FigureAsk = z.object({ definition: ReportSchema, dress: DressSchema });

export const RecordsAskSchema = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  showing: Paths,
  sorts: z.array(SortSchema).max(6),
  offset: z.int().min(0),
  limit: z.int().min(1).max(500),
});

export const WorkingsAsk = z.object({ definition: ReportSchema });

/** The values of a field among what a report counts, without the condition at `except`. */
export const ValuesAsk = z.object({
  definition: ReportSchema,
  field: z.array(z.string()).min(1),
  except: z.int().optional(),
  words: z.string().max(200).optional(),
});

export const CompareAsk = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  with: z.discriminatedUnion("kind", [
    z.object({ kind: z.literal("report"), id: z.int() }),
    z.object({ kind: z.literal("filter"), id: z.int() }),
    z.object({ kind: z.literal("sentence"), sentence: z.string().max(10_000) }),
    z.object({ kind: z.literal("keys"), text: z.string().max(200_000) }),
  ]),
});

export const QuickLookAsk = z.object({
  definition: ReportSchema,
  opened: Opened.optional(),
  field: z.array(z.string()).min(1),
});

export const ForecastAsk = z.object({ definition: ReportSchema });

/** A condition from outside a report: of a filter of the dashboard, or of a beam. */
export const NarrowingAsk = z.object({
  id: z.string().max(80),
  subject: SubjectSchema.shape.id,
  /** The condition in words. */
  says: z.string().max(4000),
});
export type NarrowingText = z.infer<typeof NarrowingAsk>;

/** `stood`: as it stood at the end of a day, where the report says no day of its own. */
export const TileAsk = z.object({
  report: z.int(),
  stood: z.iso.date().optional(),
  narrowed: z.array(NarrowingAsk).max(60).default([]),
});

/** What came into a tile's figure and left it since an instant. */
export const SinceAsk = z.object({
  report: z.int(),
  narrowed: z.array(NarrowingAsk).max(60).default([]),
  since: z.iso.datetime(),
});

/** How many are in a figure that were not, and how many were in it that are not any more; `says`: the sentence that tells them one by one. */
export interface ShownSince {
  readonly came: number;
  readonly left: number;
  /** The same in words; "" where nothing did. */
  readonly words: string;
  readonly says: string;
}

/** What stands beside a number: how it went stretch by stretch, the present last, and what it usually is. */
export interface ShownBeside {
  readonly trend: readonly number[];
  /** What the stretches are: "weeks". */
  readonly over: string;
  readonly usual: { readonly value: number; readonly rule: string } | null;
}

/** What a part of a figure says of its records. */
export const BeamAsk = z.object({ definition: ReportSchema, opened: Opened });

/** A beam: the condition of a part in words, and for a point of a level the day as of which. */
export interface ShownBeam {
  readonly subject: SubjectId;
  readonly says: string | null;
  readonly stood: string | null;
}

export const SprintAsk = z.object({
  sprint: z.int(),
  unit: z.enum(WORK_UNITS),
  stood: z.iso.date().optional(),
});

/** A value that a picker offers, with how many records it would give. */
export interface ValueLine {
  readonly value: Value;
  readonly label: string;
  readonly count: number;
  /** What tells two of one name apart. */
  readonly about?: string;
}

/** A condition that empties a figure, and how many there would be without it. */
export interface EmptiedBy {
  readonly index: number;
  readonly without: number;
}

/** Two sets of records held against each other, in words. */
export interface ShownComparison {
  readonly other: string;
  readonly both: number;
  readonly onlyHere: readonly { readonly key: string; readonly title: string }[];
  readonly onlyThere: readonly { readonly key: string; readonly title: string }[];
  readonly onlyHereCount: number;
  readonly onlyThereCount: number;
  readonly partedBy: readonly {
    readonly says: string;
    readonly side: "here" | "there";
    readonly fails: number;
  }[];
  readonly unknown: readonly string[];
}

/** Missing and doubled values of a field among some records. */
export interface QuickLook {
  readonly records: number;
  readonly missing: number;
  readonly different: number;
  readonly doubled: readonly { readonly value: string; readonly count: number }[];
}

/** A sprint among others; days are local ones. */
export interface SprintLine {
  readonly id: number;
  readonly name: string;
  readonly team: string | null;
  readonly teamId: number | null;
  readonly starts: string | null;
  readonly ends: string | null;
  readonly stage: "ahead" | "running" | "closed";
}

/** An item on a line of an account, or a step of it; `at`: when the step was. */
export interface SprintEntry {
  readonly key: string;
  readonly title: string;
  readonly at: number | null;
  /** Exact, in the unit; null where it is not estimated. */
  readonly amount: string | null;
  readonly assignee: string | null;
  readonly by: string | null;
  /** It remained at the closing of the sprint and left it then. */
  readonly isCarried: boolean;
}

/** A sprint as its room shows it: the burndown, its account line by line with the items on each, and every step. */
export interface ShownSprint {
  readonly definition: BurndownReport;
  readonly shown: ShownHistory;
  readonly account: readonly {
    readonly line: AccountLine;
    readonly entries: readonly SprintEntry[];
  }[];
  readonly steps: readonly (SprintEntry & {
    readonly at: number;
    readonly amount: string;
    readonly cause: Cause;
    readonly remaining: string;
  })[];
}

export const figureActs = {
  figure: act(FigureAsk).answers<Shown>(),
  records: act(RecordsAskSchema).answers<ShownRecords>(),
  workings: act(WorkingsAsk).answers<Workings>(),
  values: act(ValuesAsk).answers<ValueLine[]>(),
  /** Which conditions empty a figure. */
  emptied: act(WorkingsAsk).answers<EmptiedBy[]>(),
  compare: act(CompareAsk).answers<ShownComparison>(),
  quickLook: act(QuickLookAsk).answers<QuickLook>(),
  forecast: act(ForecastAsk).answers<ShownForecast>(),
  sprint: act(SprintAsk).answers<ShownSprint>(),
  tile: act(TileAsk).answers<ShownTile>(),
  /** Null where nothing can be told beside it. */
  beside: act(TileAsk).answers<ShownBeside | null>(),
  /** Null where it cannot be told: of what is no count of items. */
  since: act(SinceAsk).answers<ShownSince | null>(),
  /** The same of all that is open, narrowed. */
  boardSince: act(SinceAsk.omit({ report: true })).answers<ShownSince | null>(),
  /** What a part says, for other tiles; null for a part that no condition tells. */
  beam: act(BeamAsk).answers<ShownBeam | null>(),
};

/** A saved report answered for a tile. */
export interface ShownTile {
  readonly name: string;
  readonly definition: Report;
  readonly dress: Dress;
  readonly shown: Shown;
  /** Which of the conditions from outside it obeys. */
  readonly heard: readonly string[];
  /** Those that do not read any more, each with the reason. */
  readonly dropped: readonly { readonly id: string; readonly why: string }[];
}
