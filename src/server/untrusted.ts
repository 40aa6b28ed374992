import { BROKEN_SIGN } from "@/core/base";

/** The largest whole number that the database takes for an identity or a count. */
const LARGEST = 2_147_483_647;
/** Definitions are nested by hand: nothing that somebody means is deeper. */
const DEEPEST = 64;

/** Where something sent cannot be what anybody means, and why. */
export interface Unreadable {
  readonly path: string;
  readonly why: string;
}

/** The first part of what was sent that cannot be kept or asked for: signs that no text has, numbers that no identity reaches, nesting without end. */
export function unreadableIn(sent: unknown): Unreadable | null {
  const waiting: { value: unknown; path: readonly PropertyKey[] }[] = [{ value: sent, path: [] }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, path } = next;
    const why = whyNot(value, path.length);
    if (why) return { path: path.map(String).join("."), why };
    if (typeof value !== "object" || value === null) continue;
    for (const [key, part] of Object.entries(value)) {
      if (BROKEN_SIGN.test(key)) return { path: path.map(String).join("."), why: BROKEN };
      waiting.push({ value: part, path: [...path, key] });
    }
  }
  return null;
}

const BROKEN = "it has a sign that no text can have";
function whyNot(value: unknown, depth: number): string | null {
  if (depth > DEEPEST) return "it is nested too deeply";
  if (typeof value === "string" && BROKEN_SIGN.test(value)) return BROKEN;
  if (typeof value === "number" && Number.isInteger(value) && Math.abs(value) > LARGEST)
    return "the number is too large";
  return null;
}
