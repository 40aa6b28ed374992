import type { Condition } from "./condition";
import type { Field } from "../catalog";
import type { Value } from "./value";

/** Whether a test of a status or stage asks only whether the item is open: states know that of themselves. */
export const isOpenness = (field: Field, values: readonly Value[]): boolean =>
  (field.id === "status" || field.id === "stage") &&
  values.length === 1 &&
  values[0].kind === "stage" &&
  values[0].stage === "open";

/** `status is open`. */
export const STATUS_IS_OPEN: Condition = {
  kind: "test",
  field: ["status"],
  operator: "is",
  values: [{ kind: "stage", stage: "open" }],
};
