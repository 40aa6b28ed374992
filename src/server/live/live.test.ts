import { concerns } from "./live";

test.each([
  [null, "4", true],
  [new Set(["4", "9"]), "1,9", true],
  [new Set(["4"]), "1,9", false],
  [new Set<string>(), "none,1", true],
  [new Set<string>(), "1", false],
  [new Set(["1"]), "11,21", false],
] as const)("whoever sees %j of %s is told: %s", (projects, told, isTold) =>
  expect(concerns(projects, told)).toBe(isTold),
);
