import { fieldsSaid } from "./fieldsSaid";
import type { AskContext } from "../catalog";
import { nameIndexOf, respelt, Spellings, stem } from "./names";

/** Words with a meaning of their own that no sentence has: they are not taken for a misspelt name. */
const NEVER_RESPELT =
  /^(?:when|while|then|than|because|why|will|would|could|might|shall|never|very|same|near|like|want|other|another|first|last|next|most|least|more|less|few|fewer|going|predict|predicted|forecast|expect|expected|likely|good|happy|should|must|bad|better)$/;

/** The question with its unknown words spelt as words that are known; null where none is near. */
export function respeltQuestion(
  text: string,
  left: readonly { readonly words: string; readonly from: number; readonly to: number }[],
  context: AskContext,
): string | null {
  const known = knownWords(context);
  let [mended, shift] = [text, 0];
  for (const { words, from, to } of left) {
    const better = NEVER_RESPELT.test(words) ? null : respelt(words, known);
    if (better === null) return null;
    mended = mended.slice(0, from + shift) + better + mended.slice(to + shift);
    shift += better.length - (to - from);
  }
  return mended;
}

const VOCABULARY =
  "open closed finished resolved created raised reported overdue unassigned tickets ticket issues items priority assignee assignees status service services team teams average median number count month months week weeks quarter year years today yesterday between since blocked reopened reassigned burndown velocity backlog trend points hours sprint oldest newest agents technician owner".split(
    " ",
  );
function knownWords(context: AskContext): Spellings[] {
  const own = new Spellings();
  for (const word of VOCABULARY) own.add(stem(word));
  for (const { label, plural = label } of context.catalog.kinds())
    for (const word of `${label} ${plural}`.split(" ")) own.add(stem(word));
  for (const field of fieldsSaid(context.catalog, null).all)
    if (/^[a-z ]+$/.test(field.text)) for (const word of field.text.split(" ")) own.add(stem(word));
  return [own, nameIndexOf(context.catalog).words];
}
