"use client";
import type { ReactNode } from "react";
import type { Area, SentencePart } from "@/core/sentence";
import { builderKindOf, COMMON, type PartProps, type Picker } from "./kinds";

/** What chooses a part of the sentence: that of its kind of report, or the one that all kinds share. */
export function PartPicker({
  part,
  ...props
}: { part: SentencePart } & Omit<PartProps, "index">): ReactNode {
  const shared: { readonly [A in Area]?: Picker } = COMMON;
  const picker = builderKindOf(props.report).pickers[part.area] ?? shared[part.area];
  return picker?.({ ...props, index: "index" in part ? part.index : 0 });
}
