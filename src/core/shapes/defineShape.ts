/** How much of an answer a shape can show. */
export interface ShapeNeeds {
  /** Least and most groups (`by`) that it draws. */
  readonly groups: readonly [number, number];
  readonly split: "none" | "wanted" | "possible";
  /** Most measures. */
  readonly measures: number;
  /** It shows parts of a whole, so its measure must add up. */
  readonly additive?: boolean;
}

export interface Shape {
  readonly words: string;
  readonly goodFor: string;
  readonly draws: "count" | "list";
  readonly needs: ShapeNeeds;
}

export const defineShape = (shape: Shape): Shape => shape;

/** What a report has to show. */
export interface ShapeInput {
  readonly kind: "count" | "list";
  readonly groups: number;
  readonly split: boolean;
  readonly measures: number;
  readonly additive: boolean;
}

/** Why a shape cannot show it; null when it can. */
export function whyNot(shape: Shape, input: ShapeInput): string | null {
  if (shape.draws !== input.kind) return input.kind === "list" ? "it draws figures, and this is a list" : "it lists records, and this counts them";
  const [least, most] = shape.needs.groups;
  if (input.groups < least) return "it needs something to group by";
  if (input.groups > most) return most === 0 ? "it shows one figure, without groups" : `it shows ${most === 1 ? "one group" : `${most} groups`} at most`;
  if (input.split && shape.needs.split === "none") return "it has no place for a split";
  if (!input.split && shape.needs.split === "wanted") return "it needs a split";
  if (input.measures > shape.needs.measures) return `it shows ${shape.needs.measures === 1 ? "one measure" : `${shape.needs.measures} measures`} at most`;
  if (shape.needs.additive && !input.additive) return "its parts must add up, and these do not";
  return null;
}
