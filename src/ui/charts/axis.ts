/** Two points of an axis by their places. */
export interface AxisStretch {
  readonly from: number;
  readonly to: number;
}

/** The axis of a chart: how many points it shows, and the room beside its plot in px. */
export interface Axis {
  readonly points: number;
  /** The place of the first point that it shows: a slider leaves some out. */
  readonly from?: number;
  readonly margins: { readonly left: number; readonly right: number };
  /** Its points stand in the middle of bands, as columns do; otherwise the first and last stand near its ends. */
  readonly isBand: boolean;
}

/** Padding of an axis of points beside its first and last one, in px. */
export const AXIS_PADDING = { left: 10, right: 4 } as const;

const edges = ({ margins, isBand }: Axis) =>
  isBand
    ? margins
    : { left: margins.left + AXIS_PADDING.left, right: margins.right + AXIS_PADDING.right };

/** The place under a point `x` px from the left of a chart that is `width` px wide. */
export function placeOf(x: number, width: number, axis: Axis): number {
  const { left, right } = edges(axis);
  const share = (x - left) / (width - left - right);
  const place = axis.isBand
    ? Math.floor(share * axis.points)
    : Math.round(share * (axis.points - 1));
  return (axis.from ?? 0) + Math.min(axis.points - 1, Math.max(0, place));
}

/** Whether an axis shows a place. */
export const shows = ({ from = 0, points }: Axis, place: number): boolean =>
  place >= from && place < from + points;

/** Where a place is, as a length in CSS from the left of the chart. */
export function xOf(at: number, axis: Axis): string {
  const { left, right } = edges(axis);
  const place = at - (axis.from ?? 0);
  const share = axis.isBand
    ? (place + 0.5) / axis.points
    : axis.points > 1
      ? place / (axis.points - 1)
      : 0.5;
  return `calc(${left}px + (100% - ${left + right}px) * ${share})`;
}
