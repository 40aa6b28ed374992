/** "1 234": a whole number with thin spaces between its thousands. */
export const integerText = (value: number): string =>
  (value < 0 ? "\u2212" : "") + groupedDigits(String(Math.abs(Math.round(value))));

/** Digits with a thin space between the thousands. */
export const groupedDigits = (digits: string): string =>
  digits.replace(/\B(?=(\d{3})+$)/g, "\u202f");
