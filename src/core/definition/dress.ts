import type { Dress } from "./dress.schema";

export type { Dress, Rule, Zone } from "./dress.schema";

/** How a report looks where nothing was said. */
export const PLAIN_DRESS: Dress = {
  order: "natural",
  byHand: [],
  splitOrder: [],
  names: {},
  colors: {},
  coloring: "own",
  rest: "usual",
  oneColor: "c1",
  rules: [],
  textures: false,
  labels: "value",
  labelSize: "usual",
  base: "shown",
  decimals: 1,
  marks: true,
  weight: "usual",
  legend: "above",
  legendTable: false,
  legendColumns: ["value"],
  legendTotal: true,
  table: "none",
  slider: false,
  dayNotes: true,
  zones: [],
  pages: 0,
  closed: [],
  widths: {},
  placed: {},
  off: [],
  readers: [],
};
