/** Words of a workspace as a pattern that means just them. */
export const escaped = (words: string): string =>
  words.replace(/[.*+?^${}()|[\]\\]/g, "\\$&").toLowerCase();
