import { durationWords, numberText } from "../base";
import { NOT_YOURS, typeOf, type Field } from "../catalog";
import type { Viewpoint } from "../relation";
import { clockText, localDay, longDayText, parseInstant } from "../time";

/** A value in words: names, dates with their weekday, durations as "3 d 4 h". */
export function cellWords(value: string, field: Field, view: Viewpoint): string | null {
  if (field.isMoney && value === NOT_YOURS) return value;
  if (field.thing) return view.catalog.names.find(field.thing, Number(value))?.label ?? null;
  const { kept } = typeOf(field);
  if (kept === "instant") {
    const instant = parseInstant(value);
    if (instant === null) return value;
    const { zone } = view.calendar;
    return `${longDayText(localDay(instant, zone))}, ${clockText(instant, zone)}`;
  }
  if (kept === "day") return longDayText(value);
  if (field.type === "duration") return durationWords(Number(value));
  if (field.type === "percent") return `${numberText(value, 1)} %`;
  return kept === "number" ? numberText(value) : value;
}
