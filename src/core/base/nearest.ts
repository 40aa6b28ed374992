/** Edit distance with swaps of neighbours (optimal string alignment); stops counting above `limit`. */
export function editDistance(a: string, b: string, limit = 8): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1;
      row[j] = Math.min(last[j] + 1, row[j - 1] + 1, last[j - 1] + cost);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        row[j] = Math.min(row[j], before[j - 2] + 1);
    }
    before = last;
    last = row;
  }
  return last[b.length];
}

/**
 * The words nearest to a mistyped one, nearest first, at most `most`.
 * A word is near when no more than a third of it (at least 2 letters) would have to change, or when it starts with what was typed.
 */
export function nearest(word: string, words: Iterable<string>, most = 3): string[] {
  const typed = word.toLowerCase();
  const allowed = Math.max(2, Math.floor(typed.length / 3));
  const found: { word: string; distance: number }[] = [];
  for (const candidate of new Set(words)) {
    const lower = candidate.toLowerCase();
    const distance =
      typed.length > 1 && lower.startsWith(typed) ? 1 : editDistance(typed, lower, allowed);
    if (distance <= allowed && distance < Math.max(typed.length, 2))
      found.push({ word: candidate, distance });
  }
  return found
    .sort(
      (a, b) =>
        a.distance - b.distance || a.word.length - b.word.length || (a.word < b.word ? -1 : 1),
    )
    .slice(0, most)
    .map((near) => near.word);
}
