import type { ShownFilter } from "@/contract/dashboards";
import type { Tile } from "@/core/definition";
import {
  beamedDay,
  beamedFrom,
  cleared,
  isChanged,
  isNarrowed,
  narrowingsOf,
  NOT_NARROWED,
  parentsOf,
  readNarrowed,
  saidBy,
  saidInAll,
  withBeam,
  withChosen,
  writeNarrowed,
  type Beam,
} from "./narrowed";

const filter = (id: string, more: Partial<ShownFilter> = {}): ShownFilter => ({
  id,
  subject: "items",
  field: [id],
  says: null,
  ...more,
});
const tile = (id: string, more: object = {}): Tile => ({
  id,
  report: 1,
  x: 0,
  y: 0,
  w: 4,
  h: 4,
  ...more,
});
const beam = (from: string, mark: string, more: Partial<Beam> = {}): Beam => ({
  tile: from,
  title: "Open faults",
  label: mark,
  mark,
  subject: "items",
  says: `priority is ${mark}`,
  stood: null,
  ...more,
});
const TEAM = filter("team", { says: "team is Deck" });
const SERVICE = filter("service", { dependsOn: "team" });

describe("filters", () => {
  test("say what was chosen, else what they begin with; a locked one cannot be changed", () => {
    const now = withChosen(NOT_NARROWED, "team", "team is Engine");
    expect(saidBy(TEAM, now)).toBe("team is Engine");
    expect(saidBy(TEAM, NOT_NARROWED)).toBe("team is Deck");
    expect(saidBy(TEAM, withChosen(now, "team", null))).toBeNull();
    expect(saidBy({ ...TEAM, isLocked: true }, now)).toBe("team is Deck");
  });
  test("clear leaves nothing narrowed, as built goes back to what they begin with", () => {
    const filters = [TEAM, SERVICE];
    expect(isNarrowed(filters, NOT_NARROWED)).toBe(true);
    expect(isChanged(filters, NOT_NARROWED)).toBe(false);
    const clear = cleared(filters);
    expect(isNarrowed(filters, clear)).toBe(false);
    expect(isChanged(filters, clear)).toBe(true);
    expect(narrowingsOf(tile("a"), filters, clear)).toEqual([]);
  });
  test("narrow the tiles that listen, joined as one", () => {
    const now = withChosen(NOT_NARROWED, "service", "service is Ramps");
    expect(narrowingsOf(tile("a"), [TEAM, SERVICE], now).map((one) => one.says)).toEqual([
      "team is Deck",
      "service is Ramps",
    ]);
    expect(narrowingsOf(tile("a", { deaf: ["team"] }), [TEAM, SERVICE], now)).toHaveLength(1);
  });
  test("depend on others, and on those they depend on, once around a ring", () => {
    const ring = [
      filter("a", { dependsOn: "b", says: "a is 1" }),
      filter("b", { dependsOn: "a", says: "b is 1" }),
    ];
    expect(parentsOf(SERVICE, [TEAM, SERVICE], NOT_NARROWED).map((one) => one.id)).toEqual([
      "team",
    ]);
    expect(parentsOf(ring[0], ring, NOT_NARROWED).map((one) => one.id)).toEqual(["b"]);
  });
});

describe("beams", () => {
  test("of one chart are one or another, of several both; a chart is not narrowed by its own", () => {
    const now = [beam("a", "P1"), beam("a", "P2"), beam("b", "P3")].reduce(withBeam, NOT_NARROWED);
    expect(narrowingsOf(tile("c"), [], now).map((one) => one.says)).toEqual([
      "(priority is P1) or (priority is P2)",
      "priority is P3",
    ]);
    expect(narrowingsOf(tile("a"), [], now).map((one) => one.says)).toEqual(["priority is P3"]);
    expect(narrowingsOf(tile("c", { takesNone: true }), [], now)).toEqual([]);
    expect(beamedFrom(tile("a"), now)).toEqual(["P1", "P2"]);
  });
  test("the same part again ends it", () =>
    expect(withBeam(withBeam(NOT_NARROWED, beam("a", "P1")), beam("a", "P1"))).toEqual(
      NOT_NARROWED,
    ));
  test("a point of a level sets the day for the others, the later of two", () => {
    const point = (from: string, stood: string) => beam(from, stood, { says: null, stood });
    const now = [point("a", "2026-10-01"), point("b", "2026-11-01")].reduce(withBeam, NOT_NARROWED);
    expect(beamedDay(tile("c"), now)).toBe("2026-11-01");
    expect(beamedDay(tile("b"), now)).toBeNull();
    expect(narrowingsOf(tile("c"), [], now)).toEqual([]);
  });
});

test("all that narrows is said as it is counted: parts of one chart as one or another", () => {
  const now = [
    beam("a", "P1"),
    beam("a", "P2"),
    beam("b", "Oct", { says: null, stood: "2026-10-31" }),
  ].reduce(withBeam, NOT_NARROWED);
  expect(saidInAll([TEAM, SERVICE], now)).toEqual([
    "team is Deck",
    "((priority is P1) or (priority is P2))",
    "it is as of 31 Oct 2026",
  ]);
});

test("what narrows goes into the address and comes back; what is none of ours does not", () => {
  const now = withBeam(withChosen(NOT_NARROWED, "team", "team is Deck"), beam("a", "P1"));
  expect(readNarrowed(writeNarrowed(now)!)).toEqual(now);
  expect(writeNarrowed(NOT_NARROWED)).toBeNull();
  for (const text of ["", "[]", "{}", '[{"a":1},[],[]]', "[{},[{}],[]]", "[{},[],[{}]]"])
    expect(() => readNarrowed(text)).toThrow();
});
