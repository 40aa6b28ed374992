import type { Instant } from "../../time";
import type { VelocityParts } from "./planVelocity";

export type VelocityAnswer = Pick<VelocityParts, "unit" | "sprints"> & {
  readonly kind: "velocity";
  readonly asOf: Instant;
};
export const velocityAnswer = ({ unit, sprints, view }: VelocityParts): VelocityAnswer => ({
  kind: "velocity",
  unit,
  sprints,
  asOf: view.now,
});
