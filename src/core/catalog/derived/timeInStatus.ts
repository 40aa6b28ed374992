import type { Field } from "../field";

/** How long an item was in a status, in all: a field for each status. */
export const timeInStatus = (status: { readonly id: number; readonly label: string }): Field => ({
  id: `time in:${status.id}`,
  words: `time in ${status.label}`,
  type: "duration",
  unit: "days",
  source: { kind: "derived", name: "timeInStatus", status: status.id },
  timed: true,
});
