import { plainText } from "@/core/briefing";
import type { RawBundle, RawTable } from "@/core/bundle";
import { parseInstant } from "@/core/time";
import { importBundle, readBundleFiles, type EntityManager } from "@/data";
import { firstRelease, listReleases } from "@/server/releases/releases";
import { boardsOfRoom } from "@/server/rooms/boards";
import { GOLDEN_BUNDLE } from "../golden/load";
import { acting } from "../support/acting";
import { dropDatabase, freshDatabase } from "../support/database";
import { deskFor } from "../support/desk";

/** The rooms of sprints and releases: who sees them, which boards they show, what their briefings say. */
let em: EntityManager;
const NOW = parseInstant("2026-11-24T15:30:00Z")!;
const clock = { now: () => NOW };
const { as, whyNot } = acting(clock);

const RELEASES: RawTable = {
  columns: ["release", "project", "starts_on", "due_on", "released_on"],
  rows: [
    ["Site 4", "", "2026-09-01", "2026-10-30", "2026-11-02"],
    ["Site 5", "", "2026-11-02", "2026-12-11", ""],
    ["Quay plans", "New quay", "", "", ""],
  ],
};
/** Which release the items of some sprints are shipped with. */
const SHIPPED: Readonly<Record<string, string>> = { "Sprint 8": "Site 4", "Sprint 10": "Site 5" };

function withReleases(bundle: RawBundle): RawBundle {
  const { columns, rows } = bundle.items!;
  const sprint = columns.indexOf("sprint");
  return {
    ...bundle,
    // Only those who manage it or are of its team see the quay.
    projects: {
      columns: [...bundle.projects!.columns, "teams"],
      rows: bundle.projects!.rows.map((row) => [...row, "Quay"]),
    },
    releases: RELEASES,
    items: {
      columns: [...columns, "release"],
      rows: rows.map((row) => [...row, SHIPPED[row[sprint]] ?? ""]),
    },
  };
}

beforeAll(async () => {
  em = await freshDatabase("workRooms");
  const bundle = withReleases(await readBundleFiles(GOLDEN_BUNDLE));
  expect((await importBundle(em, bundle, { now: NOW })).refused).toEqual([]);
});
afterAll(dropDatabase);

const deskOf = (login: string) => deskFor(em, login, clock);

async function idOf(kind: "sprint" | "release", name: string): Promise<number> {
  const { view } = await deskOf("gil");
  return view.catalog.names.named(kind, name)[0].id;
}

const boardOf = async (login: string, name: string): Promise<number> =>
  (await as(login, "saveDashboard", { name, tiles: [] })).id;

describe("releases", () => {
  test("are told with how they stand, what is due last first", async () => {
    const lines = await listReleases(em, await deskOf("gil"));
    expect(lines.map(({ name, stage, project }) => [name, stage, project])).toEqual([
      ["Site 5", "under way", null],
      ["Site 4", "released", null],
      ["Quay plans", "under way", "New quay"],
    ]);
  });

  test("the first to be seen is what is due next; without any there is none", async () => {
    const lines = await listReleases(em, await deskOf("ines"));
    expect(firstRelease(lines)?.name).toBe("Site 5");
    expect(firstRelease(lines.filter((line) => line.stage === "released"))?.name).toBe("Site 4");
    expect(firstRelease([])).toBeNull();
  });

  test("one of a project that somebody does not see is not there for them", async () => {
    const quay = await idOf("release", "Quay plans");
    expect((await listReleases(em, await deskOf("bram"))).map((line) => line.name)).toEqual([
      "Site 5",
      "Site 4",
    ]);
    expect(await whyNot("bram", "release", { release: quay })).toBe("There is nothing here.");
    await expect(
      boardsOfRoom(em, await deskOf("bram"), { kind: "release", id: quay }),
    ).rejects.toThrow("There is nothing here.");
  });

  test("what the room says is what its figures count", async () => {
    const release = await idOf("release", "Site 5");
    const { parts } = await as("gil", "release", { release });
    const scope = plainText(parts.find((part) => part.id === "scope")!.blocks);
    const count = async (says: string) => {
      const { shown } = await as("gil", "says", { says, here: { thing: "release", id: release } });
      if (shown.kind !== "count") throw new Error(says);
      return Number(shown.answer.total[0].value);
    };
    const all = await count("count items where release is this release");
    const done = await count("count items where release is this release and status is finished");
    expect(all).toBeGreaterThan(1);
    expect(scope).toBe(
      `${all} items are in it; ${done} of them ${done === 1 ? "is" : "are"} finished (${Math.floor((done / all) * 100)} %).`,
    );
  });

  test("as it stood before anything was there, it says so", async () => {
    const release = await idOf("release", "Site 5");
    const { parts } = await as("gil", "release", { release, stood: "2026-01-01" });
    expect(plainText(parts.find((part) => part.id === "scope")!.blocks)).toBe("Nothing is in it.");
  });
});

describe("boards of rooms", () => {
  const boardsIn = async (login: string, kind: "sprint" | "release", id: number) => {
    const { boards, ...rest } = await boardsOfRoom(em, await deskOf(login), { kind, id });
    return {
      ...rest,
      names: boards.map(({ name, isOwn }) => `${name}${isOwn ? ", its own" : ""}`),
    };
  };

  test("an administrator sets that of all sprints of a team, who leads it adds one", async () => {
    const [eight, ten] = [await idOf("sprint", "Sprint 8"), await idOf("sprint", "Sprint 10")];
    const all = await boardOf("gil", "Every sprint");
    await as("gil", "setShares", {
      kind: "dashboard",
      id: all,
      shares: [{ everyone: true, person: null, team: null, mayChange: false }],
    });
    await as("gil", "setRoomBoard", {
      of: { kind: "sprint", id: ten },
      isOwn: false,
      dashboard: all,
    });
    const own = await boardOf("ruth", "Ruth's own");
    await as("ruth", "setRoomBoard", {
      of: { kind: "sprint", id: ten },
      isOwn: true,
      dashboard: own,
    });
    expect(await boardsIn("ruth", "sprint", ten)).toMatchObject({
      alike: "sprints of Booking",
      maySetAlike: false,
      maySetOwn: true,
      names: ["Every sprint", "Ruth's own, its own"],
    });
    expect((await boardsIn("ruth", "sprint", eight)).names).toEqual(["Every sprint"]);
    // What is bound to a room gives nobody a right to it.
    expect(await boardsIn("bram", "sprint", ten)).toMatchObject({
      maySetOwn: false,
      offered: [],
      names: ["Every sprint"],
    });
  });

  test("nobody else does, and nobody binds what they do not see", async () => {
    const ten = { kind: "sprint", id: await idOf("sprint", "Sprint 10") } as const;
    const board = await boardOf("ines", "Mine");
    expect(await whyNot("ines", "setRoomBoard", { of: ten, isOwn: true, dashboard: board })).toBe(
      "Only who leads it or an administrator adds to its room.",
    );
    expect(await whyNot("ruth", "setRoomBoard", { of: ten, isOwn: false, dashboard: null })).toBe(
      "Only an administrator sets what all sprints of Booking show.",
    );
    expect(await whyNot("ruth", "setRoomBoard", { of: ten, isOwn: true, dashboard: board })).toBe(
      "There is nothing here.",
    );
  });

  test("a board that is taken away from a room is there no longer", async () => {
    const site = await idOf("release", "Site 5");
    const of = { kind: "release", id: site } as const;
    const board = await boardOf("gil", "Site");
    await as("gil", "setRoomBoard", { of, isOwn: true, dashboard: board });
    expect(await boardsIn("gil", "release", site)).toMatchObject({
      alike: "releases of no project",
      names: ["Site, its own"],
    });
    await as("gil", "setRoomBoard", { of, isOwn: true, dashboard: null });
    expect((await boardsIn("gil", "release", site)).names).toEqual([]);
  });

  test("releases of a project are led by who manages it", async () => {
    const quay = await idOf("release", "Quay plans");
    expect(await boardsIn("gil", "release", quay)).toMatchObject({
      alike: "releases of New quay",
      maySetOwn: true,
    });
  });
});

describe("briefings of work", () => {
  test.each(["sprint", "release", "team"] as const)(
    "a %s has one that can be asked",
    async (kind) => {
      const { view } = await deskOf("gil");
      const things = view.catalog.names.list(kind);
      expect(things.length).toBeGreaterThan(0);
      for (const thing of things) {
        const made = await as("gil", "newBriefing", { kind, target: thing.id });
        const { parts } = await as("gil", "briefing", { id: made });
        expect(parts.length).toBeGreaterThan(1);
        for (const part of parts)
          expect(plainText(part.blocks)).not.toMatch(/undefined|NaN|cannot be asked/);
        for (const drawn of parts.flatMap((part) => part.blocks))
          if (drawn.kind === "drawing")
            await as("gil", "says", { says: drawn.says, here: { thing: kind, id: thing.id } });
      }
    },
  );
});
