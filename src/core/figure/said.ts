/** A piece of a made sentence; figures in it are strong. */
export interface Said {
  readonly text: string;
  readonly strong?: true;
}

export const strong = (text: string): Said => ({ text, strong: true });
