import { addDays } from "../time";
import { DAYS_AGO } from "./clauses/conditions";
import { FINISHED_STATE } from "./words/states";
import { isAboutOpen, OPEN, valueConditions, type Draft, type GroupSaid } from "./draft";
import type { Time, Times } from "./times";
import { REACHED } from "./words/fields";
import { ITEM_DATE, USUAL_DATE } from "./words/events";

/** The grain at which a stretch of so many days is told where none is said. */
const grainFor = (days: number): string => (days <= 14 ? "day" : days <= 100 ? "week" : "month");

/** What a question became: its sentence, and for the places of its words the parts of the sentence that they are. */
export interface Assembled {
  readonly sentence: string;
  readonly means: ReadonlyMap<number, string>;
}

/** Puts what a question said into a sentence. */
export function assembled(draft: Draft, times: Times): Assembled {
  const assembly = new Assembly(draft, times);
  return { sentence: assembly.sentence(), means: assembly.means };
}

class Assembly {
  private readonly subject: string;
  private readonly usual: string;
  private readonly used = new Set<Time>();
  readonly means = new Map<number, string>();

  constructor(
    private readonly draft: Draft,
    private readonly times: Times,
  ) {
    this.subject = draft.subject ?? "items";
    this.usual = USUAL_DATE[this.subject] ?? ITEM_DATE;
  }

  sentence(): string {
    switch (this.draft.history) {
      case "burndown":
        return this.burndown();
      case "velocity":
        return this.velocity();
      case "bridge":
        return this.bridge();
      case "crossings":
        return this.crossings();
      case "level":
        return this.level() ?? this.countOrList();
      case null:
        return this.isLevel() ? (this.level() ?? this.countOrList()) : this.countOrList();
    }
  }

  private burndown(): string {
    const { sprint, unit } = this.draft;
    const name = sprint === null ? "current" : quoted(sprint);
    return `burndown of sprint ${name}${unit ? ` in ${unit}` : ""}${this.shape()}`;
  }

  private velocity(): string {
    const { team, unit, sprints } = this.draft;
    const of = team === null || team === "my team" ? "my team" : quoted(team);
    const over = sprints === null ? "" : ` over last ${sprints} sprints`;
    return `velocity of team ${of}${unit ? ` in ${unit}` : ""}${over}${this.shape()}`;
  }

  /** From the end of the day before a period to the end of its last day, or to today. */
  private bridge(): string {
    const time = this.draft.times[0];
    const { today } = this.times;
    let [from, to] = [addDays(today, -30), today];
    if (time?.kind === "period") {
      const dates = this.times.dates(time.period);
      if (dates) [from, to] = [addDays(dates.from, -1), dates.to > today ? today : dates.to];
    } else if (time?.kind === "between") [from, to] = [addDays(time.first, -1), time.last];
    else if (time) [from, to] = [addDays(time.day, -1), today];
    if (time) this.used.add(time);
    return `bridge of ${this.subject}${this.where()} from ${from} to ${to}${this.shape()}`;
  }

  private crossings(): string {
    const { period, grain } = this.axis("last 3 months");
    const net = this.draft.net ? " with net" : "";
    return `arrivals and departures of ${this.subject}${this.where()} by ${grain} for ${period}${net}${this.shape()}`;
  }

  /** "open … per month", "at the end of each month": how many there were, not how many began. */
  private isLevel(): boolean {
    const { draft } = this;
    const isDated = draft.groups.some(
      ({ grain }) => grain && grain !== "hour" && grain !== "weekday",
    );
    return isDated && isAboutOpen(draft) && draft.events.length === 0 && draft.measure === null;
  }

  /** null where what develops is no level: what is created or finished is counted in its stretches. */
  private level(): string | null {
    const { draft } = this;
    if (
      draft.events.length > 0 ||
      (draft.measure !== null && !/^(?:average|median|sum of)/.test(draft.measure))
    )
      return this.dated();
    if (!isAboutOpen(draft)) draft.conditions.push({ text: OPEN, at: 10_000 });
    const { period, grain } = this.axis("last 12 months");
    const [split] = draft.groups.filter((group) => !group.grain);
    const measure = draft.measure ? `${draft.measure} of ` : "";
    const isDaily = grain === "day" ? "day" : grain;
    return `level of ${measure}${this.subject}${this.where()} at ${isDaily} ends for ${period}${split ? ` split by ${split.text}` : ""}${this.shape()}`;
  }

  /** A trend of what happens: in its stretches. */
  private dated(): null {
    const { draft } = this;
    if (draft.groups.some(({ grain }) => grain)) return null;
    const time = draft.times.find((one) => one.kind === "period");
    draft.groups.unshift({
      text: "grain",
      at: -1,
      splits: false,
      grain: grainFor(time?.kind === "period" ? time.days : 365),
    });
    if (!time)
      draft.times.push({ kind: "period", period: "last 12 months", days: 365, from: -1, to: -1 });
    return null;
  }

  /** The period and the grain of a report that runs along time. */
  private axis(without: string): { period: string; grain: string } {
    const { draft } = this;
    const time = draft.times.find((one) => one.kind === "period" || one.kind === "since");
    let [period, days] = [without, 365];
    if (time?.kind === "period") [period, days] = [time.period, time.days];
    if (time?.kind === "since") {
      const dates = this.sinceAsPeriod(time.day);
      [period, days] = [dates, 200];
    }
    if (time) this.used.add(time);
    const said = draft.groups.find(({ grain }) => grain && grain !== "hour" && grain !== "weekday");
    return { period, grain: said?.grain ?? grainFor(days) };
  }

  /** Since a day, as a period of the axis: from its month or day to the one that runs. */
  private sinceAsPeriod(day: string): string {
    const { today } = this.times;
    return day.endsWith("-01")
      ? `${day.slice(0, 7)} to ${today.slice(0, 7)}`
      : `${day} to ${today}`;
  }

  private countOrList(): string {
    const { draft } = this;
    const isCount =
      draft.asks === "count" ||
      draft.groups.length > 0 ||
      draft.measure !== null ||
      draft.isShare ||
      draft.compares ||
      (draft.asks === null && draft.times.some((time) => this.isStood(time))) ||
      draft.comparedWith !== null ||
      (draft.shape !== null && draft.shape !== "list");
    return isCount ? this.count() : this.list();
  }

  private list(): string {
    const { showing, sort } = this.draft;
    const columns = showing.length ? ` showing ${[this.firstColumn(), ...showing].join(", ")}` : "";
    return `list ${this.subject}${this.where()}${columns}${sort ? ` sorted by ${sort}` : ""}${this.stood()}`;
  }

  private firstColumn(): string {
    return this.subject === "projects" ? "project" : this.subject === "assets" ? "asset" : "key";
  }

  private count(): string {
    const { draft } = this;
    const compared = this.compared();
    const dateGroup = draft.groups.find(
      ({ grain }) => grain && grain !== "hour" && grain !== "weekday",
    );
    const axis =
      dateGroup && draft.times.find((time) => time.kind === "period" || time.kind === "since");
    let period = "";
    if (axis?.kind === "period") {
      this.used.add(axis);
      period = ` for ${axis.period}`;
      this.means.set(axis.from, `for ${axis.period}`);
    } else if (axis?.kind === "since") {
      this.used.add(axis);
      period = ` for ${this.sinceAsPeriod(axis.day)}`;
    }
    const measure = this.measure();
    const stood = this.stood();
    const where = draft.isShare ? "" : this.where();
    return `${measure}${where}${this.by()}${period}${compared}${stood}${this.shape()}`;
  }

  private measure(): string {
    const { draft, subject } = this;
    if (draft.isShare) return `count${this.where()} per count of ${subject}`;
    return draft.measure ? `${draft.measure} of ${subject}` : `count ${subject}`;
  }

  /** Of two periods said the running one is asked for and the one before it stands beside it. */
  private compared(): string {
    const { draft } = this;
    if (draft.comparedWith) return ` compared with ${draft.comparedWith}`;
    const periods = draft.times.filter((time) => time.kind === "period");
    if (!draft.compares && periods.length < 2) return "";
    const [one, two] = periods;
    if (two) {
      const rank = (period: string) =>
        /^(?:this|today)/.test(period) ? 2 : /^last|^yesterday/.test(period) ? 1 : 0;
      const [main, other] = rank(one.period) >= rank(two.period) ? [one, two] : [two, one];
      this.used.add(other);
      const running = /^this (?:week|month|quarter|year|fiscal year)$/.test(main.period)
        ? `${main.period} so far`
        : main.period;
      draft.times = draft.times.map((time) =>
        time === main ? { ...main, period: running } : time,
      );
    }
    return " compared with the period before";
  }

  private by(): string {
    const { draft } = this;
    const sorted = [...draft.groups].sort((a, b) => a.at - b.at);
    if (sorted.length === 0) return "";
    const text = (group: GroupSaid): string =>
      group.grain ? `${group.grain} of ${this.dateNear(group.at)}` : group.text;
    const firstSplit = sorted.findIndex(({ splits }, i) => i > 0 && splits);
    const by = firstSplit === -1 ? sorted : sorted.slice(0, firstSplit);
    const split = firstSplit === -1 ? undefined : sorted[firstSplit];
    const top = draft.top === null ? "" : ` top ${draft.top}`;
    for (const group of sorted)
      this.means.set(group.at, `${group === split ? "split by" : "by"} ${text(group)}`);
    const groups = by.map((group, i) => `${text(group)}${i === 0 ? top : ""}`).join(" then ");
    return ` by ${groups}${split ? ` split by ${text(split)}` : ""}`;
  }

  /** The date that is told of nearest to a place; the subject's usual one where none is said. */
  private dateNear(at: number): string {
    const near = [...this.draft.events].sort(
      (a, b) => Math.abs(a.at - at) - Math.abs(b.at - at),
    )[0];
    if (near) return near.date;
    return this.draft.measure?.includes("time") && this.subject !== "time entries"
      ? "finished"
      : this.usual;
  }

  private where(): string {
    const { draft } = this;
    const events = new Set(draft.events);
    const reached = REACHED[this.subject] ?? {};
    const values = draft.values.map((value) => ({
      ...value,
      field: reached[value.field] ?? value.field,
    }));
    const parts = [...draft.conditions, ...valueConditions(values)];
    for (const { text, at } of draft.conditions) this.means.set(at, this.withDays(text));
    for (const value of values)
      this.means.set(value.at, valueConditions(values.filter(({ at }) => at === value.at))[0].text);
    for (const time of draft.times) {
      if (this.used.has(time) || this.isStood(time)) continue;
      const date = this.dateNear(time.from);
      for (const event of events) if (event.date === date) events.delete(event);
      if (date === "due" && !parts.some(({ text }) => text === OPEN))
        parts.push({ text: OPEN, at: -1 });
      parts.push({ text: `${date} ${timeText(time)}`, at: time.from });
      this.means.set(time.from, `${date} ${timeText(time)}`);
      this.used.add(time);
    }
    const isDated = draft.groups.some(({ grain }) => grain) || this.draft.history !== null;
    if (!isDated && this.used.size === 0)
      for (const { date, at } of events)
        if (date === "finished") parts.push({ text: FINISHED_STATE, at });
    const texts = [
      ...new Set(parts.sort((a, b) => a.at - b.at).map(({ text }) => this.withDays(text))),
    ];
    return texts.length ? ` where ${texts.join(" and ")}` : "";
  }

  private withDays(text: string): string {
    const at = text.indexOf(DAYS_AGO);
    if (at === -1) return text;
    const days = Number.parseInt(text.slice(at + DAYS_AGO.length), 10);
    return `${text.slice(0, at)}${addDays(this.times.today, -days)}`;
  }

  /** A day on which something was open, or as of which it is asked: as it stood then. */
  private isStood(time: Time): boolean {
    if (time.kind === "as of") return true;
    return time.kind === "on" && isAboutOpen(this.draft) && this.draft.events.length === 0;
  }

  private stood(): string {
    const time = this.draft.times.find((one) => this.isStood(one));
    return time && "day" in time ? ` as it stood on ${time.day}` : "";
  }

  private shape(): string {
    return this.draft.shape ? ` as ${this.draft.shape}` : "";
  }
}

const quoted = (name: string): string => `"${name.replaceAll('"', '\\"')}"`;

function timeText(time: Time): string {
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
