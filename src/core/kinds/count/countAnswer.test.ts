import { type Measurement, mergeRows, trendBuckets, type CountParts } from "./planCount";
import type { CountReport } from "./definition";
import { countAnswer } from "./countAnswer";
import { percentagesOf } from "./percentages";
import { parseSentence } from "../parseSentence";
import type { Viewpoint } from "../../relation";
import { sampleView } from "../../../../tests/support/sample";
import { foldKey, NONE, REST, valueKey } from "../../definition";
import { termsOf, tierOf, type Aggregate } from "../../plan";

const view = sampleView();
const reportOf = (sentence: string, from: Viewpoint = view): CountReport => {
  const parsed = parseSentence(sentence, from);
  if (!parsed.ok || parsed.value.kind !== "count") throw new Error(sentence);
  return parsed.value;
};

const counted = (keys: string[], records: number): Aggregate => ({
  keys,
  records,
  measures: [{ records, filled: null, parts: [String(records)] }],
});

/** What the database would have said: rows of the finest level, the coarser ones merged from them. */
function partsOf(sentence: string, rows: Aggregate[], more: Partial<CountParts> = {}): CountParts {
  const report = reportOf(sentence);
  const tiers = [...report.by, ...(report.split ? [report.split] : [])].map((group) =>
    tierOf(group, view, "items"),
  );
  const terms = termsOf(report.measures, view.catalog);
  const finest = tiers.map((_, i) => i);
  const depth = report.by.length;
  const wanted = Array.from({ length: depth + 1 }, (_, n) => finest.slice(0, n)).flatMap((keys) =>
    report.split ? [keys, [...keys, depth]] : [keys],
  );
  const levels: Measurement[] = wanted.map((keys) => ({
    keys,
    rows: keys.length === finest.length ? rows : mergeRows(rows, keys, terms.terms),
  }));
  return {
    report,
    view,
    tiers,
    tops: tiers.map(() => undefined),
    others: tiers.map(() => 0),
    levels,
    hidden: null,
    buckets: trendBuckets(report, view),
    manyValued: false,
    before: null,
    ...terms,
    ...more,
  };
}

const labels = (parts: CountParts): string[] =>
  countAnswer(parts).rows.map((row) => row.path.map((head) => head.label).join(" · "));

describe("the order of groups", () => {
  test("statuses stand in workflow order, not set last", () => {
    const rows = [
      counted([NONE], 2),
      counted([valueKey(5)], 1),
      counted([valueKey(1)], 4),
      counted([valueKey(3)], 3),
    ];
    expect(labels(partsOf("count items by status", rows))).toEqual([
      "Logged",
      "In hand",
      "Signed off",
      "not set",
    ]);
  });
  test("people stand by the name that is read, two of one name with their logins", () => {
    const rows = [
      counted([valueKey(3)], 1),
      counted([valueKey(5)], 1),
      counted([valueKey(4)], 1),
      counted([valueKey(2)], 1),
    ];
    const view4 = partsOf("count items by assignee", rows);
    expect(labels(view4)).toEqual(
      expect.arrayContaining(["alex1", "alex2", "Bram Okoro", "Tove Lindqvist"]),
    );
  });
  test("choices stand as they were defined, unknown ones after them", () => {
    const rows = ["storm", "calm", "hail"].map((text) => counted([valueKey(text)], 1));
    expect(labels(partsOf("count items by weather", rows))).toEqual(["calm", "storm", "hail"]);
  });
  test("numbers stand by size", () => {
    const rows = ["10", "9", "0.5"].map((text) => counted([valueKey(text)], 1));
    expect(labels(partsOf("count items by points", rows))).toEqual(["0.5", "9", "10"]);
  });
  test("a fold stands where its first value would", () => {
    const rows = [counted([valueKey(1)], 1), counted([foldKey(0)], 5), counted([valueKey(5)], 1)];
    expect(
      labels(
        partsOf('count items by status folding ("Waiting for parts", Triaged as Later)', rows),
      ),
    ).toEqual(["Logged", "Later", "Signed off"]);
  });
  test("a top N goes by its measure, then the rest, then not set", () => {
    const rows = [
      counted([NONE], 9),
      counted([REST], 7),
      counted([valueKey(1)], 2),
      counted([valueKey(2)], 5),
    ];
    const parts = partsOf("count items by service top 2", rows);
    expect(labels({ ...parts, tops: [[valueKey(2), valueKey(1)]] })).toEqual([
      "Ticket kiosks",
      "Gate readers",
      "rest",
      "not set",
    ]);
  });
  test("weekdays begin with the week's first day", () => {
    const rows = ["7", "1", "3"].map((day) => counted([valueKey(day)], 1));
    expect(labels(partsOf("count items by weekday of created", rows))).toEqual([
      "Mon",
      "Wed",
      "Sun",
    ]);
  });
});

describe("what is there without records", () => {
  test("groups without records are not listed", () => {
    expect(labels(partsOf("count items by priority", [counted([valueKey(2)], 1)]))).toEqual(["P2"]);
  });
  test("unless empty groups are asked for; hidden ones stay away", () => {
    expect(
      labels(
        partsOf("count items by priority without P3 with empty groups", [
          counted([valueKey(2)], 1),
        ]),
      ),
    ).toEqual(["P1", "P2", "P4"]);
  });
  test.each([
    ["the value that is asked for by name", "count items by priority always P4", ["P2", "P4"]],
    [
      "as the fold that it is in",
      "count items by priority folding (P3, P4 as Later) always P4",
      ["P2", "Later"],
    ],
    [
      "what is not set, last",
      "count items by priority always not set, P1",
      ["P1", "P2", "not set"],
    ],
    [
      "not beside a top N, where it would be of the rest",
      "count items by priority top 3 always P4",
      ["P2"],
    ],
  ])("%s is there without records", (_what, sentence, shown) => {
    expect(labels(partsOf(sentence, [counted([valueKey(2)], 1)]))).toEqual(shown);
  });
  test("a value is there once, however it is spelled", () => {
    expect(
      labels(partsOf("count items by title always STORM, calm", [counted([valueKey("Storm")], 1)])),
    ).toEqual(["calm", "Storm"]);
  });
  test("every stretch of a trend is there, the one that is not over is marked", () => {
    const answer = countAnswer(
      partsOf("count items by month of created for last 3 months", [
        counted([valueKey("2026-10-01")], 4),
      ]),
    );
    expect(answer.rows.map((row) => [row.path[0].label, row.cells[0].value])).toEqual([
      ["from 25 Aug 2026", "0"],
      ["Sep 2026", "0"],
      ["Oct 2026", "4"],
      ["Nov 2026", "0"],
    ]);
    expect(answer.rows.map((row) => row.path[0].bucket?.soFar)).toEqual([
      false,
      false,
      false,
      true,
    ]);
    expect(answer.rows[0].path[0].bucket?.partial).toBe(true);
  });
  test("every cell of a split is there, in one order", () => {
    const rows = [counted([valueKey(1), valueKey(2)], 3), counted([valueKey(2), valueKey(1)], 4)];
    const answer = countAnswer(partsOf("count items by priority split by kind", rows));
    expect(answer.split.map((head) => head.label)).toEqual(["fault", "request"]);
    expect(answer.rows.map((row) => row.parts.map((cells) => cells[0].value))).toEqual([
      ["0", "3"],
      ["4", "0"],
    ]);
    expect(answer.columnTotals.map((cells) => cells[0].value)).toEqual(["4", "3"]);
  });
  test("nothing at all is a total of 0 and no rows", () => {
    const answer = countAnswer(partsOf("count items by priority", []));
    expect([answer.rows, answer.total[0]]).toEqual([[], { value: "0", records: 0, empties: 0 }]);
  });
});

describe("totals and measures", () => {
  const measured = (
    keys: string[],
    records: number,
    filled: number,
    parts: string[],
  ): Aggregate => ({ keys, records, measures: [{ records, filled, parts }] });
  test("an average is made from sums, never from averages; empties are told apart", () => {
    const rows = [
      measured([valueKey(1)], 3, 2, ["10", "2"]),
      measured([valueKey(2)], 8, 8, ["8", "8"]),
      measured([valueKey(3)], 2, 0, ["0", "0"]),
    ];
    const answer = countAnswer(partsOf("average points of items by priority", rows));
    expect(answer.rows.map((row) => row.cells[0])).toEqual([
      { value: "5", records: 3, empties: 1 },
      { value: "1", records: 8, empties: 0 },
      { value: null, records: 2, empties: 2 },
    ]);
    expect(answer.total[0]).toEqual({ value: "1.8", records: 13, empties: 3 });
  });
  test("durations are told in the unit that was asked for", () => {
    const answer = countAnswer(
      partsOf("sum of estimate in hours of items by priority", [
        measured([valueKey(1)], 1, 1, ["90"]),
      ]),
    );
    expect([answer.rows[0].cells[0].value, answer.measures[0].unit]).toEqual(["1.5", "hours"]);
  });
  test("a running total adds each to those before", () => {
    const rows = [counted([valueKey("2026-09-01")], 2), counted([valueKey("2026-10-01")], 3)];
    const answer = countAnswer(
      partsOf("count items by month of created for last 2 full months running total", rows),
    );
    expect(answer.rows.map((row) => row.running)).toEqual([["2"], ["5"]]);
  });
  test("with tiers the coarser rows are there too", () => {
    const rows = [
      counted([valueKey(1), valueKey(1)], 3),
      counted([valueKey(1), valueKey(2)], 4),
      counted([valueKey(2), valueKey(1)], 5),
    ];
    const answer = countAnswer(partsOf("count items by priority then kind", rows));
    expect(answer.tiers[0].map((row) => [row.path[0].label, row.cells[0].value])).toEqual([
      ["P1", "7"],
      ["P2", "5"],
    ]);
    expect(answer.rows).toHaveLength(3);
  });
});

describe("percentages of an answer", () => {
  const rows = [
    counted([valueKey(1), valueKey(1)], 1),
    counted([valueKey(1), valueKey(2)], 2),
    counted([valueKey(2), valueKey(1)], 3),
  ];
  const answer = countAnswer(partsOf("count items by priority split by kind", rows));
  test("of all and of what is shown: rows and cells each add up", () => {
    expect(percentagesOf(answer, "all", 0)).toEqual({
      rows: ["50", "50"],
      cells: [
        ["17", "33"],
        ["50", "0"],
      ],
    });
  });
  test("of their own row", () => {
    expect(percentagesOf(answer, "own row", 1)).toEqual({
      rows: [null, null],
      cells: [
        ["33.3", "66.7"],
        ["100.0", "0.0"],
      ],
    });
  });
  test("of their own column", () => {
    expect(percentagesOf(answer, "own column", 0)).toEqual({
      rows: [null, null],
      cells: [
        ["25", "100"],
        ["75", "0"],
      ],
    });
  });
  test("with hidden groups in the base, what is shown is under 100", () => {
    const hidden = countAnswer(
      partsOf(
        "count items by priority without P3",
        [counted([valueKey(1)], 6), counted([valueKey(2)], 2)],
        { hidden: counted([], 10) },
      ),
    );
    expect(percentagesOf(hidden, "all", 0).rows).toEqual(["60", "20"]);
    expect(percentagesOf(hidden, "shown", 0).rows).toEqual(["75", "25"]);
  });
  test("a measure that does not add up has none", () => {
    const averages = countAnswer(
      partsOf("average points of items by priority", [
        {
          keys: [valueKey(1)],
          records: 1,
          measures: [{ records: 0, filled: 1, parts: ["3", "1"] }],
        },
      ]),
    );
    expect(percentagesOf(averages, "all", 1).rows).toEqual([null]);
  });
});
