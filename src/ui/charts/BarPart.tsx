"use client";
import type { FigureRow, Mark } from "@/core/figure";
import {
  type Drawn,
  beamFill,
  fillOf,
  isFaded,
  inkOn,
  isLit,
  LABEL_PX,
  opens,
  tipOf,
  writtenWith,
} from "./drawing";

/** The colour that is left to a faded part, at its foot, in px. */
const FOOT = 3;

export interface Box {
  readonly x?: number;
  readonly y?: number;
  readonly width?: number;
  readonly height?: number;
}

export function Part({
  box,
  place,
  mark,
  then,
  drawn,
  lying,
  inside,
  crowded,
  longest,
  isPart,
}: {
  box: Box;
  place: number;
  mark: Mark;
  then?: Mark | undefined;
  drawn: Drawn;
  lying: boolean;
  inside: boolean;
  crowded: boolean;
  longest: number;
  isPart: boolean;
}) {
  const { x = 0, y = 0, width = 0, height = 0 } = box;
  if (mark.value === null || (mark.value === 0 && inside)) return <g />;
  const ruler = then?.value && mark.value ? then.value / mark.value : null;
  const isOpen = isLit(mark, drawn);
  const gap = inside ? 2 : 0;
  const left = width < 0 ? x + width : x;
  const [w, h] = [
    Math.max(Math.abs(width) - (lying ? gap : 0), 1),
    Math.max(Math.abs(height) - (lying ? 0 : gap), 1),
  ];
  const labelPx = (w > 30 ? 4 : 1) + LABEL_PX[drawn.dress.labelSize];
  // All labels over columns, or none; each may reach into the gap beside it, where no other column stands.
  const overFits = longest * labelPx * 0.56 <= (crowded ? w + 2 : w * 1.3);
  const fits = lying
    ? w > writtenWith(mark).length * 7 + 4 && h > 13
    : h > 16 && w > writtenWith(mark).length * 6.4;
  return (
    <g {...opens(mark, drawn)} data-place={place}>
      <title>{tipOf(mark, drawn)}</title>
      <rect x={left} y={y} width={w} height={h} fill={beamFill(mark, drawn)} />
      {isFaded(mark, drawn) && (
        <rect x={left} y={y + h - FOOT} width={w} height={FOOT} fill={fillOf(mark.color, drawn)} />
      )}
      {ruler !== null &&
        (lying ? (
          <rect x={x + width * ruler - 1.5} y={y - 4} width={3} height={h + 8} fill="var(--ink)" />
        ) : (
          <rect
            x={left - 4}
            y={y + height - height * ruler - 1.5}
            width={w + 8}
            height={3}
            fill="var(--ink)"
          />
        ))}
      {isPart && <rect x={left} y={y} width={w} height={h} fill="var(--lit)" opacity={0.45} />}
      {isOpen && lying && (
        <>
          <rect x={left} y={y - 6} width={w} height={3.5} fill="var(--brass)" />
          <rect x={left} y={y + h + 2.5} width={w} height={3.5} fill="var(--brass)" />
        </>
      )}
      {isOpen && !lying && (
        <rect
          x={left - 3}
          y={y - 3}
          width={w + 6}
          height={h + 3}
          fill="none"
          stroke="var(--brass)"
          strokeWidth={3}
        />
      )}
      {inside && fits && mark.written && (
        <text
          x={left + w / 2}
          y={y + h / 2 + 4.5}
          textAnchor="middle"
          style={{
            fill: isFaded(mark, drawn) ? "var(--ink)" : inkOn(mark.color),
            fontWeight: 560,
            fontSize: LABEL_PX[drawn.dress.labelSize],
          }}
        >
          {writtenWith(mark)}
        </text>
      )}
      {!inside &&
        mark.written &&
        (lying ? (
          <text
            x={left + w + 8}
            y={y + h / 2 + 6}
            style={{
              font: `520 ${LABEL_PX[drawn.dress.labelSize] + 6}px var(--serif)`,
              fill: "var(--ink)",
            }}
          >
            {writtenWith(mark)}
          </text>
        ) : (
          overFits && (
            <text
              x={left + w / 2}
              y={y - 6}
              textAnchor="middle"
              style={{ font: `520 ${labelPx}px var(--serif)`, fill: "var(--ink)" }}
            >
              {writtenWith(mark)}
            </text>
          )
        ))}
    </g>
  );
}

export function Total({
  x = 0,
  y = 0,
  width = 0,
  height = 0,
  row,
  lying,
}: Box & { row: FigureRow | undefined; lying: boolean }) {
  if (!row || row.value === null) return null;
  return lying ? (
    <text
      x={x + width + 10}
      y={y + height / 2 + 8}
      style={{ font: "520 24px var(--serif)", fill: "var(--ink)" }}
    >
      {row.words}
    </text>
  ) : (
    <text
      x={x + width / 2}
      y={y - 6}
      textAnchor="middle"
      style={{ font: "520 17px var(--serif)", fill: "var(--ink)" }}
    >
      {row.words}
    </text>
  );
}
