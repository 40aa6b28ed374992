import { PLAIN_DRESS } from "@/core/definition";
import { isDrawable } from "@/core/kinds";
import { parseInstant } from "@/core/time";
import { type EntityManager } from "@/data";
import { askFigure } from "@/server/reports/room";
import type { Desk } from "@/server/viewer/viewpoint";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, reportOf } from "../support/desk";

const NOW = parseInstant("2026-11-24T15:30:00Z")!;
let em: EntityManager;
let desk: Desk;

beforeAll(async () => {
  em = await goldenDatabase("headlines");
  desk = await deskFor(em, "ines", { now: () => NOW });
});
afterAll(dropDatabase);

const headline = async (sentence: string): Promise<string> => {
  const shown = await askFigure(em, desk, reportOf(sentence, desk), PLAIN_DRESS);
  if (!isDrawable(shown)) throw new Error("a list has no headline");
  return shown.says
    .map((said) => said.text)
    .join("")
    .replaceAll("\u202f", " ");
};

/** Sentences made from numbers: over every kind, measure, period and shape. */
const TABLE: readonly (readonly [string, string])[] = [
  ["count faults", "On 24 Nov 2026 there were 11 faults."],
  ["count faults where status is open", "On 24 Nov 2026 6 faults were open."],
  [
    "count faults where status is open and priority is P1",
    "On 24 Nov 2026 1 fault where priority is P1 was open.",
  ],
  [
    "count faults where status is open and priority is any of (P1, P2) and title does not contain nothing by team as bars",
    "On 24 Nov 2026 4 such faults were open.",
  ],
  [
    "average age in days of faults where status is open and priority is P1",
    "On 24 Nov 2026 the average age was 281.3 d, over 1 open fault where priority is P1.",
  ],
  [
    "count faults where created during this month and priority is P1",
    "2 faults created 1 to 30 Nov 2026 where priority is P1.",
  ],
  ["count items where key is D1", "On 24 Nov 2026 there was 1 item where key is D1."],
  [
    "count items where title contains xyzzy",
    "On 24 Nov 2026 there were 0 items where title contains xyzzy.",
  ],
  ["count faults by priority as bars", "On 24 Nov 2026 there were 11 faults; 4 of them under P2."],
  [
    "count faults where status is open by assignee as bars",
    "On 24 Nov 2026 6 faults were open; 3 of them under Tove Lindqvist.",
  ],
  [
    "count faults by month of created for last 6 months as line",
    "8 faults created 25 May to 24 Nov 2026; the first stretch counts only from 25 May 2026; Nov 2026 is not over.",
  ],
  [
    "count faults by month of created for last 6 months to date as columns",
    "8 faults created 1 Jun to 24 Nov 2026; Nov 2026 is not over.",
  ],
  ["count faults by month of created as columns", "On 24 Nov 2026 there were 11 faults."],
  [
    "count items where finished during this month so far as number",
    "12 items finished 1 to 24 Nov 2026.",
  ],
  [
    "count items where finished during last month by team as bars",
    "3 items finished 1 to 31 Oct 2026; 2 of them under Booking.",
  ],
  [
    "count faults where created during this month and status is open",
    "1 fault created 1 to 30 Nov 2026 was open on 24 Nov 2026.",
  ],
  [
    "count items by age in ranges (1, 100)",
    "On 24 Nov 2026 there were 36 items; 19 of them with none set.",
  ],
  [
    "average age in days of faults where status is open",
    "On 24 Nov 2026 the average age was 128.6 d, over 6 open faults.",
  ],
  [
    "median lead time in days of items where finished during last 3 months",
    "The median lead time was 19.63 d, over 15 items finished 25 Aug to 24 Nov 2026.",
  ],
  [
    "sum of points of stories by assignee as bars",
    "On 24 Nov 2026 the sum of points was 51.5, over 11 stories; 18 of it under Sena Whitlock.",
  ],
  [
    "sum of estimate of items",
    "On 24 Nov 2026 the sum of estimate was 10 h, over 36 items; 35 of 36 have no value.",
  ],
  ["lowest created of items", "On 24 Nov 2026 the lowest created was 24 Dec 2025, over 36 items."],
  [
    "highest due of items",
    "On 24 Nov 2026 the highest due was 3 Nov 2026, over 36 items; 29 of 36 have no value.",
  ],
  [
    "count where created during this month, count where status is open, of faults",
    "Faults on 24 Nov 2026: 3 where created during this month, 6 where status is open.",
  ],
  [
    "count, average age in days of faults where status is open by team",
    "Open faults on 24 Nov 2026: 6 in all, average age 128.6 d.",
  ],
  [
    "count where status is finished per count of faults",
    "On 24 Nov 2026 the count where status is finished per count was 45.5 %, over 11 faults.",
  ],
  [
    "count faults where created during this month so far compared with the period before",
    "3 faults created 1 to 24 Nov 2026; 2 more (+200 %) than the period before.",
  ],
  [
    "level of faults where status is open at month ends for last 6 months to date as line",
    "From 2 faults at the end of Jun 2026 to 6 now; Nov 2026 is not over.",
  ],
  [
    "level of average age in days of faults where status is open at month ends for last 6 months to date",
    "The average age of faults: from 141.2 d at the end of Jun 2026 to 128.6 d now; Nov 2026 is not over.",
  ],
  [
    "level of faults where status is open at day ends for today",
    "6 faults now; 24 Nov 2026 is not over.",
  ],
  [
    "level of items where key is D1 at month ends for last 3 months",
    "From 0 items at the end of Aug 2026 to 1 now; Nov 2026 is not over.",
  ],
  [
    "arrivals and departures of faults where status is open by month for last 6 months",
    "17 came in and 12 went out: from 1 to 6 faults.",
  ],
  [
    "arrivals of items where key is D1 by month for last 2 years",
    "1 came in: from 0 to 1 item. History begins on 24 Dec 2025; before it nothing is known.",
  ],
  [
    "arrivals and departures of sum of points of items where status is open by month for last 3 months",
    "63 came in and 48 went out: the sum of points of items went from 0 to 28, 13 of it by values that changed inside.",
  ],
  [
    "bridge of faults where status is open from 2026-10-01 to 2026-11-01",
    "From 4 to 6 faults; every part opens its items. In all 5 came in and 3 went out between them.",
  ],
  [
    "bridge of sum of points of items where status is open from 2026-10-01 to 2026-11-01",
    "The sum of points of items: from 0 to 33; every part opens its items. In all 26 came in and 10 went out between them.",
  ],
  [
    "burndown of sprint current in points",
    "28 points remain of 12 committed, as of 24 Nov 2026, 15:30. 1 of what remains is not estimated.",
  ],
  [
    "burndown of sprint current of team Booking in points",
    "28 points remain of 12 committed, as of 24 Nov 2026, 15:30. 1 of what remains is not estimated.",
  ],
  [
    "burndown of sprint current in count",
    "6 items remain of 3 committed, as of 24 Nov 2026, 15:30.",
  ],
  [
    "burndown of sprint current in remaining estimate",
    "5 h 20 min remain of 2 h committed, as of 24 Nov 2026, 15:30. 4 of what remains are not estimated.",
  ],
  [
    "velocity of team Booking in points",
    "On average 12.25 points finished, from 6.5 to 18, over 2 sprints.",
  ],
  [
    "velocity of team Booking in count",
    "On average 3.5 items finished, from 3 to 4, over 2 sprints.",
  ],
];

test.each(TABLE)("%s", async (sentence, words) => expect(await headline(sentence)).toBe(words));

test("no sentence names a day as programs do, a unit twice, or several of one", async () => {
  for (const [, words] of TABLE) {
    expect(words).not.toMatch(/\d{4}-\d\d/);
    expect(words).not.toMatch(/\b1 (items|faults|points|stories)\b/);
    expect(words).not.toMatch(/in days was .* d\b/);
  }
});
