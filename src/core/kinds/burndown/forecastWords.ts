import { numberText } from "../../base";
import type { Forecast } from "../../history";
import { dayText, daysText } from "../../time";
import type { ShownForecast } from "./planForecast";

const SHARES = [
  ["p50", "half"],
  ["p85", "85 %"],
  ["p95", "95 %"],
] as const;

/** "1 run in 14 makes": how likely it is that a planned day is made. */
export function oddsWords({ forecast, days }: ShownForecast, planned: string): string {
  const made =
    forecast?.fan.filter((point) => (days[point.day] ?? "9999") <= planned).at(-1)?.done ?? 0;
  if (made >= 0.995) return "Nearly every run makes";
  if (made >= 0.5) return `${Math.round(made * 100)} in 100 runs make`;
  return made > 0.001 ? `1 run in ${Math.round(1 / made)} makes` : "No run makes";
}

/** "half of the runs are done by 25 Nov 2026 and 85 % by 26 Nov 2026": of the shares for which a day can be named, the largest of one day. */
function doneWords(found: Forecast["days"], days: readonly string[]): string {
  const ends = SHARES.filter(([share]) => found[share] !== null);
  const none = "too few runs end within two years to name a day";
  if (ends.length === 0) return none;
  const named = ends.filter(([share], i) => found[share] !== found[ends[i + 1]?.[0]]);
  const parts = named.map(([share, words], i) => {
    const day = days[found[share]!];
    const done = i === 0 ? " of the runs are done" : "";
    return `${words}${done} by ${day ? dayText(day) : `${found[share]} working days from now`}`;
  });
  const said = [parts.slice(0, -1).join(", "), parts.at(-1)].filter(Boolean).join(" and ");
  const missing = SHARES[ends.length];
  return missing ? `${said}; ${none} for ${missing[1]}` : said;
}

const sentence = (words: string): string => `${words[0].toUpperCase()}${words.slice(1)}.`;

/** By which days half, 85 and 95 % of the runs are done; the same if nothing more comes in; and what was drawn from. Why there is none, where there is none. */
export function forecastSentences({
  forecast,
  days,
  why,
  withoutScope,
  drew,
}: ShownForecast): string[] {
  if (!forecast || !withoutScope || !drew) return why ? [why] : [];
  return [
    sentence(doneWords(forecast.days, days)),
    sentence(`if nothing more is added, ${doneWords(withoutScope, days)}`),
    sentence(
      `${numberText(forecast.runs)} runs, each drawn from ${drew.days} working days of ${drew.of} (${daysText(drew.from, drew.to)})`,
    ),
  ];
}
