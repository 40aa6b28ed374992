import { printReport, sentencePieces } from "./printReport";
import { parseSentence } from "./parseSentence";
import { completeSentence } from "./completeSentence";
import { checkReport } from "./checkReport";
import type { Report } from "./registry";
import fc from "fast-check";
import { Catalog } from "../catalog";
import { piecesText } from "../sentence";
import { MEANINGS } from "../sentence/meanings";
import { sampleContext, sampleData } from "../../../tests/support/sample";

import { arbitraryReport } from "../../../tests/support/arbitrary";

const context = { ...sampleContext(), meanings: MEANINGS };
const read = (text: string): Report => {
  const parsed = parseSentence(text, context);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problems[0].message}`);
  return parsed.value;
};
const wrong = (text: string) => {
  const parsed = parseSentence(text, context);
  if (parsed.ok) throw new Error(`${text} was understood`);
  return parsed.problems[0];
};
const marked = (text: string): string => {
  const { at } = wrong(text);
  return text.slice(at!.from, at!.to);
};

describe("the sentence is read and printed in one wording", () => {
  test.each([
    "count faults",
    "count faults where status is open by priority as bars",
    "count faults where status is open and team is my team by priority as bars",
    "burndown of sprint current of team Booking in points as planks",
    "sum of points of stories where sprint is current by status split by assignee as stacked bars",
    "count and average age in days of items where status is open by service top 8 as columns",
    "count requests where finished during last 30 business days by assignee then priority",
    "count faults by status folding (Logged, Triaged as Remaining) without Withdrawn as donut",
    'count faults by status folding ("In hand", "Waiting for parts" as "Being done"; Logged, not set as Rest)',
    "count requests by week of created for last 12 full weeks as line",
    "count items by fiscal quarter of finished split by kind",
    'count faults where title contains "gate reader" and followers include any of (me, "Inês Duarte")',
    "list requests where not (tags include any of (parked) or due is empty) showing key, title, assignee, age sorted by age",
    "list items where assignee's team is Booking and project's manager is me sorted by created descending, title",
    "count items where points between 2 and 5 or estimate over 3 hours",
    "count items where created between 2026-01-01 and 2026-03-31",
    "count items where created since last month and due before 2026-W14",
    "count moves where field is status and item's priority is P1 by moved by top 3",
    "count items by month of created then month of due for last 3 months to date of created",
    "count items by week of created for 2026-Q2 to 2026-09",
    "count faults where created during last 24 hours",
    "sum of minutes in hours of time entries by month of worked on for this fiscal year running total as columns",
    "count items by assignee top 3 by average points",
    "count items by assignee top 3 without rest",
    "count items by team top 2 without Booking, rest split by status top 4 without rest",
    "count items by status with empty groups",
    "count items by status without Withdrawn always Triaged, not set split by priority always P1",
    'count items where vessel is "Tern 10" by vessel',
    'count items where stage is not "finished"',
    "count items as it stood on 2026-10-31",
    "count items where priority is any of (P1, not set)",
    "distinct assignee of items",
    "count, sum of points and average age in days of items by team",
    'count items by vessel folding (Tern, Dunlin as "yn ,@")',
  ])("%s", (sentence) => {
    expect(printReport(read(sentence), context.catalog)).toBe(sentence);
  });

  test.each([
    [
      "Count FAULTS Where Status Is Open Grouped By Priority",
      "count faults where status is open by priority",
    ],
    ["count faults where closed this month", "count faults where finished during this month"],
    ["count faults where status is closed", "count faults where status is finished"],
    ["list faults newest first", "list faults sorted by created descending"],
    ["list faults oldest first", "list faults sorted by created"],
    ["count faults by service as donut chart", "count faults by service as donut"],
    ["count faults where assignee is ines", 'count faults where assignee is "Inês Duarte"'],
    ["count faults where assignee is not set", "count faults where assignee is empty"],
    [
      "count faults where status is In hand and priority is P1",
      'count faults where status is "In hand" and priority is P1',
    ],
    [
      "count faults where (status is open and priority is P1) and points over 2",
      "count faults where status is open and priority is P1 and points over 2",
    ],
    ["count items as bars by team", "count items by team as bars"],
    ["count faults   by\n priority", "count faults by priority"],
  ])("%s is printed as %s", (typed, printed) => {
    expect(printReport(read(typed), context.catalog)).toBe(printed);
  });

  test("and binds stronger than or, not stronger than and", () => {
    const { where } = read(
      "count items where not points over 2 and priority is P1 or status is open",
    );
    expect(where).toMatchObject({
      kind: "any",
      of: [{ kind: "all", of: [{ kind: "not" }, { kind: "test" }] }, { kind: "test" }],
    });
  });

  test("where two share a name the login is asked for, and printed", () => {
    expect(wrong('count items where assignee is "Alex Pym"')).toMatchObject({
      message: expect.stringContaining("write the login"),
      nearest: ["alex1", "alex2"],
    });
    expect(printReport(read("count items where assignee is alex2"), context.catalog)).toBe(
      "count items where assignee is alex2",
    );
  });

  test("a quoted name is never a key word", () => {
    expect(read('count items where title contains "open"').where).toMatchObject({
      values: [{ kind: "text", text: "open" }],
    });
    expect(read('count items where tags include any of ("me")').where).toMatchObject({
      values: [{ kind: "text", text: "me" }],
    });
  });

  test("printing a parsed sentence and parsing it again gives the same report", () => {
    fc.assert(
      fc.property(arbitraryReport(context), (report) => {
        const printed = printReport(report, context.catalog);
        expect(checkReport(report, context)).toEqual([]);
        expect(read(printed)).toEqual(report);
        expect(piecesText(sentencePieces(report, context.catalog))).toBe(printed);
      }),
      { numRuns: 300, endOnFailure: true },
    );
  });
});

describe("what is wrong is marked, with what was expected and the nearest known word", () => {
  test.each([
    ["count faults were status is open", "were", /expected.*where/, "where"],
    ["count faults where statsu is open", "statsu", /there is no field "statsu"/, "status"],
    ["count fualts", "fualts", /expected/, "faults"],
    ["average title of faults", "title", /title is a text; average needs a number/, undefined],
    ["count faults where created during last moonth", "last moonth", /not a period/, "last month"],
    [
      "count faults where created on 2026-02-30",
      "2026-02-30",
      /there is no date 2026-02-30/,
      undefined,
    ],
    [
      'count faults where assignee is "Inês Duarta"',
      '"Inês Duarta"',
      /nobody is called "Inês Duarta"/,
      '"Inês Duarte"',
    ],
    ["count faults where priority is P9", "P9", /there is no priority "P9"/, "P1"],
    ["count faults where points over many", "many", /"many" is not a number/, undefined],
    [
      "count faults where points contains 3",
      "contains",
      /"contains" needs a text; points is none/,
      undefined,
    ],
    [
      "count faults where tags is storm",
      "is",
      /needs a field with one value; tags is a list/,
      undefined,
    ],
    ["count faults where created is 2026-01-01", "is", /created is a date/, undefined],
    ["count faults by created", "created", /say by which stretch/, "month of created"],
    ["count faults by month of status", "status", /month of needs a date/, undefined],
    ["count faults for last month", "for", /for limits the date of a date group/, undefined],
    [
      "count faults by day of created for last 40 years",
      "for",
      /more than 5000 stretches of a day/,
      undefined,
    ],
    ["count faults by priority by team", "by", /stands here twice/, undefined],
    [
      "count faults as bars",
      "as",
      /bars cannot show this: it needs something to group by/,
      undefined,
    ],
    ["count faults by priority top 0", "0", /from 1 to 1000/, undefined],
    [
      "count faults by status folding (Logged as A; Logged as B)",
      "Logged",
      /in one fold only/,
      undefined,
    ],
    ["count faults as it stood on yesterdayish", "yesterdayish", /is not a date/, undefined],
    [
      "count faults where created during 2026-03-05 to 2026-03-01",
      "2026-03-05 to",
      /is before/,
      undefined,
    ],
  ])("%s", (sentence, word, message, nearest) => {
    expect(marked(sentence)).toBe(word);
    const problem = wrong(sentence);
    expect(problem.message + (problem.expected ?? []).join()).toMatch(message);
    if (nearest) expect(problem.nearest?.[0]).toBe(nearest);
  });

  test.each([
    ["count faults with status is open", "where"],
    ["count faults having status is open", "where"],
    ["count faults group by team", "by"],
    ["show faults", "list"],
    ["number of faults", "count"],
    ["avg age of faults", "average"],
    ["trend of faults", "level of"],
    ["why faults", "bridge of"],
    ["list faults order by created", "sorted by"],
    ["count faults where status was open", "is"],
    ["count faults where severity is P1", "priority"],
    ["count faults where state is open", "status"],
    ["count faults by department", "team"],
    ["count faults where assignee is nobody", "not set"],
    ["count faults where status is resolved", "finished"],
    ["count faults where assignee is myself", "me"],
    // What does not fit the place is not offered, whatever it means elsewhere.
    ["count faults where priority is myself", undefined],
  ])("%s: what people mean comes before what is spelt so", (sentence, nearest) => {
    expect(wrong(sentence).nearest?.[0]).toBe(nearest);
  });

  test("what is expected is told the likeliest first, and no long list hides it", () => {
    expect(wrong("opened faults").expected?.slice(0, 2)).toEqual(["count", "list"]);
    expect(wrong("opened faults").message).toMatch(/expected count, list, /);
    const expected = wrong("count open faults").message;
    expect(expected).toMatch(/items, .*faults/);
  });

  test("a bracket that is not closed is told with its place", () => {
    expect(wrong("count faults where (status is open").message).toBe(
      "the bracket opened at 20 is not closed",
    );
  });
  test("a quote that is not closed is told", () =>
    expect(wrong('count faults where title contains "gate').code).toBe("sentence.quoteOpen"));
  test("an unfinished sentence says what may follow", () =>
    expect(wrong("count faults where status").expected).toEqual(
      expect.arrayContaining(["is", "is any of"]),
    ));
  test("more than 10,000 characters are refused", () =>
    expect(wrong(`count faults where title contains ${"x".repeat(10_001)}`).code).toBe(
      "sentence.long",
    ));
  test("more than 100 nested brackets are refused, not overflowed", () =>
    expect(wrong(`count faults where ${"(".repeat(4000)}status is open`).code).toBe(
      "sentence.deep",
    ));

  test("no text makes the parser throw, and every problem lies inside the text", () => {
    const words = [
      "count",
      "faults",
      "where",
      "status",
      "is",
      "open",
      "by",
      "and",
      "(",
      ")",
      '"',
      ",",
      "'s",
      "top",
      "5",
      "not",
      "folding",
      "as",
      "last",
      "2026-13",
      "🚢",
      "עברית",
      "of",
      "month",
    ];
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(fc.constantFrom(...words), { maxLength: 14 }).map((list) => list.join(" ")),
        ),
        (text) => {
          const parsed = parseSentence(text, context);
          if (parsed.ok) return;
          const [{ at, message }] = parsed.problems;
          expect(message).not.toBe("");
          if (at) expect(at.from >= 0 && at.from <= at.to && at.to <= text.length).toBe(true);
        },
      ),
      { numRuns: 600, endOnFailure: true },
    );
  });
});

describe("completion", () => {
  const at = (text: string) =>
    completeSentence(text, text.length, context).list.map((one) => one.words);
  test("begins with what can be asked", () =>
    expect(at("")).toEqual(expect.arrayContaining(["count", "list", "sum of"])));
  test("offers subjects that begin so", () => expect(at("count fa")).toEqual(["faults"]));
  test("offers clauses after the subject", () =>
    expect(at("count faults ")).toEqual(expect.arrayContaining(["where", "by", "as"])));
  test("offers the operators that fit", () => {
    expect(at("count faults where created ")).toEqual(
      expect.arrayContaining(["during", "before", "since"]),
    );
    expect(at("count faults where created ")).not.toContain("contains");
  });
  test("offers the rest of an operator of several words", () =>
    expect(at("count faults where priority is any ")).toContain("of"));
  test("offers values by name, people by their full name", () => {
    expect(at("count faults where status is ")).toEqual(
      expect.arrayContaining(["open", "Logged", '"In hand"']),
    );
    expect(at("count faults where assignee is in")).toContain('"Inês Duarte"');
  });
  test("says what a period would mean", () => {
    const one = completeSentence(
      "count faults where created during last 3 f",
      42,
      context,
    ).list.find((c) => c.words === "last 3 full months");
    expect(one).toBeUndefined();
    const whole = completeSentence("count faults where created during ", 34, context).list.find(
      (c) => c.words === "last 3 full months",
    );
    expect(whole?.means).toBe("1 Aug to 31 Oct 2026");
  });
  test("replaces the word before the caret only", () => {
    const [one] = completeSentence("count fau where status is open", 9, context).list;
    expect(one).toMatchObject({ words: "faults", from: 6 });
  });
});

describe("what the field says otherwise is read, and printed in our words", () => {
  const context = { ...sampleContext(), meanings: MEANINGS };
  test.each([
    ["count items where priority = P1", "count items where priority is P1"],
    ["count items where priority != P1", "count items where priority is not P1"],
    ["count items where priority in (P1, P2)", "count items where priority is any of (P1, P2)"],
    [
      "count items where priority not in (P1, P2)",
      "count items where priority is none of (P1, P2)",
    ],
    ["count items where points > 3", "count items where points over 3"],
    [
      "count items where points >= 3 and points <= 8",
      "count items where points at least 3 and points at most 8",
    ],
    ["count items where points more than 3", "count items where points over 3"],
    ["count items where due is before today", "count items where due before today"],
    ["count items where created is after 2026-10-01", "count items where created after 2026-10-01"],
    ["count items where agent is me", "count items where assignee is me"],
    ["count items by technician", "count items by assignee"],
    ["count items by requester", "count items by raised by"],
    [
      "count items where resolved during last month",
      "count items where finished during last month",
    ],
    ["count items by month", "count items by month of created"],
    ["count items per month", "count items by month of created"],
    ["count items where created in last month", "count items where created during last month"],
    [
      "count items per week for this month vs the previous period",
      "count items by week of created for this month compared with the period before",
    ],
    [
      "count items where created during last week versus a year ago",
      "count items where created during last week compared with a year earlier",
    ],
    ["count time entries by week", "count time entries by week of worked on"],
    ["count items where overdue", "count items where due before today and status is open"],
    [
      "count items where unassigned and priority is P1",
      "count items where assignee is empty and status is open and priority is P1",
    ],
  ])("%s", (said, printed) => {
    const parsed = parseSentence(said, context);
    expect(
      parsed.ok ? printReport(parsed.value, context.catalog) : parsed.problems[0].message,
    ).toBe(printed);
  });
  test("a field of the workspace that is called so is meant before a way of saying another", () => {
    const data = {
      ...sampleData,
      customFields: [
        ...sampleData.customFields,
        { id: 99, name: "owner", type: "text" as const, many: false, choices: [] },
      ],
    };
    const own = { ...context, catalog: new Catalog(data) };
    const parsed = parseSentence("count items by owner", own);
    expect(parsed.ok && printReport(parsed.value, own.catalog)).toBe("count items by owner");
  });
});
