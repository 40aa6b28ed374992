/** A name beside the point where its line ends, px. */
export interface EndName {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

/** Names one under the other are so far apart, px. */
export const NAME_PX = 15;

/** Whether so many names one under the other have room in a plot of some height. */
export const namesFit = (count: number, height: number): boolean => count * NAME_PX <= height;

/**
 * Where names are written so that none lies on another: each as near to its point as may be, moved down, and up again where
 * the plot ends.
 * @param bottom the foot of the plot, px
 * @returns for each its height, px
 */
export function placedNames(names: readonly EndName[], bottom: number): readonly number[] {
  const order = [...names.keys()].sort((a, b) => names[a].y - names[b].y || a - b);
  const placed: number[] = [];
  const meets = (a: EndName, b: EndName) => a.x < b.x + b.width && b.x < a.x + a.width;
  order.forEach((at, place) => {
    const over = order.slice(0, place).filter((other) => meets(names[other], names[at]));
    placed[at] = Math.max(names[at].y, ...over.map((other) => placed[other] + NAME_PX));
  });
  [...order].reverse().forEach((at, place) => {
    const under = [...order]
      .reverse()
      .slice(0, place)
      .filter((other) => meets(names[other], names[at]));
    placed[at] = Math.min(placed[at], bottom, ...under.map((other) => placed[other] - NAME_PX));
  });
  return placed;
}
