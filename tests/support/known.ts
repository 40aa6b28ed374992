import type { Known, RefType } from "@/core/bundle";

const TYPES: readonly RefType[] = [
  "status",
  "kind",
  "priority",
  "person",
  "team",
  "service",
  "asset",
  "project",
  "sprint",
  "release",
  "item",
];

/** What a workspace knows by name when a bundle comes; nothing, where none are given. */
export const knownBundle = (more: Partial<Record<RefType, string[]>> = {}): Known => ({
  settings: {},
  holidays: [],
  names: Object.fromEntries(
    TYPES.map((type) => [type, new Set(more[type] ?? [])]),
  ) as unknown as Known["names"],
  customFields: [],
  projects: new Map(),
});
