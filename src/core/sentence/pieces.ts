/** Which part of a report a piece of its sentence is: what its button opens. */
export type SentencePart =
  | { readonly area: "measure" | "where" | "by"; readonly index: number }
  | { readonly area: Exclude<Area, "measure" | "where" | "by"> };

/** What a part of a sentence can be about. */
export type Area =
  | "measure"
  | "subject"
  | "where"
  | "by"
  | "split"
  | "period"
  | "compared"
  | "runningTotal"
  | "stood"
  | "shape"
  | "groupedBy"
  | "showing"
  | "sorts"
  /** Of the questions asked of history: what moves, the stretch, what stands beside it, the two ends. */
  | "which"
  | "grain"
  | "beside"
  | "ends"
  /** Of work: what burns down, in which unit, of which team, how many sprints. */
  | "burns"
  | "unit"
  | "team"
  | "last"
  /** Of an S-curve: what of projects grows. */
  | "curve";

/** A piece of the sentence: a part that can be changed, or the words that join (which have no part). */
export interface Piece {
  readonly text: string;
  readonly part?: SentencePart;
}

export const piecesText = (pieces: readonly Piece[]): string =>
  pieces.map(({ text }, i) => (i === 0 || text === "," ? text : ` ${text}`)).join("");

/** Joining words and the part that they lead to. */
export const said = (
  words: string,
  text: string,
  area: Exclude<Area, "measure" | "where" | "by">,
): Piece[] => [{ text: words }, { text, part: { area } }];
