/** A cell of a file: texts that a spreadsheet may take for formulas are made harmless; numbers stay numbers. */
export const harmless = <T extends string | number | null>(cell: T): T | string =>
  typeof cell === "string" && /^[=+\-@\t\n\r]/.test(cell) ? `'${cell}` : cell;
