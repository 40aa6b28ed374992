/** A stream of numbers from a seed (mulberry32, T. Ettinger 2017): the same seed gives the same world. */
export class Random {
  private state: number;

  constructor(seed: number) {
    this.state = seed >>> 0;
  }

  /** In [0, 1). */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let t = this.state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  /** A whole number from low to high, both inside. */
  whole(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1));
  }

  chance(share: number): boolean {
    return this.next() < share;
  }

  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)];
  }

  /** One of the entries, by weight. */
  weighted<T>(entries: readonly (readonly [T, number])[]): T {
    let left = this.next() * entries.reduce((sum, [, weight]) => sum + weight, 0);
    for (const [value, weight] of entries) if ((left -= weight) < 0) return value;
    return entries[entries.length - 1][0];
  }

  /** Positive, right-skewed, with this median. */
  around(median: number): number {
    const normal = Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next());
    return median * Math.exp(normal * 0.8);
  }
}
