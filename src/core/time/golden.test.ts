import {
  parsePeriod,
  resolvePeriod,
  bucketsOf,
  instantText,
  parseInstant,
  type BucketGrain,
} from ".";
import { goldenCalendar, goldenCases } from "../../../tests/golden/load";

const when = (text: string) => parseInstant(text)!;
const periodOf = (text: string) => {
  const parsed = parsePeriod(text);
  if (!parsed.ok) throw new Error(parsed.problems[0].message);
  return parsed.value;
};

describe("golden cases of periods and buckets", () => {
  test.each(goldenCases(["period"]).map((c) => [c.id, c.says, c] as const))(
    "%s %s",
    (_id, _says, c) => {
      const got = resolvePeriod(
        periodOf(c.question.period!),
        when(c.now),
        goldenCalendar(c.question.workspace),
      );
      expect({
        from: got.from,
        to: got.to,
        start: instantText(got.start),
        end: instantText(got.end),
        so_far: got.soFar,
      }).toEqual(c.expect);
    },
  );
  test.each(goldenCases(["buckets"]).map((c) => [c.id, c.says, c] as const))(
    "%s %s",
    (_id, _says, c) => {
      const calendar = goldenCalendar(c.question.workspace);
      const period = resolvePeriod(periodOf(c.question.period!), when(c.now), calendar);
      const got = bucketsOf(period, c.question.grain as BucketGrain, when(c.now), calendar);
      expect({
        buckets: got.map((b) => ({
          from: b.from,
          to: b.to,
          start: instantText(b.start),
          end: instantText(b.end),
          so_far: b.soFar,
        })),
      }).toEqual(c.expect);
    },
  );
});
