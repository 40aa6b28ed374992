import { assets } from "./assets";
import { billings } from "./billings";
import { costEntries } from "./costEntries";
import type { SubjectKind } from "./defineSubject";
import { items } from "./items";
import { milestones } from "./milestones";
import { moves } from "./moves";
import { personDays } from "./personDays";
import { plannedCosts } from "./plannedCosts";
import { projects } from "./projects";
import { timeEntries } from "./timeEntries";
import { weeklyWords } from "./weeklyWords";

/** What a report can count. */
export const subjects = {
  items,
  moves,
  timeEntries,
  costEntries,
  plannedCosts,
  billings,
  personDays,
  projects,
  assets,
  milestones,
  weeklyWords,
} as const satisfies Record<string, SubjectKind>;
export type SubjectId = keyof typeof subjects;
export const SUBJECT_IDS = Object.keys(subjects) as SubjectId[];
export type { SubjectKind } from "./defineSubject";
export { itemFields } from "./items";
