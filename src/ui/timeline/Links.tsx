"use client";
import { addDays } from "@/core/time";
import type { TimelinePart, TimelineProject } from "@/contract/projects";
import type { Scale } from "./scale";
import type { Moving } from "./Timeline";

interface LinksProps {
  readonly rows: readonly {
    readonly project: TimelineProject;
    readonly parts: readonly { readonly part: TimelinePart; readonly y: number }[];
  }[];
  readonly holds: readonly (readonly [string, string])[];
  readonly scale: Scale;
  readonly moving: Moving | null;
  readonly height: number;
}

/** What holds up what: elbows that leave an end and enter what waits for it. Only where both ends are drawn. */
export function Links({ rows, holds, scale, moving, height }: LinksProps) {
  const places = new Map(
    rows.flatMap(({ parts }) =>
      parts.flatMap(({ part, y }) =>
        part.kind === "item" ? [[part.id, { part, y }] as const] : [],
      ),
    ),
  );
  return (
    <svg width={scale.width} height={height} className="links" aria-hidden>
      {holds.map(([from, to]) => {
        const [one, other] = [places.get(from), places.get(to)];
        if (!one?.part.due || !other?.part.due) return null;
        const days = moving?.part.id === from ? moving.days : 0;
        const leaves = scale.x(addDays(one.part.done ?? one.part.due, days)) + scale.dayWidth;
        const enters = scale.x(other.part.done ?? other.part.due) + scale.dayWidth;
        const isOwn = moving?.part.id === from || moving?.part.id === to;
        return (
          <path
            key={`${from} ${to}`}
            className={isOwn ? "own" : undefined}
            d={`M${leaves} ${one.y} h7 V${other.y - 9} H${enters - 4} v5`}
          />
        );
      })}
    </svg>
  );
}
