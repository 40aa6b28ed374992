"use client";
import { useLayoutEffect, useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { ShownTimeline, TimelinePart } from "@/contract/projects";
import type { Day } from "@/core/time";
import { isSame } from "./follow";
import { rowsOf } from "./rows";
import type { Scale } from "./scale";
import { Sheet } from "./Sheet";
import { Surface } from "./style";
import type { Moving } from "./Timeline";

interface ChartProps {
  readonly timeline: ShownTimeline;
  readonly scale: Scale;
  readonly today: Day;
  readonly moving: Moving | null;
  readonly onMoving: (moving: Moving | null) => void;
  readonly isOpen: (project: number) => boolean;
  readonly onToggle: (project: number) => void;
}

/** So much of what was is seen left of today at first, in px. */
const BEFORE_TODAY = 420;

/** Bars over days: names at the left stay, days are scrolled. */
export function Chart({ timeline, scale, today, moving, onMoving, isOpen, onToggle }: ChartProps) {
  const drag = useRef<{ x: number; days: number } | null>(null);
  /** By how many days something is being moved. */
  const daysOf = (part: TimelinePart) => (isSame(moving?.part, part) ? moving!.days : 0);
  const pick = (project: number, part: TimelinePart) =>
    isSame(moving?.part, part) ? undefined : onMoving({ project, part, days: 0 });
  const byKeys = (event: KeyboardEvent, project: number, part: TimelinePart) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (event.key === "Escape") onMoving(null);
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      const all = [
        ...event.currentTarget.closest("[role=grid]")!.querySelectorAll<HTMLElement>("[data-part]"),
      ];
      all[
        all.indexOf(event.currentTarget as HTMLElement) + (event.key === "ArrowDown" ? 1 : -1)
      ]?.focus();
    }
    if (step === undefined || !part.mayMove || !part.due) return;
    event.preventDefault();
    const now = daysOf(part);
    onMoving({ project, part, days: now + step * (event.shiftKey ? 7 : 1) });
  };
  const dragging = (project: number, part: TimelinePart) => ({
    onPointerDown: (event: PointerEvent) => {
      if (!part.mayMove || !part.due) return pick(project, part);
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { x: event.clientX, days: daysOf(part) };
      onMoving({ project, part, days: drag.current.days });
    },
    onPointerMove: (event: PointerEvent) => {
      const from = drag.current;
      if (!from) return;
      const days = from.days + Math.round((event.clientX - from.x) / scale.dayWidth);
      if (days !== moving?.days) onMoving({ project, part, days });
    },
    onPointerUp: () => {
      drag.current = null;
    },
  });
  const surface = useRef<HTMLDivElement>(null);
  const begin = Math.max(0, scale.x(today) - BEFORE_TODAY);
  useLayoutEffect(() => {
    if (surface.current) surface.current.scrollLeft = begin;
  }, [begin]);
  return (
    <Surface ref={surface} className="on-screen">
      <Sheet
        rows={rowsOf(timeline.projects, isOpen)}
        hands={{
          isOpen,
          onToggle,
          onPart: (project, part) => ({
            tabIndex: 0,
            "data-part": true,
            onKeyDown: (event) => byKeys(event, project, part),
            ...dragging(project, part),
          }),
        }}
        {...{ timeline, scale, today, moving }}
      />
    </Surface>
  );
}
