import { Exact } from "@/core/base";
import { addDays, localDay, parseInstant, weekdayOf, type Day } from "@/core/time";
import type { Row, Tables } from "../support/randomMoney";

/**
 * What projects come to, worked out row by row from the files, without SQL and without the code that plans: the other half of
 * the comparison. Money in the currency's units; null is "empty".
 */
const ZONE = "Europe/Lisbon";
export const TODAY: Day = "2026-11-24";
const HOLIDAYS = ["2026-01-01", "2026-05-01", "2026-11-05", "2026-12-25"];
const WEEK = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
const ZERO = new Exact(0);

export type Money = InstanceType<typeof Exact> | null;

const isWorking = (day: Day): boolean => weekdayOf(day) <= 5 && !HOLIDAYS.includes(day);
const daysOf = (from: Day, to: Day): Day[] => {
  const days: Day[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) days.push(day);
  return days;
};
const monthEnd = (month: string): Day => {
  const [year, number] = month.split("-").map(Number);
  return addDays(
    number === 12 ? `${year + 1}-01-01` : `${year}-${String(number + 1).padStart(2, "0")}-01`,
    -1,
  );
};

/** Of some days, the share that has passed by the end of a day: by working days, where there are none by days. */
function passed(days: readonly Day[], until: Day): Money {
  const counted = days.some(isWorking) ? days.filter(isWorking) : days;
  return new Exact(counted.filter((day) => day <= until).length).div(counted.length);
}

const sum = (amounts: readonly Money[]) =>
  amounts.reduce((all: InstanceType<typeof Exact>, one) => all.plus(one ?? 0), ZERO);
const cents = (amount: InstanceType<typeof Exact>) =>
  amount.toDecimalPlaces(2, Exact.ROUND_HALF_UP);
const ratio = (top: Money, bottom: Money, times = 1): Money =>
  top === null || bottom === null || bottom.lte(0) ? null : top.div(bottom).times(times);
const less = (one: Money, other: Money): Money =>
  one === null || other === null ? null : one.minus(other);
const atLeast0 = (one: Money): Money => (one === null ? null : Exact.max(0, one));

interface Entry {
  readonly project: string;
  readonly on: Day;
  readonly amount: InstanceType<typeof Exact>;
  readonly isBillable: boolean;
}

export class PlainMoney {
  /** @param stood the day at whose end it is asked; nothing: now */
  constructor(
    private readonly tables: Tables,
    private readonly stood: Day | null = null,
  ) {}

  private rows(id: keyof Tables): readonly Row[] {
    return this.tables[id] ?? [];
  }

  private get today(): Day {
    return this.stood ?? TODAY;
  }

  /** Whether something had happened by the day that is asked for: of now, whenever it did. */
  private wasBy(at: string | undefined, otherwise: Day | null): boolean {
    const day = at ? localDay(parseInstant(at)!, ZONE) : otherwise;
    return day !== null && day <= this.today;
  }

  private isThere({ booked_at, deleted_at, on }: Row): boolean {
    if (deleted_at && this.wasBy(deleted_at, null)) return false;
    return this.stood === null || this.wasBy(booked_at, on);
  }

  /** The rate of a person on a day: of the project before the general one, of these the latest. */
  private rateOf(kind: "rate" | "cost_rate", person: string, project: string, on: Day): Money {
    const known = this.rows("rates").filter(
      (row) => row.person === person && row[kind] && (!row.from || row.from <= on),
    );
    const latest = (rows: readonly Row[]) =>
      [...rows].sort((a, b) => (a.from < b.from ? 1 : -1))[0]?.[kind];
    const found =
      latest(known.filter((row) => row.project === project)) ??
      latest(known.filter((row) => !row.project));
    return found ? new Exact(found) : null;
  }

  /** Time entries that are there, with their project, cost and billable value. */
  private times() {
    return this.rows("time_entries")
      .filter((row) => this.isThere(row))
      .flatMap((row) => {
        const item = this.rows("items").find((one) => one.key === row.key);
        if (item?.deleted_at && this.wasBy(item.deleted_at, null)) return [];
        const project = row.project || item?.project || "";
        const rate = row.rate
          ? new Exact(row.rate)
          : this.rateOf("rate", row.person, project, row.on);
        const costRate = this.rateOf("cost_rate", row.person, project, row.on);
        const worth = (at: Money): Money =>
          at === null ? null : cents(at.times(row.minutes).div(60));
        const isBillable = row.billable === "yes";
        return [
          {
            ...row,
            project,
            on: row.on,
            person: row.person,
            minutes: Number(row.minutes),
            isBillable,
            value: isBillable ? worth(rate) : null,
            cost: worth(costRate),
          },
        ];
      });
  }

  /** The cost entries that are there: those of the file, and one for each time entry with a cost. */
  costs(): Entry[] {
    const own = this.rows("cost_entries")
      .filter((row) => this.isThere(row))
      .map((row) => ({
        project: row.project,
        on: row.on,
        amount: new Exact(row.amount),
        isBillable: row.billable === "yes",
      }));
    const labour = this.times().flatMap(({ project, on, cost }) =>
      cost === null ? [] : [{ project, on, amount: cost, isBillable: false }],
    );
    return [...own, ...labour];
  }

  costUntil(project: string, day: Day) {
    return sum(
      this.costs()
        .filter((entry) => entry.project === project && entry.on <= day)
        .map(({ amount }) => amount),
    );
  }

  /** The plan in force: of each project, month and category what was planned last. */
  private plan() {
    const inForce = new Map<string, Row>();
    const known = this.rows("planned_costs")
      .filter((row) => !row.planned_on || row.planned_on <= this.today)
      .sort((a, b) => (a.planned_on < b.planned_on ? -1 : a.planned_on > b.planned_on ? 1 : 0));
    for (const row of known) inForce.set(`${row.project}|${row.month}|${row.category}`, row);
    return [...inForce.values()].map((row) => ({
      project: row.project,
      month: row.month,
      amount: new Exact(row.amount),
    }));
  }

  /** Of a month's plan, what falls until the end of a day. */
  private plannedPart(month: string, until: Day) {
    return passed(daysOf(`${month}-01`, monthEnd(month)), until)!;
  }

  plannedUntil(project: string, day: Day) {
    return sum(
      this.plan()
        .filter((row) => row.project === project)
        .map((row) => row.amount.times(this.plannedPart(row.month, day))),
    );
  }

  /** What a project comes to by the end of a month: what was spent, and of each month the larger of its plan and its entries, both after today. */
  projectedUntil(project: Row, month: string) {
    const { project: name } = project;
    const ahead = (of: string) =>
      sum(
        this.costs()
          .filter(
            (entry) => entry.project === name && entry.on > this.today && entry.on.startsWith(of),
          )
          .map(({ amount }) => amount),
      );
    const planned = (of: string) =>
      sum(
        this.plan()
          .filter((row) => row.project === name && row.month === of)
          .map((row) => row.amount.times(new Exact(1).minus(this.plannedPart(of, this.today)))),
      );
    const months = new Set([
      ...this.plan().map((row) => row.month),
      ...this.costs().map((entry) => entry.on.slice(0, 7)),
    ]);
    const toCome = [...months]
      .filter((of) => of >= this.today.slice(0, 7) && of <= month)
      .map((of) => (this.finishedOf(project) ? ahead(of) : Exact.max(planned(of), ahead(of))));
    return this.costUntil(name, this.today).plus(sum(toCome));
  }

  private finishedOf({ finished_on }: Row): Day | null {
    return finished_on && finished_on <= this.today ? finished_on : null;
  }

  private startedOf({ started_on, starts_on }: Row): Day | null {
    const day = started_on || starts_on;
    return day && day <= this.today ? day : null;
  }

  budgetOn({ project, budget }: Row, day: Day): Money {
    const changes = this.rows("budget_changes")
      .filter((row) => row.project === project)
      .sort((a, b) => (a.on < b.on ? -1 : 1));
    const last = changes.filter((row) => row.on <= day).at(-1);
    const text = last?.to ?? changes[0]?.from ?? budget;
    return text ? new Exact(text) : null;
  }

  private progressOf(project: string): readonly Row[] {
    return this.rows("progress")
      .filter((row) => row.project === project)
      .sort((a, b) => (a.on < b.on ? -1 : 1));
  }

  private actualPoint(project: string): Row | undefined {
    return this.progressOf(project)
      .filter((row) => row.actual_percent && row.on <= this.today)
      .at(-1);
  }

  private plannedPercent({ project, starts_on }: Row, day: Day): Money {
    const points = this.progressOf(project)
      .filter((row) => row.planned_percent)
      .map((row) => ({ on: row.on, percent: new Exact(row.planned_percent) }));
    if (points.length === 0) return null;
    const next = points.find((point) => point.on >= day);
    if (!next) return points.at(-1)!.percent;
    const before = points.filter((point) => point.on < day).at(-1);
    if (!before && (!starts_on || day < starts_on)) return next.on === day ? next.percent : ZERO;
    const from = before ?? { on: addDays(starts_on, -1), percent: ZERO };
    const stretch = daysOf(addDays(from.on, 1), next.on);
    return from.percent.plus(next.percent.minus(from.percent).times(passed(stretch, day)!));
  }

  /** Every figure of a project, by the words of its field. */
  figuresOf(project: Row): Record<string, Money | string> {
    const { project: name } = project;
    const budget = this.budgetOn(project, this.today);
    const actualCost = this.costUntil(name, this.today);
    const plan = this.plan().filter((row) => row.project === name);
    // A project without a plan does not plan 0.
    const hasPlan = plan.length > 0;
    const projected = this.projectedUntil(project, "9999-12");
    const point = this.actualPoint(name);
    const actualPercent = point ? new Exact(point.actual_percent) : null;
    const statusDate = (point?.on ?? null) as Day | null;
    const plannedPercent = this.plannedPercent(project, statusDate ?? this.today);
    const billing = project.billing || (project.client ? "time" : "none");
    const revenue = this.revenueOf(project, billing, actualPercent);
    const billed =
      billing === "none"
        ? null
        : sum(
            this.rows("billings")
              .filter((row) => row.project === name && row.on <= this.today)
              .map((row) => new Exact(row.amount)),
          );
    const margin = less(revenue, actualCost);
    const isValued =
      budget !== null && budget.gt(0) && actualPercent !== null && plannedPercent !== null;
    const plannedValue = isValued ? budget.times(plannedPercent).div(100) : null;
    const earned = isValued ? budget.times(actualPercent).div(100) : null;
    const statusCost = isValued ? this.costUntil(name, statusDate!) : null;
    const index = ratio(earned, statusCost);
    const estimate = ratio(budget, index);
    return {
      budget,
      "actual cost": actualCost,
      "planned cost": hasPlan ? sum(plan.map((row) => row.amount)) : null,
      "planned to date": hasPlan ? this.plannedUntil(name, this.today) : null,
      "projected cost": projected,
      overrun: less(projected, budget),
      "budget left": less(budget, actualCost),
      "budget used": ratio(actualCost, budget, 100),
      revenue,
      billed,
      unbilled: atLeast0(less(revenue, billed)),
      "billed ahead": atLeast0(less(billed, revenue)),
      margin,
      "margin percent": ratio(margin, revenue, 100),
      "billing efficiency": ratio(billed, revenue, 100),
      "actual percent": actualPercent,
      "planned percent": plannedPercent,
      "schedule gap": less(actualPercent, plannedPercent),
      "planned value": plannedValue,
      "earned value": earned,
      "status cost": statusCost,
      "cost variance": less(earned, statusCost),
      "schedule variance": less(earned, plannedValue),
      "cost performance index": index,
      "estimate at completion": isValued ? estimate : null,
      "variance at completion": isValued ? less(budget, estimate) : null,
      "schedule performance index": ratio(actualPercent, plannedPercent),
      "cost verdict": this.costVerdict(projected, budget),
      "schedule verdict": this.scheduleVerdict(project, statusDate, actualPercent, plannedPercent),
      stage: this.finishedOf(project)
        ? "finished"
        : this.startedOf(project)
          ? "under way"
          : "waiting",
    };
  }

  private revenueOf({ project, price }: Row, billing: string, actual: Money): Money {
    if (billing === "none") return null;
    if (billing === "fixed")
      return price && actual !== null ? cents(new Exact(price).times(actual).div(100)) : null;
    const worked = this.times().filter((one) => one.project === project && one.on <= this.today);
    const costs = this.costs().filter(
      (one) => one.project === project && one.on <= this.today && one.isBillable,
    );
    return sum([...worked.map(({ value }) => value), ...costs.map(({ amount }) => amount)]);
  }

  private costVerdict(projected: Money, budget: Money): string {
    const share = ratio(projected, budget, 100);
    if (share === null) return "";
    return share.lte(100) ? "within budget" : share.lte(110) ? "tight" : "over budget";
  }

  private scheduleVerdict(project: Row, status: Day | null, actual: Money, planned: Money): string {
    if (this.finishedOf(project)) return "finished";
    const started = this.startedOf(project);
    if (!started) return "";
    if (project.ends_on && project.ends_on < this.today) return "late";
    if (addDays(status ?? started, 31) < this.today) return "no news";
    const gap = less(actual, planned);
    if (gap === null) return "";
    return gap.gte(-5) ? "on time" : gap.gte(-15) ? "at risk" : "late";
  }

  /** What somebody can work on a day, in minutes, before absences and after them. */
  capacityOf(person: Row, day: Day) {
    const weekday = WEEK[weekdayOf(day) - 1];
    const change = this.rows("capacities")
      .filter((row) => row.person === person.login && (!row.from || row.from <= day))
      .sort((a, b) => (a.from < b.from ? -1 : 1))
      .at(-1);
    const days = change?.working_days || person.working_days || "Mon;Tue;Wed;Thu;Fri";
    const minutes = change?.minutes_a_day || person.capacity_minutes_a_day || "480";
    const isHere =
      (!person.joined_on || person.joined_on <= day) && (!person.left_on || day <= person.left_on);
    if (!isHere || HOLIDAYS.includes(day) || !days.split(";").includes(weekday)) return ZERO;
    const away = sum(
      this.rows("absences")
        .filter((row) => row.person === person.login && row.from <= day && day <= row.to)
        .map((row) => new Exact(row.part || 1)),
    );
    return new Exact(minutes).times(new Exact(1).minus(Exact.min(1, away)));
  }

  /** What somebody worked, and could, between two days, both until today. */
  utilisationOf(person: Row, from: Day, to: Day): { worked: Money; capacity: Money; share: Money } {
    const until = to < this.today ? to : this.today;
    const worked = new Exact(
      this.times()
        .filter((one) => one.person === person.login && one.on >= from && one.on <= until)
        .reduce((all, one) => all + one.minutes, 0),
    );
    const capacity = sum(daysOf(from, until).map((day) => this.capacityOf(person, day)));
    return { worked, capacity, share: capacity.isZero() ? null : worked.div(capacity) };
  }

  /** A budget as it burns down from a day to a day: what it was, what changed it, what was spent of it. */
  burndownOf(project: Row, from: Day, to: Day) {
    const until = to < this.today ? to : this.today;
    const before = addDays(from, -1);
    const committed = this.budgetOn(project, before)!;
    const spentBefore = this.costUntil(project.project, before);
    const changes = this.rows("budget_changes")
      .filter((row) => row.project === project.project && row.on >= from && row.on <= until)
      .map((row) => new Exact(row.to).minus(row.from));
    const spent = this.costUntil(project.project, until).minus(spentBefore);
    return {
      committed,
      spentBefore,
      raised: sum(changes.filter((one) => one.gt(0))),
      cut: sum(changes.filter((one) => one.lt(0))).abs(),
      spent,
      remaining: committed.minus(spentBefore).plus(sum(changes)).minus(spent),
    };
  }
}
