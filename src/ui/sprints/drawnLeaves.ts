/** The leaves of a sprint that draw its work. */
export const DRAWN = {
  burndown: "Burndown",
  burnup: "Burn-up",
  flow: "Cumulative flow",
  velocity: "Velocity",
} as const;
export type DrawnLeaf = keyof typeof DRAWN;
