import { viewerNamed } from "./viewer";
import { type Report, parseSentence } from "@/core/kinds";

import { type EntityManager } from "@/data";
import { parseInstant } from "@/core/time";
import type { Clock } from "@/server/clock";
import { deskOf, type Desk } from "@/server/viewer/viewpoint";

/** The desk of somebody by login. */
export async function deskFor(em: EntityManager, login: string, clock: Clock): Promise<Desk> {
  return deskOf(em, await viewerNamed(em, login), clock);
}

/** The report that a sentence says; one that does not read fails the test with its reason. */
export function reportOf(sentence: string, { view }: Pick<Desk, "view">): Report {
  const parsed = parseSentence(sentence, view);
  if (!parsed.ok) throw new Error(`${sentence}: ${parsed.problems[0].message}`);
  return parsed.value;
}

/** A clock that stands still. */
export const fixedClock: Clock = { now: () => parseInstant("2026-11-24T15:30:00Z")! };
