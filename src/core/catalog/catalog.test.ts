import { derivedSql } from "./sql";
import { sampleContext } from "../../../tests/support/sample";
import { lastOf, pathWords, SUBJECT_IDS, subjects, THING_TYPES, thingFields } from ".";

const { catalog } = sampleContext();
const { names } = catalog;

describe("names", () => {
  test("logins come before full names, whatever the case", () => {
    expect(names.named("person", "INES").map((thing) => thing.id)).toEqual([1]);
    expect(names.named("person", "inês duarte").map((thing) => thing.id)).toEqual([1]);
  });
  test("where two share a name both are meant, and each is printed by login", () => {
    const both = names.named("person", "Alex Pym");
    expect(both.map((thing) => thing.name)).toEqual(["alex1", "alex2"]);
    expect(both.map((thing) => names.printed("person", thing))).toEqual(["alex1", "alex2"]);
    expect(names.printed("person", names.find("person", 1)!)).toBe("Inês Duarte");
  });
  test("a mistyped part of a name finds the whole", () => {
    expect(names.nearest("person", "Inês Duarta")).toEqual(["Inês Duarte"]);
    expect(names.nearest("status", "Tirage")).toEqual(["Triaged"]);
    expect(names.nearest("team", "xyzzy")).toEqual([]);
  });
  test("open means waiting and under way", () => {
    expect(names.statusesOf("open").map((status) => status.name)).toEqual([
      "Logged",
      "Triaged",
      "In hand",
      "Waiting for parts",
    ]);
    expect(names.statusesOf("finished").map((status) => status.name)).toEqual([
      "Signed off",
      "Withdrawn",
    ]);
  });
  test("what is not known comes after all that is", () =>
    expect(names.orderOf("status", 99)).toBeGreaterThan(names.orderOf("status", 6)));
});

describe("fields", () => {
  test("are reached through their owners", () => {
    const path = catalog.findPath("items", ["assignee", "team"])!;
    expect([pathWords(path), lastOf(path).thing]).toEqual(["assignee's team", "team"]);
    expect(pathWords(catalog.findPath("moves", ["item", "priority"])!)).toBe("item's priority");
  });
  test("that are gone are not found", () => {
    expect(catalog.findPath("items", ["gone"])).toBeUndefined();
    expect(catalog.findPath("items", ["title", "team"])).toBeUndefined();
    expect(catalog.findPath("items", [])).toBeUndefined();
  });
  test("of the workspace's own are fields like any", () => {
    expect(catalog.fieldsOf("items").find((field) => field.words === "vessel")).toMatchObject({
      id: "custom:7",
      type: "text",
      source: { kind: "custom", id: 7 },
    });
  });
  test.each(SUBJECT_IDS)("%s has its columns, its order and no name twice", (id) => {
    const fields = catalog.fieldsOf(id);
    const words = fields.flatMap((field) => [field.words, ...(field.synonyms ?? [])]);
    expect(new Set(words).size).toBe(words.length);
    for (const column of [...subjects[id].showing, subjects[id].sorted.field])
      expect(fields.map((field) => field.id)).toContain(column);
  });
  test.each(THING_TYPES)("what is reached through a %s names only things there are", (type) => {
    for (const field of thingFields[type])
      if (field.thing) expect(THING_TYPES).toContain(field.thing);
  });
});

describe("subjects", () => {
  test("kinds are named by their plural, one of them by its name", () => {
    expect(catalog.subjectNames().map(({ words }) => words)).toEqual([
      "faults",
      "requests",
      "stories",
      "items",
      "moves",
      "time entries",
      "cost entries",
      "planned costs",
      "billings",
      "person days",
      "projects",
      "assets",
      "milestones",
      "weekly words",
    ]);
    expect([
      catalog.countedWords({ id: "items", kind: 1 }, 1),
      catalog.countedWords({ id: "items", kind: 1 }, 2),
      catalog.countedWords({ id: "timeEntries" }, 1),
    ]).toEqual(["fault", "faults", "time entry"]);
  });
});

test("every derived field is worked out by what its name says", () => {
  for (const id of SUBJECT_IDS)
    for (const field of [...subjects[id].fields, ...Object.values(thingFields).flat()])
      if (field.source.kind === "derived")
        expect([field.id, field.source.name in derivedSql]).toEqual([field.id, true]);
});
