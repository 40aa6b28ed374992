import type { ShownFilter } from "@/contract/dashboards";
import { sampleContext } from "../../../../tests/support/sample";
import { NOT_NARROWED } from "./narrowed";
import { emptyTest, filterName, offeredAmong, readSaid, saidParts, withValues } from "./said";

const context = sampleContext();
const filter = (field: readonly string[], more: Partial<ShownFilter> = {}): ShownFilter => ({
  id: field.join("/"),
  subject: "items",
  field: [...field],
  says: null,
  ...more,
});

test.each([
  ["priority is P1", "priority", "is", "P1"],
  ["priority is any of (P1, P2)", "priority", "is any of", "P1, P2"],
  ["team is empty", "team", "", "is empty"],
  ["raised by is me", "raised by", "is", "me"],
  ["created during last month", "created", "during", "last month"],
])("%s is said in its parts", (says, field, operator, value) =>
  expect(saidParts(says, "items", context)).toEqual({ field, operator, value }),
);

test.each(["priority is P1 or status is open", "no such field is 1", "not priority is P1"])(
  "%s, which is no simple test, stands whole",
  (says) =>
    expect(saidParts(says, "items", context)).toEqual({ field: "", operator: "", value: says }),
);

test("a filter is called as its builder says, or as its field", () => {
  expect(filterName(filter(["raised_by"], { label: "who asks" }), context)).toBe("who asks");
  expect(filterName(filter(["priority"]), context)).toBe("priority");
});

test("a filter without a value begins with the test that fits its field; of a field that is gone there is none", () => {
  expect(emptyTest(filter(["priority"]), context)).toMatchObject({ operator: "isAnyOf" });
  expect(emptyTest(filter(["created"]), context)).toMatchObject({ operator: "during" });
  expect(emptyTest(filter(["gone"]), context)).toBeNull();
});

test("what depends on another offers its values among what that leaves", () => {
  const parent = filter(["priority"], { says: "priority is P1" });
  const child = filter(["status"], { dependsOn: parent.id });
  const among = offeredAmong(child, [parent, child], NOT_NARROWED, context);
  expect(among.where).toEqual(readSaid("priority is P1", "items", context));
  expect(offeredAmong(parent, [parent, child], NOT_NARROWED, context).where).toBeUndefined();
});

test("a test keeps only the values that still fit, and nothing where none does", () => {
  const test = readSaid("priority is any of (P1, P2)", "items", context);
  if (test?.kind !== "test") throw new Error("no test");
  expect(withValues(test, test.values.slice(0, 1), context, "items")).toBe(
    "priority is any of (P1)",
  );
  expect(withValues(test, [], context, "items")).toBeNull();
});
