/** One rule of case folding: Unicode NFC, then lower case. PostgreSQL does the same by `lower(normalize(x, NFC) COLLATE "und-x-icu")`. */
export const folded = (text: string): string => text.normalize("NFC").toLowerCase();

const collators = new Map<string, Intl.Collator>();

/** Text order of a locale with numbers as numbers; equal ones by code unit, so that the order is total. */
export function compareTexts(a: string, b: string, locale = "en"): number {
  let collator = collators.get(locale);
  if (!collator) collators.set(locale, (collator = new Intl.Collator(locale, { numeric: true })));
  return collator.compare(a, b) || (a < b ? -1 : a > b ? 1 : 0);
}
