import { readBundle, readCalendar, type RawBundle, type RawTable, type RefType } from ".";
import { knownBundle } from "../../../tests/support/known";

const table = (text: string): RawTable => {
  const [head, ...body] = text
    .trim()
    .split("\n")
    .map((line) => line.trim().split(","));
  return { columns: head, rows: body };
};
const read = (raw: RawBundle, more: Partial<Record<RefType, string[]>> = {}) =>
  readBundle(raw, knownBundle(more));
const reasons = (raw: RawBundle, more: Partial<Record<RefType, string[]>> = {}) =>
  read(raw, more).refused.map(
    ({ table: file, line, column, reason }) => `${file} ${line} ${column}: ${reason}`,
  );

describe("names", () => {
  test("of a file are known to rows before it, too", () => {
    expect(
      reasons({ teams: table("team,manager\nDesk,ines"), people: table("login,team\nines,Desk") }),
    ).toEqual([]);
  });
  test("are refused where their file is given and has them not", () => {
    expect(reasons({ people: table("login,team\nines,Desk"), teams: table("team\nQuay") })).toEqual(
      ['people 2 team: "Desk" is not known'],
    );
  });
  test("are taken as met where their file is missing", () => {
    const bundle = read({
      items: table("key,service,assignee,created_at\nA1,Gate readers,ines,2026-11-01T09:00:00Z"),
    });
    expect(bundle.refused).toEqual([]);
    expect([bundle.met.service, bundle.met.person]).toEqual([["Gate readers"], ["ines"]]);
  });
  test("that the workspace knows need no file", () => {
    expect(
      read(
        { items: table("key,service,created_at\nA1,Gate readers,2026-11-01T09:00:00Z") },
        { service: ["Gate readers"] },
      ).met.service,
    ).toEqual([]);
  });
  test("are exact, case included", () => {
    expect(
      reasons({
        services: table("service\nGate readers"),
        items: table("key,service,created_at\nA1,gate readers,2026-11-01T09:00:00Z"),
      }),
    ).toEqual(['items 2 service: "gate readers" is not known']);
  });
});

describe("columns", () => {
  test("come in any order, and those that are missing are told when they are needed", () => {
    expect(reasons({ items: table("created_at,title,key\n2026-11-01T09:00:00Z,One,A1") })).toEqual(
      [],
    );
    expect(reasons({ items: table("key,title\nA1,One") })).toEqual([
      "items 2 created_at: the column created_at is missing",
    ]);
  });
  test("that nobody knows become custom fields, with a proposed type", () => {
    const { customFields, rows } = read({
      items: table(
        "key,created_at,draught,insured\nA1,2026-11-01T09:00:00Z,2.5,yes\nA2,2026-11-01T09:00:00Z,3,no",
      ),
    });
    expect(customFields.map(({ name, type }) => [name, type])).toEqual([
      ["draught", "number"],
      ["insured", "yesNo"],
    ]);
    expect(rows.items![0].values).toMatchObject({
      "custom:draught": "2.5",
      "custom:insured": "yes",
    });
  });
  test("fields.csv fixes the type, and then values must fit it", () => {
    const fields = table("field,type,choices\ninspected,date,");
    expect(
      reasons({ fields, items: table("key,created_at,inspected\nA1,2026-11-01T09:00:00Z,soon") }),
    ).toEqual(['items 2 inspected: "soon" is not a date']);
  });
  test("a row with more cells than the header is refused", () => {
    expect(reasons({ items: table("key,created_at\nA1,2026-11-01T09:00:00Z,beyond") })).toEqual([
      "items 2 created_at: the row has more cells than the header",
    ]);
  });
});

describe("what must go together", () => {
  test.each([
    [
      "a project that ends before it starts",
      { projects: table("project,starts_on,ends_on\nQuay,2026-02-01,2026-01-01") },
      /ends_on is before starts_on/,
    ],
    [
      "a sprint that ends before it starts",
      { sprints: table("sprint,starts_at,ends_at\nS,2026-02-01,2026-01-01") },
      /ends_at is before starts_at/,
    ],
    [
      "an item deleted before it was created",
      { items: table("key,created_at,deleted_at\nA1,2026-02-01,2026-01-01") },
      /deleted before it was created/,
    ],
    [
      "a working week of no days",
      { workspace: table("setting,value\nworking_days,Funday") },
      /does not fit working_days/,
    ],
    [
      "working hours that end before they begin",
      { workspace: table("setting,value\nworking_hours,17:00-09:00") },
      /does not fit working_hours/,
    ],
    [
      "a setting nobody knows",
      { workspace: table("setting,value\ncolour,red") },
      /is not a setting/,
    ],
    [
      "a custom field of no type",
      { fields: table("field,type\nx,colour") },
      /is not a type of field/,
    ],
  ])("%s", (_name, raw, says) => {
    expect(reasons(raw as RawBundle)).toEqual([expect.stringMatching(says)]);
  });
  test("bare local times are taken in the bundle's own zone", () => {
    const { rows } = read({
      workspace: table("setting,value\ntime_zone,Asia/Kathmandu"),
      items: table("key,created_at\nA1,2026-11-01T09:00:00"),
    });
    expect(rows.items![0].values.created_at).toBe(Date.UTC(2026, 10, 1, 3, 15) * 1000);
  });
  test("the values of a move are read as those of its field", () => {
    const raw = (move: string): RawBundle => ({
      items: table("key,created_at,points\nA1,2026-11-01T09:00:00Z,3"),
      priorities: table("priority\nP1"),
      moves: table(`key,at,field,from,to,by\n${move}`),
    });
    expect(reasons(raw("A1,2026-11-02T09:00:00Z,points,one,3,"))).toEqual([
      'moves 2 from: "one" is not a number',
    ]);
    expect(reasons(raw("A1,2026-11-02T09:00:00Z,priority,,P9,"))).toEqual([
      'moves 2 to: "P9" is not known',
    ]);
    expect(reasons(raw("A1,2026-11-02T09:00:00Z,due_at,2026-11-05,,"))).toEqual([]);
  });
});

describe("the calendar of a workspace", () => {
  test("takes its defaults where nothing is said", () => {
    expect(readCalendar({}, [])).toMatchObject({
      zone: "UTC",
      weekStarts: "Mon",
      fiscalYearStarts: 1,
      workingDays: [1, 2, 3, 4, 5],
      workingHours: { from: 540, to: 1020 },
      locale: "en",
    });
  });
  test("reads what is said", () => {
    const calendar = readCalendar(
      {
        week_starts: "Sun",
        working_days: "Sun;Mon;Tue",
        working_hours: "08:30-16:00",
        fiscal_year_starts: "4",
      },
      ["2026-11-05"],
    );
    expect(calendar).toMatchObject({
      weekStarts: "Sun",
      workingDays: [7, 1, 2],
      workingHours: { from: 510, to: 960 },
      fiscalYearStarts: 4,
    });
    expect(calendar.holidays.has("2026-11-05")).toBe(true);
  });
});

test("columns that nothing reads are named; in items they become fields of one's own", () => {
  const bundle = read({
    teams: table("team,colour,\nDesk,blue,"),
    items: table("key,mood,created_at\nA1,fine,2026-11-01T09:00:00Z"),
  });
  expect(bundle.unread).toEqual([{ table: "teams", column: "colour" }]);
  expect(bundle.customFields.map((field) => field.name)).toEqual(["mood"]);
});
