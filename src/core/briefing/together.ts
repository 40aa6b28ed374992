import { showing } from "./project/asked";
import type { Answers, Told } from "./told";

/** Many parts ask for fields of the same project: they are asked together, once for each day that they stand at. */

const LIST = showing("");
const STOOD = / as it stood on \S+$/;

/** The fields that a sentence of a project's own shows, and the day it stands at; null for any other sentence. */
function askedOf(
  says: string,
): { readonly fields: readonly string[]; readonly stood: string } | null {
  if (!says.startsWith(LIST)) return null;
  const stood = STOOD.exec(says)?.[0] ?? "";
  return { fields: says.slice(LIST.length, says.length - stood.length).split(", "), stood };
}

/** One sentence for each day that answers all of those among some sentences that show fields of the project. */
export function togetherOf(sentences: readonly string[]): ReadonlyMap<string, string> {
  const fields = new Map<string, Set<string>>();
  for (const says of sentences) {
    const asked = askedOf(says);
    if (!asked) continue;
    const known = fields.get(asked.stood) ?? new Set();
    asked.fields.forEach((field) => known.add(field));
    fields.set(asked.stood, known);
  }
  return new Map([...fields].map(([stood, all]) => [stood, `${showing(...all)}${stood}`]));
}

/** The answer of a sentence from what was asked together; undefined where it was not among it. */
export function fromTogether(says: string, together: Answers): Told | undefined {
  const asked = askedOf(says);
  const told = asked && together[asked.stood];
  return told ? { ...told, says } : undefined;
}
