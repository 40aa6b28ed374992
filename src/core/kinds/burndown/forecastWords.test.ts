import type { Forecast } from "../../history";
import { forecastSentences, oddsWords } from "./forecastWords";
import type { ShownForecast } from "./planForecast";

const fan = (done: readonly number[]): Forecast => ({
  days: { p50: null, p85: null, p95: null },
  runs: 10_000,
  rests: 60,
  fan: done.map((share, day) => ({ day, p5: 0, p15: 0, p50: 0, p85: 0, p95: 0, done: share })),
});
const shown = (more: Partial<ShownForecast>): ShownForecast => ({
  why: null,
  forecast: fan([0, 1]),
  days: ["2026-11-24", "2026-11-25", "2026-11-26"],
  withoutScope: { p50: 1, p85: 1, p95: 2 },
  drew: { of: "the sprints of Booking", from: "2026-09-01", to: "2026-11-23", days: 48 },
  ...more,
});

test.each([
  [[0, 0.07, 0.4], "2026-11-25", "1 run in 14 makes"],
  [[0, 0.07, 0.62], "2026-11-27", "62 in 100 runs make"],
  [[0, 0, 0.5], "2026-11-25", "No run makes"],
  [[0, 0.999, 1], "2026-11-26", "Nearly every run makes"],
  [[0, 0.5, 1], "2026-11-20", "No run makes"],
])("the odds of a planned end: %j by %s: %s", (done, planned, words) =>
  expect(oddsWords(shown({ forecast: fan(done) }), planned)).toBe(words),
);

const NONE = "oo few runs end within two years to name a day";
test.each([
  [{ p50: 1, p85: 1, p95: 2 }, "85 % of the runs are done by 25 Nov 2026 and 95 % by 26 Nov 2026."],
  [{ p50: 2, p85: 2, p95: 2 }, "95 % of the runs are done by 26 Nov 2026."],
  [
    { p50: 0, p85: 1, p95: 2 },
    "Half of the runs are done by 24 Nov 2026, 85 % by 25 Nov 2026 and 95 % by 26 Nov 2026.",
  ],
  [
    { p50: 1, p85: 2, p95: null },
    `Half of the runs are done by 25 Nov 2026 and 85 % by 26 Nov 2026; t${NONE} for 95 %.`,
  ],
  [
    { p50: 2, p85: null, p95: null },
    `Half of the runs are done by 26 Nov 2026; t${NONE} for 85 %.`,
  ],
  [{ p50: null, p85: null, p95: null }, `T${NONE}.`],
])("%j is said in whole sentences", (days, words) => {
  const said = forecastSentences(shown({ forecast: { ...fan([0, 1]), days }, withoutScope: days }));
  expect(said[0]).toBe(words);
  expect(said[1]).toBe(`If nothing more is added, ${words[0].toLowerCase()}${words.slice(1)}`);
});

test("it says which days it drew, and why there is none", () => {
  expect(forecastSentences(shown({})).at(-1)).toMatch(
    /^10.000 runs, each drawn from 48 working days of the sprints of Booking \(1 Sep to 23 Nov 2026\)\.$/,
  );
  expect(
    forecastSentences({ why: "Why.", forecast: null, days: [], withoutScope: null, drew: null }),
  ).toEqual(["Why."]);
});
