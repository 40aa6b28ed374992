import type { RawBundle } from "@/core/bundle";
import {
  addDays,
  addMonths,
  instantText,
  localDay,
  numberOfDay,
  weekdayOf,
  type Day,
  type Instant,
} from "@/core/time";
import { LANDINGS, PEOPLE, PROJECTS, SERVICES, VESSELS, WRONGS, ZONE, type Team } from "./cast";
import { assetOf, worldFiles, type Made, type MadeRelease, type MadeSprint } from "./files";
import { atWork, DAY, HOUR, Life, somewhen, workTime } from "./life";
import { plannedParts } from "./parts";
import { Random } from "./random";
import { makeReleases, makeSprints } from "./sprints";

export interface WorldOptions {
  readonly seed: number;
  /** Nothing in the world happens after this instant. */
  readonly end: Instant;
  /** Items of the desk for each one of the usual demo; 1 makes about 6,000 items in all. */
  readonly scale?: number;
}

const MONTHS = 26;
/** How many days a step of a day takes at the desk, by urgency. */
const PACES: Readonly<Record<string, number>> = { P1: 0.07, P2: 0.3, P3: 0.85, P4: 2.2, "": 2 };

/**
 * Saltmarsh Ferries as a bundle. Its stories: a storm week that floods the desk with P1 berth-radio faults; a gate
 * firmware release after which reopening doubles; an engine shop whose work piles up waiting for parts; a summer peak;
 * a sprint that doubled its scope halfway; a refit over budget; weekends, holidays and clock changes.
 */
export function makeWorld(options: WorldOptions): RawBundle {
  return new World(options).build();
}

class World implements Made {
  readonly random: Random;
  private readonly end: Instant;
  readonly today: Day;
  readonly start: Day;
  readonly lives: Life[] = [];
  readonly links: string[][] = [];
  readonly comments: string[][] = [];
  readonly time: string[][] = [];
  readonly sprints: MadeSprint[] = [];
  readonly releases: MadeRelease[] = [];
  private readonly storm: Day;
  private readonly firmware: Day;
  private readonly numbers = { D: 0, B: 0, E: 0 };

  constructor(private readonly options: WorldOptions) {
    this.random = new Random(options.seed);
    this.end = options.end;
    this.today = localDay(options.end, ZONE);
    this.start = addMonths(this.today, -MONTHS);
    this.storm = addMonths(this.today, -9);
    this.firmware = addMonths(this.today, -4);
  }

  build(): RawBundle {
    this.sprints.push(...makeSprints(this.start, this.end));
    this.releases.push(...makeReleases(this.sprints));
    const scale = this.options.scale ?? 1;
    for (let day = this.start; day <= this.today; day = addDays(day, 1)) {
      for (let n = this.deskArrivals(day, scale); n > 0; n -= 1) this.deskItem(day);
      if (weekdayOf(day) <= 5)
        for (let n = Math.floor(scale * 2.4 + this.random.next()); n > 0; n -= 1)
          this.softwareItem(day);
      if (weekdayOf(day) === 1)
        for (let n = Math.round(scale * 2); n > 0; n -= 1) this.officeItem(day);
    }
    const planned = plannedParts(this.today, this.end, this.numbers.E);
    this.lives.push(...planned.lives);
    this.links.push(...planned.links);
    return worldFiles(this);
  }

  private pickPerson = (team: Team): string =>
    this.random.pick(PEOPLE.filter((person) => person.team === team)).login;

  private deskArrivals(day: Day, scale: number): number {
    const month = Number(day.slice(5, 7));
    const season = month === 7 || month === 8 ? 1.7 : month === 6 || month === 9 ? 1.25 : 1;
    const stormy = numberOfDay(day) - numberOfDay(this.storm);
    const base = (weekdayOf(day) <= 5 ? 6.6 : 2.4) * season * (stormy >= 0 && stormy < 7 ? 3.2 : 1);
    return Math.floor(base * scale + this.random.next());
  }

  private nextKey(prefix: "D" | "B" | "E"): string {
    this.numbers[prefix] += 1;
    return `${prefix}${this.numbers[prefix]}`;
  }

  private begin(day: Day, prefix: "D" | "B" | "E", row: Record<string, string>): Life | null {
    const at = somewhen(day, this.random);
    if (at > this.end) return null;
    const life = new Life({ ...row, key: this.nextKey(prefix) }, at, this.end);
    this.lives.push(life);
    return life;
  }

  // ── the service desk ──

  private deskItem(day: Day): void {
    const { random } = this;
    const inStorm =
      numberOfDay(day) - numberOfDay(this.storm) >= 0 &&
      numberOfDay(day) - numberOfDay(this.storm) < 7;
    const [service, team] =
      inStorm && random.chance(0.7) ? SERVICES[4] : random.pick(SERVICES.slice(0, 11));
    const kind = inStorm
      ? "fault"
      : random.weighted([
          ["fault", 55],
          ["request", 38],
          ["change", 7],
        ] as const);
    const landing = random.pick(LANDINGS);
    const atSea =
      ["Fuel gauges", "Engines", "Berth radios", "Crew tablets"].includes(service) &&
      random.chance(0.6);
    const vessel = atSea ? random.pick(VESSELS) : "";
    const wrong = random.pick(WRONGS[service]);
    const priority =
      inStorm && random.chance(0.6)
        ? "P1"
        : random.weighted([
            ["P1", 5],
            ["P2", 22],
            ["P3", 48],
            ["P4", 20],
            ["", 5],
          ] as const);
    const life = this.begin(day, "D", {
      kind,
      status: "Logged",
      priority,
      team: "Service desk",
      service,
      title:
        kind === "request"
          ? `${service}: ${random.pick(["one more for", "move it at", "new labels for", "training at", "a spare for"])} ${vessel || landing}`
          : `${service.replace(/s$/, "")} ${atSea ? "on" : "at"} ${vessel || landing} ${wrong}`,
      raised_by: random.pick(PEOPLE).login,
      asset: random.chance(0.7) ? assetOf(service, random.whole(1, 8)) : "",
      category: random.pick(["hardware", "software", "supplies", "people"]),
      landing,
      vessel,
      weather: inStorm ? "storm" : random.pick(["calm", "wind", "fog", "rain"]),
      tags: [
        inStorm ? "storm" : "",
        random.chance(0.1) ? "quick win" : "",
        random.chance(0.05) ? "parked" : "",
        random.chance(0.06) ? "paper" : "",
      ]
        .filter(Boolean)
        .join(";"),
      followers: random.chance(0.4)
        ? [...new Set([random.pick(PEOPLE).login, random.pick(PEOPLE).login])].join(";")
        : "",
      project: random.chance(0.06) ? "Gate readers 4" : "",
      estimate_minutes: random.chance(0.6) ? String(random.whole(1, 16) * 30) : "",
    });
    if (!life) return;
    life.row.remaining_minutes = life.row.estimate_minutes;
    if (random.chance(0.7))
      life.row.due_at = instantText(
        workTime(life.createdAt + random.around(priority === "P1" ? 1 : 6) * DAY, random),
      );
    this.deskJourney(life, team, service, priority, inStorm);
  }

  private deskJourney(
    life: Life,
    team: Team,
    service: string,
    priority: string,
    inStorm: boolean,
  ): void {
    const { random } = this;
    const desk = this.pickPerson("Service desk");
    const isSlow =
      team === "Engine shop" &&
      numberOfDay(localDay(life.now, ZONE)) > numberOfDay(addMonths(this.today, -7));
    const pace = () => (PACES[life.row.priority] ?? 1) * (isSlow ? 1.7 : 1);
    const next = (days: number) => {
      life.wait(random.around(days * pace()) * DAY);
      return life.row.priority === "P1" ? life : life.wait(atWork(life.now, random) - life.now);
    };
    next(0.25).move("status", "Triaged", desk);
    if (priority === "" && random.chance(0.8))
      life.move("priority", random.pick(["P3", "P4"]), desk);
    if (random.chance(0.04)) return void next(2).move("status", "Withdrawn", desk);
    next(0.2).move("team", team, desk);
    let who = this.pickPerson(team);
    next(0.4).move("assignee", who, desk);
    if (random.chance(0.18))
      life.wait(HOUR / 4).move(
        "priority",
        random.weighted([
          ["P1", 1],
          ["P2", 4],
          ["P3", 4],
          ["P4", 2],
        ] as const),
        desk,
      );
    next(1).move("status", "In hand", who);
    for (let rounds = 0; rounds < 3; rounds += 1) {
      if (random.chance(isSlow ? 0.75 : 0.22)) {
        next(0.7).move("status", "Waiting for parts", who);
        life.wait(random.around(isSlow ? 34 : 5) * DAY).move("status", "In hand", who);
      }
      if (random.chance(0.25))
        next(0.5).move("assignee", (who = this.pickPerson(team)), this.pickPerson(team));
      if (random.chance(0.2) && life.row.due_at)
        life.move("due_at", instantText(workTime(life.now + random.around(5) * DAY, random)), who);
      if (random.chance(0.3) && life.row.remaining_minutes)
        life.move(
          "remaining_minutes",
          String(Math.max(0, Number(life.row.remaining_minutes) - random.whole(1, 6) * 15)),
          who,
        );
      if (random.chance(0.6)) next(1).move("status", "On trial", who);
      next(0.8).move("status", "Signed off", who);
      if (life.isOver) break;
      this.book(life, who);
      const afterFirmware = service === "Gate readers" && localDay(life.now, ZONE) >= this.firmware;
      if (!random.chance(afterFirmware ? 0.38 : inStorm ? 0.14 : 0.09)) break;
      next(2).move("status", "In hand", who);
    }
    if (random.chance(0.3)) this.say(life, who);
    if (random.chance(0.01) && !life.isOver) this.remove(life);
    const before = this.lives[this.lives.length - 2 - random.whole(0, 40)];
    if (before && random.chance(0.04))
      this.links.push([
        life.row.key,
        random.pick(["same as", "goes with", "holds up"]),
        before.row.key,
      ]);
  }

  private remove(life: Life): void {
    life.wait(this.random.next() * 20 * DAY);
    if (!life.isOver) life.row.deleted_at = instantText(life.now);
  }

  private say(life: Life, by: string): void {
    const at =
      life.createdAt +
      Math.round(
        ((Math.min(life.now, this.end) - life.createdAt) * this.random.next()) / 1_000_000,
      ) *
        1_000_000;
    this.comments.push([
      life.row.key,
      instantText(at),
      by,
      this.random.chance(0.3) ? "yes" : "no",
      this.random.pick([
        "The maker says the part ships on Friday.",
        "Lent the quay a hand scanner until then.",
        "In this weather we cannot stand outside and tear tickets.",
        "Tried it twice; the third time it worked.",
        "Same as last winter, I think.",
      ]),
    ]);
  }

  private book(life: Life, who: string): void {
    this.time.push([
      life.row.key,
      life.row.project ?? "",
      who,
      localDay(Math.min(life.now, this.end), ZONE),
      String(this.random.whole(1, 24) * 15),
      this.random.chance(0.4) ? "yes" : "no",
      "",
    ]);
  }

  // ── the software teams ──

  private softwareItem(day: Day): void {
    const { random } = this;
    const team: Team = random.pick(["Booking site", "Tickets and fares"] as const);
    const service = team === "Booking site" ? "Booking site" : random.pick(["Payments", "Fares"]);
    const kind = random.weighted([
      ["story", 45],
      ["issue", 30],
      ["task", 25],
    ] as const);
    const life = this.begin(day, "B", {
      kind,
      status: "Noted",
      priority: random.weighted([
        ["P2", 15],
        ["P3", 55],
        ["P4", 30],
      ] as const),
      team,
      service,
      title:
        kind === "story"
          ? `${random.pick(["Hold seats for", "Show tides on", "Sell return slips at", "Let crews see", "Warn before"])} ${random.pick(["10 minutes", "every landing", "the winter timetable", "the last boat", "low water"])}`
          : kind === "issue"
            ? `${service} ${random.pick(WRONGS[service])}`
            : `${random.pick(["Clean up", "Upgrade", "Measure", "Document"])} ${random.pick(["the mail templates", "the fare tables", "the seat map", "the queue"])}`,
      raised_by: random.pick(PEOPLE).login,
      points: random.chance(0.85) ? String(random.pick([1, 2, 3, 5, 8])) : "",
      project: random.weighted([
        ["Booking site 3", 4],
        ["One ticket", team === "Tickets and fares" ? 4 : 1],
        ["Winter timetable", 1],
        ["", 4],
      ] as const),
      tags: random.chance(0.1) ? "summer" : "",
      category: random.pick(["web", "mail", "data"]),
      estimate_minutes: String(random.whole(1, 20) * 60),
    });
    if (!life) return;
    life.row.remaining_minutes = life.row.estimate_minutes;
    const who = this.pickPerson(team);
    const lead = PEOPLE.find(
      (person) => person.login === (team === "Booking site" ? "aoife" : "idris"),
    )!.login;
    life.wait(random.around(4) * DAY).move("status", "Ready", lead);
    if (random.chance(0.06))
      return void life.wait(random.around(9) * DAY).move("status", "Dropped", lead);
    const mine = this.sprints.filter((sprint) => sprint.team === team && sprint.from > life.now);
    const sprint =
      mine[
        random.weighted([
          [0, 5],
          [1, 3],
          [2, 1],
        ] as const)
      ];
    if (!sprint) return;
    this.sprintJourney(life, sprint, mine, who, lead);
  }

  private sprintJourney(
    life: Life,
    sprint: MadeSprint,
    later: readonly MadeSprint[],
    who: string,
    lead: string,
  ): void {
    const { random } = this;
    const doubled = sprint.name === this.doubledSprint();
    const isLate = random.chance(doubled ? 0.5 : 0.08);
    const joins = isLate
      ? sprint.from + (doubled ? 4.2 : 1 + random.next() * 6) * DAY
      : sprint.from - random.next() * 2 * DAY;
    const next = (days: number) => {
      life.wait(random.around(days) * DAY);
      return life.wait(atWork(life.now, random) - life.now);
    };
    life.wait(Math.max(HOUR, joins - life.now));
    if (isLate) next(0.01);
    life
      .move("sprint", sprint.name, lead)
      .set("release", this.releaseOf(sprint))
      .move("assignee", who, lead);
    life.wait(Math.max(0, sprint.from - life.now) + random.next() * (isLate ? 1 : 8) * DAY);
    next(0.1).move("status", "Building", who);
    if (random.chance(0.12) && life.row.points)
      life.wait(HOUR).move("points", String(random.pick([2, 3, 5, 8, 13])), who);
    if (random.chance(0.05)) {
      next(1).move("sprint", "", lead).set("release", "");
      return void next(9).move("status", "Dropped", lead);
    }
    next(0.8).move(
      "remaining_minutes",
      String(Math.round(Number(life.row.remaining_minutes) / 2)),
      who,
    );
    if (random.chance(0.9)) next(0.8);
    else next(6);
    if (life.now > (sprint.closed ?? sprint.to) && sprint.closed && later[1]) {
      life.rewind(sprint.closed);
      const to = later[later.indexOf(sprint) + 1] ?? sprint;
      life.move("sprint", to.name, lead).set("release", this.releaseOf(to));
      next(1);
    }
    life.move("status", "Checking", who);
    if (random.chance(0.2)) {
      next(0.5).move("status", "Building", who);
      next(0.6).move("status", "Checking", who);
    }
    next(0.6).move("status", "Shipped", lead).move("remaining_minutes", "0", who);
    if (!life.isOver) this.book(life, who);
    const fault = this.lives[this.lives.length - 1 - random.whole(1, 60)];
    if (fault?.row.kind === "request" && random.chance(0.2))
      this.links.push([life.row.key, "implements", fault.row.key]);
  }

  private releaseOf({ name }: MadeSprint): string {
    return this.releases.find(({ sprints }) => sprints.includes(name))?.name ?? "";
  }

  private doubledSprint(): string {
    const booking = this.sprints.filter((sprint) => sprint.team === "Booking site");
    return booking[booking.length - 4]?.name ?? "";
  }

  // ── the engineering office ──

  private officeItem(day: Day): void {
    const { random } = this;
    const [project] = random.pick(PROJECTS.slice(0, 6));
    const life = this.begin(day, "E", {
      kind: "task",
      status: "Noted",
      priority: random.pick(["P2", "P3", "P4"]),
      team: "Engineering office",
      project,
      title: `${random.pick(["Survey", "Order", "Fit", "Inspect", "Paint", "Test"])} ${random.pick(["the fenders", "the aft deck", "the mooring posts", "the shore cable", "the wheelhouse glass", "the ramp hinges"])}, ${project}`,
      raised_by: "cal",
      points: String(random.pick([1, 2, 3, 5])),
      category: "works",
      estimate_minutes: String(random.whole(4, 60) * 60),
    });
    if (!life) return;
    life.row.remaining_minutes = life.row.estimate_minutes;
    const who = this.pickPerson("Engineering office");
    life
      .wait(random.around(6) * DAY)
      .move("status", "Ready", "cal")
      .move("assignee", who, "cal");
    life.wait(random.around(12) * DAY).move("status", "Building", who);
    for (let n = random.whole(1, 4); n > 0 && !life.isOver; n -= 1) {
      life.wait(random.around(3) * DAY);
      if (!life.isOver) this.book(life, who);
    }
    life
      .wait(random.around(10) * DAY)
      .move("status", "Checking", who)
      .wait(random.around(4) * DAY)
      .move("status", "Shipped", "cal");
  }
}
