/** A figure in a text: what is read there, and the sentence whose records stand behind it. */
export interface FigureRun {
  /** Tells it from the others of its part, in every briefing of the kind. */
  readonly key: string;
  readonly words: string;
  /** The sentence that it answers; opened, its records add up to it. */
  readonly says: string;
  /** It cannot be told: its money is not the reader's, or what it asks is no longer there. */
  readonly lacks?: "right" | "meaning";
}

/** A stretch of text: plain, told strongly, or a figure. */
export type Run = string | { readonly strong: string } | { readonly quiet: string } | FigureRun;

export interface TextBlock {
  readonly kind: "text";
  readonly runs: readonly Run[];
  /** The one line that everything comes to. */
  readonly isLead?: true;
}

/** Records one under the other; `says` lists them all. */
export interface TableBlock {
  readonly kind: "table";
  readonly title: string;
  readonly says: string;
  readonly columns: readonly { readonly words: string; readonly align: "left" | "right" }[];
  readonly rows: readonly (readonly string[])[];
  /** How many more there are than stand here. */
  readonly more: number;
}

/** A figure that is drawn, with its table beside it. */
export interface DrawingBlock {
  readonly kind: "drawing";
  readonly title: string;
  readonly says: string;
}

/** What is told instead of what is not there. */
export interface NoteBlock {
  readonly kind: "note";
  readonly words: string;
}

export type Block = TextBlock | TableBlock | DrawingBlock | NoteBlock;

export const isFigure = (run: Run): run is FigureRun => typeof run === "object" && "key" in run;

/** A run as it is read. */
export const wordsOf = (run: Run): string =>
  typeof run === "string"
    ? run
    : "strong" in run
      ? run.strong
      : "quiet" in run
        ? run.quiet
        : run.words;

/** Blocks as they are read, a line for each paragraph and row. */
export const plainText = (blocks: readonly Block[]): string =>
  blocks
    .map((block) => {
      if (block.kind === "text") return block.runs.map(wordsOf).join("");
      if (block.kind === "table") return block.rows.map((row) => row.join(" · ")).join("\n");
      return block.kind === "note" ? block.words : "";
    })
    .filter(Boolean)
    .join("\n");

/** Every figure in the texts of some blocks. */
export const figuresIn = (blocks: readonly Block[]): readonly FigureRun[] =>
  blocks.flatMap((block) => (block.kind === "text" ? block.runs.filter(isFigure) : []));

/** The sentences of all that some blocks draw. */
export const drawingsIn = (blocks: readonly Block[]): readonly string[] => [
  ...new Set(blocks.flatMap((block) => (block.kind === "drawing" ? [block.says] : []))),
];

/** Fields of a project that a list tells as a text tells them. */
const TOLD_ALIKE: ReadonlySet<string> = new Set([
  "health",
  "schedule verdict",
  "budget",
  "actual cost",
  "projected cost",
  "estimate at completion",
  "budget used",
  "actual percent",
  "planned percent",
  "revenue",
  "billed",
  "unbilled",
  "billed ahead",
  "margin",
  "margin percent",
]);
const OF_PROJECT = /^(list projects where [^{}]*? showing )/;

/** The sentence that comes to a figure alone, for words of one's own; null for one that only its text can tell. */
export function alone({ key, says }: FigureRun): string | null {
  if (/^(count|sum of|average|median) /.test(says)) return / by /.test(says) ? null : says;
  const list = OF_PROJECT.exec(says)?.[1];
  return list && TOLD_ALIKE.has(key) ? `${list}${key}` : null;
}

/** A text with its figures as places: what somebody begins with who writes it anew. Those that cannot stand alone are words. */
export const asOwnWords = (blocks: readonly Block[]): string =>
  blocks
    .flatMap((block) =>
      block.kind === "text" ? [block.runs.map((run) => placeOf(run)).join("")] : [],
    )
    .join("\n\n");

function placeOf(run: Run): string {
  const says = isFigure(run) ? alone(run) : null;
  return says === null ? wordsOf(run) : `{${says}}`;
}
