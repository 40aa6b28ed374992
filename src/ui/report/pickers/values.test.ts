import { sampleContext } from "../../../../tests/support/sample";
import { nameableValues, sameValue, withAlways } from "./values";

const context = sampleContext();
const field = (id: string) => context.catalog.findPath("items", [id])![0];

test("values are the same whatever the order in which they are written", () => {
  expect(
    sameValue({ kind: "thing", thing: "team", id: 1 }, {
      id: 1,
      thing: "team",
      kind: "thing",
    } as never),
  ).toBe(true);
  expect(
    sameValue({ kind: "thing", thing: "team", id: 1 }, { kind: "thing", thing: "team", id: 2 }),
  ).toBe(false);
});

test("a group forgets what is always shown when nothing is", () => {
  const group = { field: ["team"], top: { count: 3 } };
  const kept = withAlways(group, [{ kind: "unset" }]);
  expect(kept).toEqual({ ...group, always: [{ kind: "unset" }] });
  expect(withAlways(kept, [])).toEqual(group);
});

test("things, choices and stages can be named without records, other values cannot", () => {
  expect(
    nameableValues(field("priority"), context.catalog).map((line) => [line.label, line.count]),
  ).toEqual(context.catalog.names.list("priority").map((priority) => [priority.label, 0]));
  expect(nameableValues(field("stage"), context.catalog).map((line) => line.value)).toEqual([
    { kind: "stage", stage: "waiting" },
    { kind: "stage", stage: "under way" },
    { kind: "stage", stage: "finished" },
  ]);
  expect(nameableValues(field("SLA resolution"), context.catalog)[0].value).toEqual({
    kind: "text",
    text: "met",
  });
  expect(nameableValues(field("title"), context.catalog)).toEqual([]);
});
