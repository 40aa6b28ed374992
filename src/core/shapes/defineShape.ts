/** What a report says: a count, a list, or one of the questions asked of history. */
export type Drawable =
  | "count"
  | "list"
  | "level"
  | "crossings"
  | "bridge"
  | "budget"
  | "burndown"
  | "velocity"
  | "sCurve";

/** How much of an answer a shape can show. */
export interface ShapeNeeds {
  /** Least and most groups (`by`) that it draws. */
  readonly groups: readonly [number, number];
  readonly split: "none" | "wanted" | "possible";
  /** Least and most measures. */
  readonly measures: readonly [number, number];
  /** It shows parts of a whole, so its measure must add up. */
  readonly additive?: boolean;
  /** Its measures tell values of one field, beside which a record has its place. */
  readonly oneValue?: boolean;
  /** Its groups are stretches of time. */
  readonly time?: boolean;
  /** One of its groups is days. */
  readonly days?: boolean;
  /** Of flows, it has a line for what stands beside them, and needs one. */
  readonly beside?: boolean;
}

export interface Shape {
  readonly words: string;
  readonly goodFor: string;
  readonly draws: readonly Drawable[];
  readonly needs: ShapeNeeds;
  /** It draws what a figure is compared with. */
  readonly compares?: true;
  /** More parts than this, and it says that it is a poor choice. */
  readonly clearUpTo?: { readonly groups?: number; readonly parts?: number };
}

export const defineShape = (shape: Shape): Shape => shape;

/** What a report has to show. */
export interface ShapeInput {
  readonly kind: Drawable;
  readonly groups: number;
  readonly split: boolean;
  readonly measures: number;
  /** Something stands beside the flows: their net, or the level. */
  readonly beside: boolean;
  readonly additive: boolean;
  /** The measures tell values of one field, in one unit. */
  readonly oneValue: boolean;
  readonly isTime: boolean;
  readonly hasDays: boolean;
}

const several = (n: number, one: string): string => (n === 1 ? `one ${one}` : `${n} ${one}s`);

/** Why a shape cannot show it; null when it can. */
export function whyNot(shape: Shape, input: ShapeInput): string | null {
  if (!shape.draws.includes(input.kind))
    return shape.draws.includes("list")
      ? "it lists records, and this counts them"
      : input.kind === "list"
        ? "it draws figures, and this is a list"
        : shape.draws.includes("count")
          ? "it does not draw levels and flows of the past"
          : "it draws levels and flows of the past";
  if (input.kind === "crossings" && input.beside !== (shape.needs.beside ?? false))
    return input.beside
      ? "it has no line for net or level"
      : "it needs a line: with net, or with level";
  if (input.kind !== "count")
    return input.split && shape.needs.split === "none"
      ? "it has no place for a split"
      : !input.split && shape.needs.split === "wanted" && input.kind === "level"
        ? "it needs a split"
        : null;
  const {
    groups: [least, most],
    measures: [fewest, mostMeasures],
  } = shape.needs;
  if (input.groups < least)
    return least > 1 && input.groups > 0
      ? `it needs ${several(least, "group")}`
      : "it needs something to group by";
  if (input.groups > most)
    return most === 0
      ? "it shows one figure, without groups"
      : `it shows ${several(most, "group")} at most`;
  if (input.split && shape.needs.split === "none") return "it has no place for a split";
  if (!input.split && shape.needs.split === "wanted") return "it needs a split";
  if (input.measures < fewest) return `it needs ${several(fewest, "measure")}`;
  if (input.measures > mostMeasures) return `it shows ${several(mostMeasures, "measure")} at most`;
  if (shape.needs.additive && !input.additive) return "its parts must add up, and these do not";
  if (shape.needs.oneValue && !input.oneValue)
    return "its measures must be of one value that each record has, such as median and p85 of lead time";
  if (shape.needs.days && !input.hasDays) return "it needs days, such as by day of created";
  if (shape.needs.time && !input.isTime) return "it needs stretches of time";
  return null;
}

/** Why a shape is a poor choice for so many groups and parts, or for a comparison; null when it is fine. */
export function poorFor(
  shape: Shape,
  { groups, parts, isCompared }: { groups: number; parts: number; isCompared: boolean },
): string | null {
  const { clearUpTo } = shape;
  if (isCompared && !(shape.compares && parts === 0))
    return `${shape.words}${parts ? " with a split" : ""} has no place for what it is compared with; the words and the table tell it`;
  if (clearUpTo?.groups !== undefined && groups > clearUpTo.groups)
    return `${shape.words} with ${groups} parts is hard to read; bars would tell them apart, or a top ${clearUpTo.groups}`;
  if (clearUpTo?.parts !== undefined && parts > clearUpTo.parts)
    return `${shape.words} of ${parts} parts is hard to compare; fold some, or take a heat map`;
  return null;
}
