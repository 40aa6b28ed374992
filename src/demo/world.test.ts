import { readBundle, settleItem, TABLES, type RawBundle, type TableId } from "@/core/bundle";
import { parseInstant } from "@/core/time";
import { FIGURES, makeWorld } from ".";
import { knownBundle } from "../../tests/support/known";

const end = parseInstant("2026-11-24T15:30:00Z")!;
const world = makeWorld({ seed: 7, end });
const column = (table: TableId, name: string, raw: RawBundle = world): string[] => {
  const at = raw[table]!.columns.indexOf(name);
  return raw[table]!.rows.map((row) => row[at] ?? "");
};
const known = knownBundle();

describe("Saltmarsh Ferries", () => {
  test("the same seed and end give the same world, another seed another one", () => {
    expect(JSON.stringify(makeWorld({ seed: 7, end }))).toBe(JSON.stringify(world));
    expect(JSON.stringify(makeWorld({ seed: 8, end, scale: 0.2 }))).not.toBe(
      JSON.stringify(makeWorld({ seed: 7, end, scale: 0.2 })),
    );
  });
  test("it has the size that was asked for", () => {
    expect(world.people!.rows).toHaveLength(60);
    expect(world.teams!.rows).toHaveLength(9);
    expect(world.services!.rows).toHaveLength(14);
    expect(world.assets!.rows).toHaveLength(120);
    expect(world.projects!.rows).toHaveLength(10);
    expect(world.items!.rows.length).toBeGreaterThan(5_000);
    expect(world.moves!.rows.length).toBeGreaterThan(35_000);
  });
  test("nothing happens after its end", () => {
    for (const at of [
      ...column("items", "created_at"),
      ...column("items", "deleted_at").filter(Boolean),
      ...column("moves", "at"),
      ...column("comments", "at"),
    ]) {
      expect(parseInstant(at)!).toBeLessThanOrEqual(end);
    }
  });
  test("every row of it is read without refusal", () => {
    expect(readBundle(world, known).refused).toEqual([]);
  });
  test("every item's moves tell one story", () => {
    const { rows } = readBundle(world, known);
    const moves = new Map<
      string,
      { at: number; field: "status"; from: string | null; to: string | null; by: null }[]
    >();
    for (const { values } of rows.moves!) {
      if (values.field !== "status") continue;
      const key = values.key as string;
      moves.set(key, [
        ...(moves.get(key) ?? []),
        {
          at: values.at as number,
          field: "status",
          from: values.from as string | null,
          to: values.to as string | null,
          by: null,
        },
      ]);
    }
    for (const { values } of rows.items!) {
      const item = {
        createdAt: values.created_at as number,
        deletedAt: (values.deleted_at as number | null) ?? null,
        now: { status: values.status as string } as never,
      };
      const settled = settleItem(item, moves.get(values.key as string) ?? [], undefined, end, null);
      expect([values.key, "reason" in settled ? settled.reason : null]).toEqual([values.key, null]);
    }
  });
  test("its keys, people and things are named as they should be", () => {
    expect(column("items", "key").every((key) => /^[DBE]\d+$/.test(key))).toBe(true);
    expect(new Set(column("people", "login")).size).toBe(60);
    for (const { login, role } of FIGURES)
      expect(world.people!.rows.find((row) => row[0] === login)?.[4]).toBe(role);
    expect(new Set(FIGURES.map((figure) => figure.role))).toEqual(
      new Set(["administrator", "builder", "member"]),
    );
  });
  test("it has every file of the model that a demo needs", () => {
    const missing = (Object.keys(TABLES) as TableId[]).filter((id) => !world[id]?.rows.length);
    expect(missing).toEqual([]);
  });
});

describe("its stories are there to be found", () => {
  const items = world.items!;
  const at = (name: string) => items.columns.indexOf(name);
  const count = (test: (get: (name: string) => string) => boolean) =>
    items.rows.filter((row) => test((name) => row[at(name)] ?? "")).length;
  test("a storm week floods the desk with urgent berth-radio faults", () => {
    const inStorm = (get: (name: string) => string) =>
      get("created_at") >= "2026-02-24" && get("created_at") < "2026-03-03";
    const radios = (get: (name: string) => string) =>
      get("service") === "Berth radios" && get("priority") === "P1";
    const week = count((get) => inStorm(get) && radios(get));
    expect(week).toBeGreaterThan(20);
    expect(week).toBeGreaterThan(count(radios) / 4);
  });
  test("after the gate firmware reopening doubles", () => {
    const finished = new Set(["Signed off"]);
    const gates = new Set(
      items.rows
        .filter((row) => row[at("service")] === "Gate readers")
        .map((row) => row[at("key")]),
    );
    const share = (from: string, to: string) => {
      const moves = world.moves!.rows.filter(
        (move) => gates.has(move[0]) && move[2] === "status" && move[1] >= from && move[1] < to,
      );
      return (
        moves.filter((move) => finished.has(move[3])).length /
        moves.filter((move) => finished.has(move[4])).length
      );
    };
    expect(share("2026-07-24", "2026-11-24")).toBeGreaterThan(
      share("2025-01-01", "2026-01-24") * 2,
    );
  });
  test("the engine shop piles up waiting for parts", () => {
    const waiting = (team: string) =>
      count((get) => get("status") === "Waiting for parts" && get("team") === team);
    expect(waiting("Engine shop")).toBeGreaterThan(waiting("Landing systems") * 2);
  });
  test("summer is busier than spring", () => {
    const month = (m: string) =>
      count((get) => get("created_at").startsWith(`2026-${m}`) && get("key").startsWith("D"));
    expect(month("07")).toBeGreaterThan(month("04") * 1.3);
  });
  test("each team's sprints have work in them, of which some is left over at their closing", () => {
    const sprints = column("sprints", "sprint");
    const of = (name: string) => count((get) => get("sprint") === name);
    const running = sprints.filter((_, i) => !column("sprints", "closed_at")[i]);
    expect(running.length).toBe(2);
    for (const name of running) expect(of(name)).toBeGreaterThan(5);
    const closings = new Set(column("sprints", "closed_at").filter(Boolean));
    const carried = world.moves!.rows.filter(
      (move) => move[2] === "sprint" && closings.has(move[1]),
    );
    expect(carried.length).toBeGreaterThan(10);
  });
});
