import { DressSchema } from "@/core/definition/schemas";
import type { Report } from "@/core/kinds";
import fc from "fast-check";
import type { Condition } from "@/core/filter";
import { conditionText } from "@/core/sentence";
import { arbitraryCondition, namedFields } from "../../../../tests/support/arbitraryConditions";
import { sampleContext, sampleView } from "../../../../tests/support/sample";
import { conditionOf, nodeOf } from "./tree";
import { asRead } from "../asRead";

const context = sampleContext();
const fields = namedFields(context);

describe("conditions as lines in groups", () => {
  test("lines and condition are two views of one thing: what goes in comes out, however nested", () => {
    fc.assert(
      fc.property(fc.option(arbitraryCondition(context, fields), { nil: undefined }), (where) => {
        const back = conditionOf(nodeOf(where));
        const told = (condition: Condition | undefined) =>
          condition ? conditionText(condition, context.catalog, "items") : null;
        // Twice round is the same as once: a lone part of a group stands for itself.
        expect(told(conditionOf(nodeOf(back.where)).where)).toBe(told(back.where));
        expect(back.off).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
  test("what is switched off lies at its place, and is in no condition", () => {
    const test = (text: string): Condition => ({
      kind: "test",
      field: ["title"],
      operator: "contains",
      values: [{ kind: "text", text }],
    });
    const root = nodeOf({ kind: "all", of: [test("a"), test("c")] }, [{ at: 1, where: test("b") }]);
    expect(
      root.of.map((node) =>
        node.kind === "leaf"
          ? [node.leaf.kind === "test" && node.leaf.values[0], node.off ?? false]
          : null,
      ),
    ).toEqual([
      [{ kind: "text", text: "a" }, false],
      [{ kind: "text", text: "b" }, true],
      [{ kind: "text", text: "c" }, false],
    ]);
    expect(conditionOf(root)).toEqual({
      where: { kind: "all", of: [test("a"), test("c")] },
      off: [{ at: 1, where: test("b") }],
    });
  });
  test("a group without lines says nothing", () =>
    expect(
      conditionOf({ kind: "group", how: "all", of: [{ kind: "group", how: "any", of: [] }] }),
    ).toEqual({ where: undefined, off: [] }));
});

describe("what a reader chose", () => {
  const status = (id: number): Condition => ({
    kind: "test",
    field: ["status"],
    operator: "is",
    values: [{ kind: "thing", thing: "status", id }],
  });
  const priority: Condition = {
    kind: "test",
    field: ["priority"],
    operator: "is",
    values: [{ kind: "thing", thing: "priority", id: 1 }],
  };
  const report: Report = {
    kind: "count",
    subject: { id: "items" },
    measures: [{ measure: "count" }],
    by: [],
    where: { kind: "all", of: [status(1), priority] },
  };
  const dress = DressSchema.parse({ readers: [{ field: "status" }] });
  test("stands in the place of the builder's condition", () =>
    expect(asRead(report, dress, { status: "status is Triaged" }, context).where).toEqual({
      kind: "all",
      of: [status(2), priority],
    }));
  test("on a field that readers may not change is not taken", () =>
    expect(asRead(report, dress, { priority: "priority is P4" }, context)).toEqual(report));
  test("that does not read leaves the builder's", () =>
    expect(asRead(report, dress, { status: "status is Nowhere" }, context).where).toEqual(
      report.where,
    ));
  test("without a choice nothing changes", () =>
    expect(asRead(report, dress, {}, sampleView())).toBe(report));
});
