"use client";
import {
  createContext,
  useContext,
  useMemo,
  useState,
  type CSSProperties,
  type FocusEvent,
  type PointerEvent,
  type ReactNode,
} from "react";
import { placeOf, shows, xOf, type Axis, type AxisStretch } from "./axis";

/** A place of a time axis that is pointed at in one chart and shown in all that lie under one another. */
export interface Cursor {
  readonly place: number | null;
  readonly onPlace: (place: number | null) => void;
}
const CursorContext = createContext<Cursor | null>(null);

/** The cursor of the charts around; null where none is shared. */
export const useCursor = (): Cursor | null => useContext(CursorContext);

/** Whether charts lie under one another: then their axes have the same places. */
const LinkedContext = createContext(false);

/** Which places of a chart a slider leaves; all of another figure. @returns the axis that shows them, and what the slider tells */
export function useSlid(
  own: Axis,
  figure: unknown,
): [Axis, (range: { startIndex?: number; endIndex?: number }) => void] {
  const [slid, setSlid] = useState<{ figure: unknown; from: number; to: number } | null>(null);
  const onSlide = ({ startIndex, endIndex }: { startIndex?: number; endIndex?: number }) =>
    startIndex !== undefined &&
    endIndex !== undefined &&
    setSlid({ figure, from: startIndex, to: endIndex });
  return [
    slid?.figure === figure && slid
      ? { ...own, from: slid.from, points: slid.to - slid.from + 1 }
      : own,
    onSlide,
  ];
}

/** Charts that share a cursor, where they draw a trend; what is inside is not drawn anew when it moves. */
export function CursorScope({
  isOn,
  isLinked,
  children,
}: {
  isOn: boolean;
  isLinked: boolean;
  children: ReactNode;
}) {
  const [place, onPlace] = useState<number | null>(null);
  const cursor = useMemo(() => ({ place, onPlace }), [place]);
  return (
    <LinkedContext.Provider value={isLinked}>
      <CursorContext.Provider value={isOn ? cursor : null}>{children}</CursorContext.Provider>
    </LinkedContext.Provider>
  );
}

/** Room beside the plots of charts that lie under one another, in px. */
const LINKED = { left: 62, right: 104 } as const;

/** The axis that a chart is drawn with: its own, or that of all that lie under one another. */
export function useAxis(own: Axis): Axis & { readonly isLinked: boolean } {
  const isLinked = useContext(LinkedContext);
  return isLinked ? { ...own, margins: LINKED, isBand: true, isLinked } : { ...own, isLinked };
}

/** Words at a place of the axis: a note of a day in it, or where history begins. */
export interface DayFlag {
  readonly place: number;
  readonly words: string;
}

/** Where a page says how high a plot has to be at least, it is. */
export const LEAST_HEIGHT = "var(--plot-least, 120px)";

interface PlotProps {
  readonly label: string;
  readonly axis: Axis;
  readonly height: number | string;
  /** Room above and below the plot, in px. */
  readonly above: number;
  readonly below: number;
  readonly flags?: readonly DayFlag[];
  readonly stretch?: AxisStretch | null | undefined;
  /** Called with two places that the pointer was dragged between. */
  readonly onStretch?: ((stretch: AxisStretch) => void) | undefined;
  readonly children: ReactNode;
}

/** How far the pointer goes before it drags, in px: less is a click on a point. */
const DRAGS_FROM = 8;

/**
 * The ground of a chart along a time axis: where the pointer or the keys are, all charts that share the cursor show it;
 * dragging from one place to another chooses the stretch between them. Both are drawn over the chart, which is left as
 * it is: a mark that was drawn anew would lose the pointer and the keys.
 */
export function Plot({
  label,
  axis,
  height,
  above,
  below,
  flags = [],
  stretch,
  onStretch,
  children,
}: PlotProps) {
  const cursor = useContext(CursorContext);
  const [dragged, setDragged] = useState<{ start: number; from: number; to: number } | null>(null);
  const drags = onStretch !== undefined && axis.points > 1;
  const chosen =
    dragged && dragged.from !== dragged.to
      ? { from: Math.min(dragged.from, dragged.to), to: Math.max(dragged.from, dragged.to) }
      : null;
  const marked = chosen ?? stretch ?? null;
  const place = cursor && cursor.place !== null && shows(axis, cursor.place) ? cursor.place : null;
  const placeAt = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return placeOf(event.clientX - box.left, box.width, axis);
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    const at = placeAt(event);
    if (at !== place) cursor?.onPlace(at);
    if (dragged && Math.abs(event.clientX - dragged.start) > DRAGS_FROM && at !== dragged.to)
      setDragged({ ...dragged, to: at });
  };
  const onFocus = ({ target }: FocusEvent<HTMLElement>) => {
    const at = target.closest("[data-place]")?.getAttribute("data-place");
    if (at != null) cursor?.onPlace(Number(at));
  };
  const drag = {
    // Who moves the slider chooses no stretch.
    onPointerDown: (event: PointerEvent<HTMLElement>) =>
      event.button === 0 &&
      !(event.target as Element).closest(".recharts-brush") &&
      setDragged({ start: event.clientX, from: placeAt(event), to: placeAt(event) }),
    onPointerUp: () => {
      if (chosen) onStretch?.(chosen);
      setDragged(null);
    },
  };
  const over: CSSProperties = {
    position: "absolute",
    top: above,
    bottom: below,
    pointerEvents: "none",
  };
  return (
    <div
      role="group"
      aria-label={label}
      style={{
        position: "relative",
        width: "100%",
        height,
        minHeight: LEAST_HEIGHT,
        flex: 1,
        ...(drags ? { touchAction: "pan-y", userSelect: "none" } : {}),
      }}
      {...(drags ? drag : {})}
      {...(drags || cursor
        ? {
            onPointerMove,
            onPointerLeave: () => {
              cursor?.onPlace(null);
              setDragged(null);
            },
          }
        : {})}
      {...(cursor ? { onFocus } : {})}
    >
      {children}
      {flags
        .filter((flag) => shows(axis, flag.place))
        .map((flag, i) => (
          <div
            key={i}
            style={{
              ...over,
              left: xOf(flag.place, axis),
              borderLeft: "1px dashed var(--ink)",
              paddingLeft: 4,
              font: "400 12px/16px var(--sans)",
              color: "var(--ink-2)",
              whiteSpace: "nowrap",
              ...(flag.place - (axis.from ?? 0) > axis.points * 0.7
                ? {
                    transform: "translateX(-100%)",
                    borderLeft: 0,
                    borderRight: "1px dashed var(--ink)",
                    padding: "0 4px 0 0",
                  }
                : {}),
            }}
          >
            ⚑ {flag.words}
          </div>
        ))}
      {marked && shows(axis, marked.from) && shows(axis, marked.to) && (
        <div
          aria-hidden
          style={{
            ...over,
            left: xOf(marked.from, axis),
            right: `calc(100% - ${xOf(marked.to, axis).replace("calc", "")})`,
            background: "color-mix(in srgb, var(--brass) 14%, transparent)",
            outline: "1.5px solid var(--brass)",
          }}
        />
      )}
      {place !== null && (
        <div
          aria-hidden
          data-cursor={place}
          style={{ ...over, left: xOf(place, axis), borderLeft: "1px dotted var(--ink)" }}
        />
      )}
    </div>
  );
}
