"use client";
import { later } from "../kit";

/** What other rooms open when a figure is pressed. */
export const OpenedRecords = later(() => import("./OpenedRecords"), "OpenedRecords");
export const PartRecords = later(() => import("./OpenedRecords"), "PartRecords");
export const ConditionBuilder = later(
  () => import("./conditions/ConditionBuilder"),
  "ConditionBuilder",
);

/** What the sentence is said with comes when a part of it is first opened. */
export const PartPicker = later(() => import("./PartPicker"), "PartPicker");
export const AddPart = later(() => import("./AddPart"), "AddPart");
export const TestEditor = later(() => import("./pickers/TestEditor"), "TestEditor");
export const ListFigure = later(() => import("./ListFigure"), "ListFigure");
export const Rename = later(() => import("./Rename"), "Rename");
