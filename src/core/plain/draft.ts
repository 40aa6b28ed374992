import { nameText } from "../sentence";
import type { Time } from "./times";

/** A part with the place where it was said: the order of a question is the order of its groups and conditions. */
export interface Placed {
  readonly text: string;
  readonly at: number;
}
export interface GroupSaid extends Placed {
  /** It parts each of the groups before it, as "split by" and "broken down by" do. */
  readonly splits: boolean;
  /** A stretch of time: its date comes from what is said to happen. */
  readonly grain?: string;
}
export interface Value {
  readonly field: string;
  readonly value: string;
  readonly isNot: boolean;
  readonly at: number;
}

/** What a question has said so far, before it is put into a sentence. */
export interface Draft {
  asks: "count" | "list" | null;
  history: "level" | "crossings" | "bridge" | "burndown" | "velocity" | null;
  subject: string | null;
  measure: string | null;
  /** A part of its records, as a share of them. */
  isShare: boolean;
  /** Where it begins to say which part: "that missed …"; null where nothing marks it. */
  shareFrom: number | null;
  conditions: Placed[];
  values: Value[];
  groups: GroupSaid[];
  times: Time[];
  /** Dates that are told of, by where. */
  events: { readonly date: string; readonly at: number }[];
  shape: string | null;
  top: number | null;
  sort: string | null;
  showing: string[];
  compares: boolean;
  comparedWith: string | null;
  /** Of sprints: which, in what. */
  sprint: string | null;
  team: string | null;
  unit: string | null;
  sprints: number | null;
  net: boolean;
  /** Of arrivals and departures, the one of them. */
  side: string | null;
  /** Why what was read may not be what was meant. */
  doubts: string[];
}

export const emptyDraft = (): Draft => ({
  asks: null,
  history: null,
  subject: null,
  measure: null,
  isShare: false,
  shareFrom: null,
  conditions: [],
  values: [],
  groups: [],
  times: [],
  events: [],
  shape: null,
  top: null,
  sort: null,
  showing: [],
  compares: false,
  comparedWith: null,
  sprint: null,
  team: null,
  unit: null,
  sprints: null,
  net: false,
  side: null,
  doubts: [],
});

/** The place of what is added to all that was said. */
export const LAST = 10_000;
export const OPEN = "status is open";
export const isAboutOpen = ({ conditions }: Draft): boolean =>
  conditions.some(({ text }) => text === OPEN);

/** Values of one field are one or another of them; several that are excluded are none of them. */
export function valueConditions(values: readonly Value[]): Placed[] {
  const groups = new Map<string, Value[]>();
  for (const value of values) {
    const key = `${value.field}/${value.isNot}`;
    groups.set(key, [...(groups.get(key) ?? []), value]);
  }
  return [...groups.values()].map((list) => {
    const [{ field, isNot, at }] = list;
    const names = [
      ...new Set(list.map(({ value }) => (VALUE_WORDS.has(value) ? value : nameText(value)))),
    ];
    const isMany = field === "tags" || field === "followers";
    const several = `(${names.join(", ")})`;
    const test =
      names.length === 1
        ? isMany
          ? isNot
            ? `include none of (${names[0]})`
            : `include ${names[0]}`
          : `is ${isNot ? "not " : ""}${names[0]}`
        : isMany
          ? `include ${isNot ? "none" : "any"} of ${several}`
          : `is ${isNot ? "none" : "any"} of ${several}`;
    return { text: `${field} ${test}`, at };
  });
}

/** Values that are words of the sentence and no names. */
const VALUE_WORDS: ReadonlySet<string> = new Set([
  "me",
  "my team",
  "my teams",
  "my projects",
  "current",
]);
