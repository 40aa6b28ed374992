import { addDays } from "../time";
import { DAYS_AGO } from "./clauses/amounts";
import {
  isAboutOpen,
  LAST,
  OPEN,
  valueConditions,
  type Draft,
  type GroupSaid,
  type Placed,
} from "./draft";
import type { Time, Times } from "./times";
import { ITEM_DATE, USUAL_DATE } from "./words/events";
import { reachedBy, SUBJECTS_ALONE } from "./words/fields";
import { FINISHED_STATE } from "./words/states";

/** The parts of a question as they find their places in a sentence, and those that find none. */
export abstract class Placing {
  protected readonly subject: string;
  protected readonly usual: string;
  protected readonly isOfItems: boolean;

  /** What has its place in the sentence. */
  protected readonly used = new Set<Time | GroupSaid | keyof Draft>();

  /** The dates of events that a time or a group tells of. */
  protected readonly told = new Set<string>();

  readonly doubts: string[] = [];
  readonly means = new Map<number, string>();

  constructor(
    protected readonly draft: Draft,
    protected readonly times: Times,
  ) {
    this.subject = draft.subject ?? "items";
    this.isOfItems = !SUBJECTS_ALONE.has(this.subject);
    this.usual = USUAL_DATE[this.subject] ?? ITEM_DATE;
  }

  /** What was said and has no place: never left out in silence. */
  unplaced(): string[] {
    const { draft, used } = this;
    const told = (part: keyof Draft, words: string | number | null) =>
      words !== null && words !== "" && !used.has(part) ? [`"${words}" finds no place`] : [];
    return [
      ...draft.groups
        .filter((one) => !used.has(one))
        .map((one) => `"by ${one.text}" finds no place`),
      ...draft.times
        .filter((one) => !used.has(one))
        .map((one) => `"${timeText(one)}" finds no place`),
      ...(used.has("conditions")
        ? []
        : [...draft.conditions, ...valueConditions(draft.values)].map(
            ({ text }) => `"${text}" finds no place`,
          )),
      ...told("top", draft.top),
      ...told("sort", draft.sort),
      ...told("measure", draft.measure),
      ...told("showing", draft.showing.join(", ")),
      ...(draft.compares && !used.has("compares") ? ["it is not said what is compared"] : []),
    ];
  }

  /** What moves or stands: the records, or an amount of them. */
  protected measured(): string {
    if (!this.draft.measure) return this.subject;
    this.used.add("measure");
    return `${this.draft.measure} of ${this.subject}`;
  }

  protected place(group: GroupSaid, words: string): void {
    this.used.add(group);
    this.means.set(group.at, words);
  }

  /** The date that is told of nearest to a place; the subject's usual one where none is said. */
  protected dateNear(at: number): string {
    const near = [...this.draft.events].sort(
      (a, b) => Math.abs(a.at - at) - Math.abs(b.at - at),
    )[0];
    if (near) {
      this.told.add(near.date);
      return near.date;
    }
    return this.draft.measure?.includes("time") && this.subject !== "time entries"
      ? "finished"
      : this.usual;
  }

  protected where(): string {
    return whereText(textsOf(this.parts()));
  }

  /** Everything that records are asked to be, with the times that have no other place. */
  protected parts(): Placed[] {
    const { draft } = this;
    this.used.add("conditions");
    const reached = reachedBy(this.subject);
    const values = draft.values.map((value) => ({
      ...value,
      field: reached[value.field] ?? value.field,
    }));
    const parts = [
      ...draft.conditions.map(({ text, at }) => ({ text: this.withDays(text), at })),
      ...valueConditions(values),
    ];
    if (!this.isOfItems) {
      const isDue = parts.some(({ text }) => text.startsWith("due before"));
      if (draft.conditions.some(({ text, at }) => text === OPEN && at !== LAST))
        this.doubts.push("only items are open or finished");
      const kept = parts.filter(({ text }) => text !== OPEN);
      if (isDue && this.subject === "milestones") kept.push({ text: "reached is empty", at: LAST });
      parts.splice(0, parts.length, ...kept);
    }
    for (const { text, at } of parts) this.means.set(at, text);
    for (const { at } of values)
      this.means.set(at, valueConditions(values.filter((one) => one.at === at))[0].text);
    for (const time of draft.times) {
      if (this.used.has(time) || this.isStood(time)) continue;
      this.used.add(time);
      if (draft.events.length === 0 && this.tellsBecame(time, parts)) continue;
      const date = this.dateNear(time.from);
      // Of what somebody is, such as overdue, a time alone does not say what happened then.
      if (draft.events.length === 0 && draft.conditions.some(({ at }) => at === LAST))
        this.doubts.push(`it is not said what happened ${timeText(time)}`);
      if (date === "due" && this.isOfItems && !parts.some(({ text }) => text === OPEN))
        parts.push({ text: OPEN, at: -1 });
      parts.push({ text: `${date} ${timeText(time)}`, at: time.from });
      this.means.set(time.from, `${date} ${timeText(time)}`);
    }
    // Whatever was finished is so by its status, where no time tells when.
    for (const { date, at } of draft.events)
      if (date === "finished" && !this.told.has(date)) parts.push({ text: FINISHED_STATE, at });
    const texts = new Set(parts.map(({ text }) => text));
    if (texts.has(OPEN) && texts.has(FINISHED_STATE))
      this.doubts.push("nothing is open and finished at once");
    return parts.sort((a, b) => a.at - b.at);
  }

  /** "moved to Signed off last week": when it became so. */
  protected tellsBecame(time: Time, parts: Placed[]): boolean {
    const at = parts.findIndex(({ text }) => / became /.test(text) && !/ during /.test(text));
    if (at === -1 || time.kind !== "period") return false;
    parts[at] = { ...parts[at], text: `${parts[at].text} ${timeText(time)}` };
    return true;
  }

  protected withDays(text: string): string {
    const at = text.indexOf(DAYS_AGO);
    if (at === -1) return text;
    const days = Number.parseInt(text.slice(at + DAYS_AGO.length), 10);
    return `${text.slice(0, at)}${addDays(this.times.today, -days)}`;
  }

  /** A day on which something was open, or as of which it is asked: as it stood then. */
  protected isStood(time: Time): boolean {
    if (time.kind === "as of") return true;
    return time.kind === "on" && isAboutOpen(this.draft) && this.draft.events.length === 0;
  }

  protected stood(): string {
    const time = this.draft.times.find((one) => this.isStood(one));
    if (time) this.used.add(time);
    return time && "day" in time ? ` as it stood on ${time.day}` : "";
  }

  protected shape(): string {
    return this.draft.shape ? ` as ${this.draft.shape}` : "";
  }
}

export const textsOf = (parts: readonly Placed[]): string[] => [
  ...new Set(parts.map(({ text }) => text)),
];
export const whereText = (texts: readonly string[]): string =>
  texts.length ? ` where ${texts.join(" and ")}` : "";

export function timeText(time: Time): string {
  switch (time.kind) {
    case "period":
      return `during ${time.period}`;
    case "between":
      return `between ${time.first} and ${time.last}`;
    case "on":
    case "as of":
      return `on ${time.day}`;
    default:
      return `${time.kind} ${time.day}`;
  }
}
