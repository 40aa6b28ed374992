import { quoted } from "../sentence";
import { addDays, addMonths } from "../time";
import { isAboutOpen, LAST, OPEN, type Draft, type GroupSaid, type Placed } from "./draft";
import { Placing, textsOf, whereText } from "./placing";
import type { Time, Times } from "./times";

/** The grain at which a stretch of so many days is told where none is said. */
const grainFor = (days: number): string => (days <= 14 ? "day" : days <= 100 ? "week" : "month");

/** What a question became: its sentence, and for the places of its words the parts of the sentence that they are. */
export interface Assembled {
  readonly sentence: string;
  readonly means: ReadonlyMap<number, string>;
  /** What was said and found no place in it, or may not be meant so. */
  readonly doubts: readonly string[];
}

/** Puts what a question said into a sentence. */
export function assembled(draft: Draft, times: Times): Assembled {
  const assembly = new Assembly(draft, times);
  const sentence = assembly.sentence();
  return { sentence, means: assembly.means, doubts: [...assembly.doubts, ...assembly.unplaced()] };
}

class Assembly extends Placing {
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
    const { sprint, unit, team } = this.draft;
    const isOwn = team === null || team === "my team";
    const current = isOwn ? "current" : `current of team ${quoted(team)}`;
    const name = sprint === null ? current : quoted(sprint);
    if (sprint !== null && team !== null) this.doubts.push("a sprint is of its own team");
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
    else if (time) {
      // "than at the end of September" is the end of that day; "since" is its beginning.
      from = time.kind === "as of" ? time.day : addDays(time.day, -1);
      const later = this.draft.times.find((one) => one !== time && one.kind === "as of");
      if (later && "day" in later) {
        to = later.day;
        this.used.add(later);
      }
    }
    if (time) this.used.add(time);
    return `bridge of ${this.measured()}${this.where()} from ${from} to ${to}${this.shape()}`;
  }

  private crossings(): string {
    const { period, grain } = this.axis("last 3 months");
    const net = this.draft.net ? " with net" : "";
    return `${this.draft.side ?? "arrivals and departures"} of ${this.measured()}${this.where()} by ${grain} for ${period}${net}${this.shape()}`;
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
    if (!isAboutOpen(draft)) draft.conditions.push({ text: OPEN, at: LAST });
    const { period, grain } = this.axis("last 12 months");
    const split = draft.groups.find((group) => !group.grain);
    if (split) this.place(split, `split by ${split.text}`);
    return `level of ${this.measured()}${this.where()} at ${grain} ends for ${period}${split ? ` split by ${split.text}` : ""}${this.shape()}`;
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
    if (said) this.place(said, `by ${said.text}`);
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
    this.used.add("sort").add("showing");
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
    // Groups first: a date that they tell of is no condition.
    const by = this.by();
    return `${this.counted()}${by}${period}${compared}${this.stood()}${this.shape()}`;
  }

  private counted(): string {
    const { draft, subject } = this;
    if (!draft.isShare) {
      if (!draft.measure) return `count ${subject}${this.where()}`;
      return `${this.measured()}${this.where()}`;
    }
    const [part, whole] = this.shared();
    if (part.length === 0) this.doubts.push("it is not said which share");
    return `count${whereText(part)} per count of ${subject}${whereText(whole)}`;
  }

  /** The conditions of a part, and those of all that it is a part of: what comes after "that", or else what a record has become. */
  private shared(): [part: string[], whole: string[]] {
    const { shareFrom, conditions } = this.draft;
    const states = new Set(conditions.filter(({ text }) => text !== OPEN).map(({ text }) => text));
    const isPart = ({ text, at }: Placed) =>
      at === LAST || (shareFrom === null ? states.has(text) : at >= shareFrom);
    const all = this.parts();
    return [textsOf(all.filter(isPart)), textsOf(all.filter((one) => !isPart(one)))];
  }

  /** Of two periods the later one is asked for; the other has to be the one before it, or the same a year earlier. */
  private compared(): string {
    const { draft } = this;
    this.used.add("compares");
    if (draft.comparedWith) return ` compared with ${draft.comparedWith}`;
    const periods = draft.times.filter((time) => time.kind === "period");
    if (!draft.compares && periods.length < 2) return "";
    const [main, other] = periods.sort((a, b) => (this.startOf(a) < this.startOf(b) ? 1 : -1));
    if (!other) return this.comparedThings();
    const how = this.relationOf(main, other);
    if (how === null) {
      this.doubts.push("the two times do not follow one another");
      return "";
    }
    this.used.add(other);
    // What is open is so at a day; of a stretch of time it does not say when.
    if (isAboutOpen(draft) && draft.events.length === 0)
      this.doubts.push("it is not said on which day they are open");
    const isRunning = /^this (?:week|month|quarter|year|fiscal year)$/.test(main.period);
    if (isRunning)
      draft.times = draft.times.map((time) =>
        time === main ? { ...main, period: `${main.period} so far` } : time,
      );
    return ` compared with ${how}`;
  }

  private startOf(time: Time): string {
    return (time.kind === "period" && this.times.dates(time.period)?.from) || "";
  }

  private relationOf(
    main: Time & { kind: "period" },
    other: Time & { kind: "period" },
  ): string | null {
    const [now, then] = [this.times.dates(main.period), this.times.dates(other.period)];
    if (!now || !then) return null;
    if (addDays(then.to, 1) === now.from && main.days === other.days) return "the period before";
    return then.from === addMonths(now.from, -12) && main.days === other.days
      ? "a year earlier"
      : null;
  }

  /** "compare A with B": what is compared is the groups. */
  private comparedThings(): string {
    const { values, groups } = this.draft;
    const fields = values.filter(({ isNot }) => !isNot).map(({ field }) => field);
    const field = fields.find((one, i) => fields.indexOf(one) !== i);
    if (field === undefined) this.used.delete("compares");
    else if (!groups.some(({ text }) => text === field))
      groups.push({ text: field, at: LAST, splits: groups.length > 0 });
    return "";
  }

  private by(): string {
    const { draft } = this;
    const sorted = [...draft.groups].sort((a, b) => a.at - b.at);
    if (sorted.length === 0) return "";
    const text = (group: GroupSaid): string =>
      group.grain ? `${group.grain} of ${this.dateNear(group.at)}` : group.text;
    const last = sorted[sorted.length - 1];
    const split = sorted.length > 1 && last.splits ? last : undefined;
    for (const group of sorted)
      this.place(group, `${group === split ? "split by" : "by"} ${text(group)}`);
    this.used.add("top");
    const top = draft.top === null ? "" : ` top ${draft.top}`;
    const by = sorted
      .filter((group) => group !== split)
      .map((group, i) => `${text(group)}${i === 0 ? top : ""}`);
    return ` by ${by.join(" then ")}${split ? ` split by ${text(split)}` : ""}`;
  }
}
