import type { Instant } from "../../time";
import type { BurndownParts } from "./planBurndown";

export type BurndownAnswer = Pick<
  BurndownParts,
  "unit" | "name" | "sprint" | "span" | "burndown"
> & { readonly kind: "burndown"; readonly asOf: Instant };
export const burndownAnswer = ({
  unit,
  name,
  sprint,
  span,
  burndown,
  view,
}: BurndownParts): BurndownAnswer => ({
  kind: "burndown",
  unit,
  name,
  sprint,
  span,
  burndown,
  asOf: view.now,
});
