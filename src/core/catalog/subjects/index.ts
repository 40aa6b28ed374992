import type { SubjectKind } from "./defineSubject";
import { items } from "./items";
import { moves } from "./moves";
import { timeEntries } from "./timeEntries";

/** What a report can count. */
export const subjects = { items, moves, timeEntries } as const satisfies Record<string, SubjectKind>;
export type SubjectId = keyof typeof subjects;
export const SUBJECT_IDS = Object.keys(subjects) as SubjectId[];
export type { SubjectKind } from "./defineSubject";
export { itemFields } from "./items";
