import { PLAIN_DRESS, type Fold, type Group } from "@/core/definition";
import type { CountReport, Shown } from "@/core/kinds";
import { unplacedIn, withPlaced } from "./placed";

const FOLD = { name: "Remaining", values: [] } as unknown as Fold;
const folded: Group = { field: ["status"], folds: [FOLD] };
const plain: Group = { field: ["team"] };
const report = (by: Group[], split?: Group): CountReport => ({
  kind: "count",
  measures: [{ measure: "count" }],
  subject: { id: "items" },
  by,
  ...(split ? { split } : {}),
});

const head = (key: string, kind = "value") => ({ key, kind, label: `label of ${key}` });
/** An answer of which only the heads matter here. */
const shown = (paths: readonly (readonly object[])[], split: readonly object[] = []): Shown =>
  ({
    kind: "count",
    answer: { rows: paths.map((path) => ({ path })), split },
  }) as unknown as Shown;

const before = shown([[head("v1")], [head("v2")], [head("f0", "fold")], [head("n", "none")]]);

test("what is there when the folds are made is placed: each value once, and values only", () => {
  const twice = shown([[head("v1")], [head("v1")], [head("v2")], [head("f0", "fold")]]);
  expect(withPlaced(PLAIN_DRESS, twice, report([folded])).placed).toEqual({ "0": ["v1", "v2"] });
});

test("without folds nothing is remembered, and the dress stays the same", () => {
  expect(withPlaced(PLAIN_DRESS, before, report([plain]))).toBe(PLAIN_DRESS);
  expect(withPlaced(PLAIN_DRESS, null, report([folded]))).toBe(PLAIN_DRESS);
});

test("a later value is told by its label, and only until it is placed", () => {
  const made = withPlaced(PLAIN_DRESS, before, report([folded]));
  const after = shown([[head("v1")], [head("v2")], [head("v9")], [head("v9")]]);
  expect(unplacedIn(before, made, report([folded]))).toEqual([]);
  expect(unplacedIn(after, made, report([folded]))).toEqual(["label of v9"]);
  const again = withPlaced(made, after, report([folded]));
  expect(unplacedIn(after, again, report([folded]))).toEqual([]);
});

test("folds of a split and of a second group are places of their own", () => {
  const two = shown([[head("v1"), head("v5")]], [head("v7")]);
  const asked = report([plain, folded], folded);
  expect(withPlaced(PLAIN_DRESS, two, asked).placed).toEqual({ "1": ["v5"], split: ["v7"] });
  const later = shown([[head("v1"), head("v6")]], [head("v7"), head("v8")]);
  expect(unplacedIn(later, withPlaced(PLAIN_DRESS, two, asked), asked)).toEqual([
    "label of v6",
    "label of v8",
  ]);
});

test("where nothing was remembered nothing is told", () => {
  expect(unplacedIn(before, PLAIN_DRESS, report([folded]))).toEqual([]);
});
