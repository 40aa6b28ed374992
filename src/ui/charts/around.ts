/** Round steps for an axis over some values, with room beside the first and last: not from 0 where all lie far from it. */
export function ticksAround(values: readonly number[]): number[] {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  if (!Number.isFinite(least) || !Number.isFinite(most)) return [0, 1];
  const room = (most - least || Math.abs(most) || 1) * 0.12;
  const isFromZero = least >= 0 && least < most / 2;
  const from = isFromZero ? 0 : least - room;
  const to = most + room;
  const rough = (to - from) / 5;
  const size = Math.max(1e-3, Math.abs(least), Math.abs(most));
  if (rough < size * 1e-9) return [Math.floor(least), Math.floor(most) + 1];
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 2.5, 5, 10].map((n) => n * power).find((n) => n >= rough) ?? rough;
  const [first, last] = [Math.floor(from / step), Math.ceil(to / step)];
  return Array.from({ length: last - first + 1 }, (_, i) =>
    Number(((first + i) * step).toPrecision(12)),
  );
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const meet = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** A letter of a name is so wide, about. */
const LETTER = 6.6;

/**
 * On which side of their points names fit without covering one another or another point, the largest points first. Places in px.
 * @param width of the ground, which no name leaves
 */
export function labelsThatFit(
  points: readonly {
    readonly x: number;
    readonly y: number;
    readonly radius: number;
    readonly words: string;
  }[],
  width = Infinity,
): ReadonlyMap<number, "right" | "left"> {
  const boxes: Box[] = [];
  const fits = new Map<number, "right" | "left">();
  const circles = points.map(({ x, y, radius }) => ({
    left: x - radius * 0.8,
    right: x + radius * 0.8,
    top: y - radius * 0.8,
    bottom: y + radius * 0.8,
  }));
  const order = points
    .map((_, i) => i)
    .sort((a, b) => points[b].radius - points[a].radius || points[b].y - points[a].y);
  for (const i of order) {
    const { x, y, radius, words } = points[i];
    const wide = words.length * LETTER;
    const at = (left: number): Box => ({ left, right: left + wide, top: y - 8, bottom: y + 8 });
    const side = (["right", "left"] as const).find((one) => {
      const box = at(one === "right" ? x + radius + 4 : x - radius - 4 - wide);
      if (box.left < 0 || box.right > width) return false;
      if (circles.some((circle, j) => j !== i && meet(box, circle))) return false;
      if (boxes.some((other) => meet(box, other))) return false;
      boxes.push(box);
      return true;
    });
    if (side) fits.set(i, side);
  }
  return fits;
}
