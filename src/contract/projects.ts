import { z } from "zod";
import type { ShownTile } from "./figures";
import type { ReadPart } from "./briefings";
import { act } from "./act";

const HERE = z.strictObject({
  thing: z.enum(["project", "sprint", "release", "team"]),
  id: z.int(),
});
const Day = z.iso.date();
/** The days that a project lies between. */
const Span = z.strictObject({ starts: Day.nullable(), ends: Day.nullable() });
const Percent = z
  .string()
  .regex(/^\d{1,3}([.,]\d{1,4})?$/, "a number from 0 to 100 is needed here")
  .transform((text) => text.replace(",", "."))
  .refine((text) => Number(text) <= 100, "a percentage is at most 100");
/** A percentage as it was answered. */
const Seen = z.string().max(12).nullable();
const Words = z.string().trim().max(2_000);

/** A milestone as its manager keeps it. */
export interface MilestoneLine {
  readonly id: number;
  readonly name: string;
  readonly baseline: string | null;
  readonly due: string | null;
  readonly reached: string | null;
}

export interface ProgressLine {
  readonly on: string;
  readonly planned: string | null;
  readonly actual: string | null;
}

/** A weekly word of somebody. */
export interface WordLine {
  readonly person: string;
  readonly isMine: boolean;
  /** "2026-W47". */
  readonly week: string;
  readonly begins: string;
  readonly health: string | null;
  readonly done: string | null;
  readonly next: string | null;
  readonly worry: string | null;
  readonly handedInAt: string | null;
}

/** Everything that a project's room shows beside its figures. */
export interface ShownProject {
  readonly id: number;
  readonly name: string;
  /** The overview's texts and lists, made as those of a briefing. */
  readonly parts: readonly ReadPart[];
  readonly manager: { readonly id: number; readonly name: string } | null;
  /** Which teams see it; none: everybody does. */
  readonly teams: readonly string[];
  readonly type: string | null;
  readonly span: { readonly from: string; readonly to: string } | null;
  /** It may be entered how far it is, and when things are due: by its manager and administrators. */
  readonly mayLead: boolean;
  /** A weekly word may be handed in. */
  readonly maySay: boolean;
  readonly seesMoney: boolean;
  readonly healthWords: readonly string[];
  readonly today: string;
  readonly openItems: number;
}

/** What lies on a timeline: a project as a whole, an item with a due date, a milestone. Days are local ones. */
export interface TimelinePart {
  readonly kind: "project" | "item" | "milestone";
  /** The key of an item; of others their identity. */
  readonly id: string;
  readonly title: string;
  /** When work on it began; null: not yet. */
  readonly from: string | null;
  readonly due: string | null;
  /** The due date as it is kept, for a change to say what it saw. */
  readonly kept: string | null;
  /** The first date that was ever agreed. */
  readonly plan: string | null;
  /** When it was finished or reached. */
  readonly done: string | null;
  readonly mayMove: boolean;
}

export interface TimelineProject {
  readonly id: number;
  readonly name: string;
  readonly starts: string | null;
  readonly ends: string | null;
  readonly started: string | null;
  readonly finished: string | null;
  readonly percent: string | null;
  readonly mayMove: boolean;
  readonly parts: readonly TimelinePart[];
}

export interface ShownTimeline {
  readonly projects: readonly TimelineProject[];
  /** Which item holds up which. */
  readonly holds: readonly (readonly [string, string])[];
  readonly holidays: readonly { readonly day: string; readonly name: string }[];
  /** Weekdays on which nobody works, 1 = Monday. */
  readonly off: readonly number[];
  /** More parts than can be drawn. */
  readonly more: number;
}

/** What a moved project took along, as it can be taken back, and what it left with the reason. */
export interface ProjectMoved {
  readonly items: readonly {
    readonly key: string;
    readonly from: string | null;
    readonly to: string | null;
  }[];
  readonly milestones: readonly {
    readonly id: number;
    readonly from: string;
    readonly to: string;
  }[];
  readonly left: readonly { readonly key: string; readonly why: string }[];
}

/** A week that a manager owes a word for, and whether they were reminded. */
export interface OwedLine {
  readonly project: number;
  readonly name: string;
  readonly manager: string | null;
  readonly week: string;
  readonly begins: string;
  readonly remindedAt: string | null;
}

export const projectActs = {
  /** Answers a sentence as it is meant in the room of a thing. */
  says: act(
    z.strictObject({
      says: z.string().min(1).max(4_000),
      here: HERE.optional(),
      stood: Day.optional(),
      /** How many records of a list. */
      rows: z.int().min(1).max(500).optional(),
    }),
  ).answers<ShownTile>(),
  project: act(z.strictObject({ project: z.int(), stood: Day.optional() })).answers<ShownProject>(),
  timeline: act(
    z.strictObject({ projects: z.array(z.int()).max(500), stood: Day.optional() }),
  ).answers<ShownTimeline>(),
  /** Moves a project's own days, and with them those of its parts that are named; all as they were seen, in one act. */
  moveProject: act(
    z.strictObject({
      project: z.int(),
      was: Span,
      to: Span,
      items: z
        .array(
          z.strictObject({
            key: z.string().max(100),
            to: z.string().max(40).nullable(),
            expected: z.string().max(40).nullable(),
          }),
        )
        .max(500),
      milestones: z.array(z.strictObject({ id: z.int(), to: Day, expected: Day })).max(500),
    }),
  ).answers<ProjectMoved>(),
  milestones: act(z.strictObject({ project: z.int() })).answers<MilestoneLine[]>(),
  saveMilestone: act(
    z.strictObject({
      project: z.int(),
      /** The one that is changed, as it was seen; nothing: a new one. */
      was: z
        .strictObject({
          id: z.int(),
          name: z.string().max(200),
          due: Day.nullable(),
          reached: Day.nullable(),
        })
        .optional(),
      name: z.string().trim().min(1, "a milestone needs a name").max(200),
      due: Day.nullable(),
      reached: Day.nullable(),
    }),
  ).answers<number>(),
  dropMilestone: act(z.strictObject({ project: z.int(), id: z.int() })).answers<true>(),
  progress: act(z.strictObject({ project: z.int() })).answers<ProgressLine[]>(),
  saveProgress: act(
    z.strictObject({
      project: z.int(),
      on: Day,
      /** What is not given stays as it is; null takes it away. */
      actual: Percent.nullable().optional(),
      planned: Percent.nullable().optional(),
      /** What stood there for that day, as it was seen; null: nothing. */
      was: z.strictObject({ actual: Seen, planned: Seen }).nullable(),
    }),
  ).answers<true>(),
  weeklyWords: act(z.strictObject({ project: z.int() })).answers<WordLine[]>(),
  handInWord: act(
    z.strictObject({
      project: z.int(),
      week: z.string().regex(/^\d{4}-W\d\d$/),
      health: z.string().max(60).nullable(),
      done: Words,
      next: Words,
      worry: Words,
    }),
  ).answers<true>(),
  /** The weeks that managers owe a word for, of the projects that one sees. */
  owed: act(z.strictObject({ project: z.int().optional() })).answers<OwedLine[]>(),
  /** Sends a mail to the manager; once for each week. */
  remind: act(
    z.strictObject({ project: z.int(), week: z.string().regex(/^\d{4}-W\d\d$/) }),
  ).answers<{ readonly to: string }>(),
};
