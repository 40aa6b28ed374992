import type { ShownForecast } from "@/core/kinds";
import { dayText } from "@/core/time";

/** "1 run in 14 makes": how likely it is that a planned day is made. */
export function oddsWords({ forecast, days }: ShownForecast, planned: string): string {
  const made =
    forecast?.fan.filter((point) => (days[point.day] ?? "9999") <= planned).at(-1)?.done ?? 0;
  if (made >= 0.995) return "Nearly every run makes";
  if (made >= 0.5) return `${Math.round(made * 100)} in 100 runs make`;
  return made > 0.001 ? `1 run in ${Math.round(1 / made)} makes` : "No run makes";
}

/** By which days half, 85 and 95 % of the runs are done. */
export function sharesWords({ forecast, days }: ShownForecast): string {
  const by = (share: "p50" | "p85" | "p95") => {
    const day = forecast?.days[share];
    return day === null || day === undefined
      ? "not within two years"
      : days[day]
        ? `by ${dayText(days[day])}`
        : "later than can be told";
  };
  return `Half of the runs are done ${by("p50")}, 85 % ${by("p85")}, 95 % ${by("p95")}.`;
}
