import type { RawBundle } from "@/core/bundle";
import { instantText, type Instant } from "@/core/time";
import { LANDINGS, PEOPLE, SERVICES, VESSELS, WRONGS } from "./cast";
import type { Random } from "./random";

/** What the harbour does next: something new is logged, or an item that is open moves on. */
export type HarbourStep =
  | { readonly kind: "logged"; readonly bundle: RawBundle; readonly key: string }
  | { readonly kind: "moved"; readonly from: string; readonly to: string }
  | { readonly kind: "taken"; readonly status: string; readonly by: string }
  | { readonly kind: "ranked"; readonly status: string; readonly to: string };

/** How an item of the desk goes on from a status, the likeliest way first. */
const WAYS: Readonly<Record<string, readonly (readonly [to: string, weight: number])[]>> = {
  Logged: [["Triaged", 1]],
  Triaged: [
    ["In hand", 8],
    ["Withdrawn", 1],
  ],
  "In hand": [
    ["On trial", 6],
    ["Waiting for parts", 2],
  ],
  "Waiting for parts": [["In hand", 1]],
  "On trial": [
    ["Signed off", 9],
    ["In hand", 1],
  ],
};
const OPEN = Object.keys(WAYS);
const COLUMNS = [
  "key",
  "kind",
  "status",
  "priority",
  "team",
  "service",
  "title",
  "raised_by",
  "landing",
  "vessel",
  "weather",
  "created_at",
];

/** Keys of what the feed logs begin so; the number is of the instant, so that no two are the same. */
const keyAt = (now: Instant): string => `H${Math.floor(now / 100_000) % 100_000_000}`;

/** The next thing that happens; the same numbers make the same steps. */
export function harbourStep(random: Random, now: Instant): HarbourStep {
  return random.weighted<() => HarbourStep>([
    [() => logged(random, now), 3],
    [() => moved(random), 5],
    [() => taken(random), 2],
    [() => ranked(random), 1],
  ])();
}

function logged(random: Random, now: Instant): HarbourStep {
  const [service, team] = random.pick(SERVICES.slice(0, 11));
  const landing = random.pick(LANDINGS);
  const vessel = random.chance(0.3) ? random.pick(VESSELS) : "";
  const place = vessel ? `on ${vessel}` : `at ${landing}`;
  const row: Readonly<Record<string, string>> = {
    key: keyAt(now),
    kind: random.weighted([
      ["fault", 6],
      ["request", 3],
    ]),
    status: "Logged",
    priority: random.weighted([
      ["P1", 1],
      ["P2", 4],
      ["P3", 8],
      ["P4", 4],
    ]),
    team,
    service,
    title: `${service.replace(/s$/, "")} ${place} ${random.pick(WRONGS[service])}`,
    raised_by: random.pick(PEOPLE).login,
    landing,
    vessel,
    weather: random.pick(["calm", "wind", "fog", "rain"]),
    created_at: instantText(now),
  };
  const items = { columns: COLUMNS, rows: [COLUMNS.map((column) => row[column] ?? "")] };
  return { kind: "logged", key: row.key, bundle: { items } };
}

function moved(random: Random): HarbourStep {
  const from = random.pick(OPEN);
  return { kind: "moved", from, to: random.weighted(WAYS[from]) };
}

function taken(random: Random): HarbourStep {
  const { login } = random.pick(PEOPLE.filter(({ client }) => client === ""));
  return { kind: "taken", status: random.pick(["Triaged", "In hand"]), by: login };
}

const ranked = (random: Random): HarbourStep => ({
  kind: "ranked",
  status: random.pick(OPEN),
  to: random.pick(["P1", "P2", "P3"]),
});
