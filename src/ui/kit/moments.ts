"use client";
import { useContext, useMemo } from "react";
import { Zone } from "./zone";

/** Words for a moment as ISO 8601: "Tue 24 Nov 2026", "Tue 24 Nov 2026 15:30". */
export interface MomentWords {
  readonly day: (iso: string) => string;
  readonly time: (iso: string) => string;
}

/** Writes moments in a zone; days are written as everywhere else in the product. */
export function momentWords(zone: string): MomentWords {
  const format = new Intl.DateTimeFormat("en-GB", {
    timeZone: zone,
    weekday: "short",
    day: "numeric",
    month: "short",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
    hourCycle: "h23",
  });
  const read = (iso: string) => {
    const parts = new Map(format.formatToParts(new Date(iso)).map((one) => [one.type, one.value]));
    const say = (...types: Intl.DateTimeFormatPartTypes[]) =>
      types.map((type) => parts.get(type)).join(" ");
    return {
      // The engine's own short names of months differ: "Sept" in this language, "Sep" in the product.
      day: say("weekday", "day", "month", "year").replace("Sept", "Sep"),
      clock: `${parts.get("hour")}:${parts.get("minute")}`,
    };
  };
  return {
    day: (iso) => read(iso).day,
    time: (iso) => `${read(iso).day} ${read(iso).clock}`,
  };
}

/** Moments in the words and the zone of the workspace. */
export function useMoments(): MomentWords {
  const zone = useContext(Zone);
  return useMemo(() => momentWords(zone), [zone]);
}
