import type { Instant } from "../../time";
import type { BurndownParts } from "./planBurndown";

export type BurndownAnswer = Pick<
  BurndownParts,
  "unit" | "name" | "sprint" | "span" | "burndown" | "begins" | "choices" | "isLast"
> & { readonly kind: "burndown"; readonly asOf: Instant };
export const burndownAnswer = ({
  unit,
  name,
  sprint,
  span,
  burndown,
  begins,
  choices,
  isLast,
  view,
}: BurndownParts): BurndownAnswer => ({
  kind: "burndown",
  unit,
  name,
  sprint,
  span,
  burndown,
  begins,
  choices,
  isLast,
  asOf: view.now,
});
