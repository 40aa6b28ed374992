import { readBundle, type RawBundle } from "@/core/bundle";
import { parseInstant } from "@/core/time";
import { STATUSES, PEOPLE } from "./cast";
import { harbourStep, type HarbourStep } from "./harbour";
import { Random } from "./random";
import { makeWorld } from "./world";
import { knownBundle } from "../../tests/support/known";

const NOW = parseInstant("2026-12-01T10:00:00Z")!;
const SECOND = 1_000_000;
const steps = (seed: number, count = 400): HarbourStep[] => {
  const random = new Random(seed);
  return Array.from({ length: count }, (_, i) => harbourStep(random, NOW + i * SECOND));
};

/** The world that it goes on in, without what happened in it. */
const { people, teams, services, statuses, kinds, priorities, fields } = makeWorld({
  seed: 7,
  end: NOW,
  scale: 0.02,
}) as Record<string, RawBundle["items"]>;
const things = { people, teams, services, statuses, kinds, priorities, fields } as RawBundle;
const known = knownBundle();

test("the same numbers make the same steps, other numbers others", () => {
  expect(steps(3)).toEqual(steps(3));
  expect(steps(3)).not.toEqual(steps(4));
});

test("every sort of step comes, and what is logged can be brought in, under a key of its own", () => {
  const made = steps(7);
  expect(new Set(made.map(({ kind }) => kind))).toEqual(
    new Set(["logged", "moved", "taken", "ranked"]),
  );
  const logged = made.filter((step) => step.kind === "logged");
  expect(new Set(logged.map(({ key }) => key)).size).toBe(logged.length);
  for (const { bundle, key } of logged) {
    expect(readBundle({ ...things, ...bundle }, known).refused).toEqual([]);
    const [row = []] = bundle.items?.rows ?? [];
    expect(row).toContain(key);
    expect(parseInstant(row.at(-1) ?? "")).toBeGreaterThanOrEqual(NOW);
  }
});

test("what moves goes from one status of the desk to another, and is taken by somebody who works there", () => {
  const desk = STATUSES.filter(([, , workflow]) => workflow === "desk");
  const open = desk.filter(([, stage]) => stage !== "finished").map(([name]) => name as string);
  const all = desk.map(([name]) => name as string);
  for (const step of steps(11)) {
    if (step.kind === "moved") {
      expect(open).toContain(step.from);
      expect(all).toContain(step.to);
      expect(step.to).not.toBe(step.from);
    }
    if (step.kind === "taken")
      expect(PEOPLE.find(({ login }) => login === step.by)?.client).toBe("");
    if (step.kind === "ranked" || step.kind === "taken") expect(open).toContain(step.status);
  }
});
