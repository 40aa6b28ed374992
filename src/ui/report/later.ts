"use client";
import { later } from "../kit";

/** What other rooms open when a figure is pressed. */
export const OpenedRecords = later(() => import("./OpenedRecords"), "OpenedRecords");
export const PartRecords = later(() => import("./OpenedRecords"), "PartRecords");
export const ConditionBuilder = later(
  () => import("./conditions/ConditionBuilder"),
  "ConditionBuilder",
);
