import { parseSentence } from "../kinds";
import { conditionSql } from "../filter/sql";
import { Relation } from "../relation";
import { sampleView } from "../../../tests/support/sample";

import { bind, compile, identifier, joined, sql } from ".";

describe("fragments", () => {
  test("values become parameters, equal ones of one type share one", () => {
    const { text, values } = compile(
      sql`a = ${bind(1, "int")} AND b = ${bind("x", "text")} AND c = ${bind(1, "int")} AND d = ${bind(1, "bigint")}`,
    );
    expect(text).toBe("a = $1::int AND b = $2::text AND c = $1::int AND d = $3::bigint");
    expect(values).toEqual([1, "x", 1]);
  });
  test("fragments nest", () => {
    expect(compile(sql`(${joined([sql`a`, sql`b = ${bind(2, "int")}`], " OR ")})`)).toEqual({
      text: "(a OR b = $1::int)",
      values: [2],
    });
  });
  test.each(["a; DROP TABLE items", 'a"', "A", "a b", ""])("%s is no identifier", (name) =>
    expect(() => identifier(name)).toThrow("not an identifier"),
  );
});

describe("a relation", () => {
  const where = (condition: string, view = sampleView()) => {
    const parsed = parseSentence(`list items where ${condition}`, view);
    if (!parsed.ok || !parsed.value.where) throw new Error(condition);
    const relation = new Relation("items", view);
    const test = conditionSql(parsed.value.where, relation);
    return compile(sql`SELECT 1 FROM ${relation.from()} WHERE ${test} AND ${relation.guard()}`);
  };
  test("no value that somebody typed becomes text of a statement", () => {
    const evil = `x'; DROP TABLE items; --`;
    const { text, values } = where(
      `title contains "${evil}" or vessel is "${evil}" or tags include any of ("${evil}")`,
    );
    expect(text).not.toContain("DROP");
    expect(JSON.stringify(values)).toContain("drop table items");
  });
  test("row rights are a test of every statement, and none for who may see all", () => {
    expect(where("points over 2", sampleView({ projects: [1, 2] })).text).toContain(
      "r.project_id = ANY(",
    );
    expect(where("points over 2", sampleView({ projects: [] })).text).toContain(
      "r.project_id IS NULL",
    );
    expect(where("points over 2").text).not.toContain("project_id");
  });
  test("in the past tracked fields are read from the state, untracked ones from the item", () => {
    const { text } = where('priority is P1 and title contains "gate"', sampleView({ past: true }));
    expect(text).toContain("r_state.priority_id");
    expect(text).toContain("normalize(r.title");
    expect(text).toContain("r.created_at <=");
  });
  test("what is reached through owners is joined once", () => {
    const { text } = where("assignee's team is Desk and assignee's client is empty");
    expect(text.match(/LEFT JOIN people/g)).toHaveLength(1);
  });
  test("a parent is joined only where it may be seen", () => {
    expect(where('parent is "D1"', sampleView({ projects: [1] })).text).toMatch(
      /LEFT JOIN items j\d ON .*project_id = ANY/,
    );
  });
  test("stages are tested on the status, which has the index", () => {
    expect(where('stage is not "finished"').text).toContain("r.status_id = ANY(");
  });
  test("things that are hidden from the viewer match nothing", () => {
    const view = sampleView();
    const relation = new Relation("items", view);
    const unknown = {
      kind: "test" as const,
      field: ["project"],
      operator: "is" as const,
      values: [{ kind: "thing" as const, thing: "project" as const, id: 999 }],
    };
    expect(compile(conditionSql(unknown, relation)).values).toEqual([[]]);
  });
});
