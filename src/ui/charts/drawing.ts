import type { Dress } from "@/core/definition";
import type { Color, Figure, Mark } from "@/core/figure";
import { isLit, isTextured } from "./marks";

export { isLit, markId } from "./marks";

/** What every chart is given: the marks open their records, `opened` is lit by brass lines. */
export interface Drawn {
  readonly onOpen: (mark: Mark) => void;
  /** The parts that are lit, by their marks. */
  readonly opened: readonly string[];
  /** Those that are lit narrow other tiles: the other parts fade. */
  readonly isBeam?: boolean;
  readonly label: string;
  /** Small, as on a tile: fewer words. */
  readonly small?: boolean;
  /** It takes the height of its place, whatever that is. */
  readonly fills?: boolean;
  readonly dress: Dress;
}

/** Sizes of labels, in px. */
export const LABEL_PX: Readonly<Record<Dress["labelSize"], number>> = {
  small: 10.5,
  usual: 12,
  large: 15,
};
export const LINE_PX: Readonly<Record<Dress["weight"], number>> = {
  thin: 1.6,
  usual: 2.6,
  bold: 4,
};

/** The plain colour of a token. */
export const fill = (color: Color): string => `var(--${plainOf(color)})`;
const plainOf = (color: Color): string => color.replace(/x$/, "");

/** A colour, or its texture where it always has one, or the viewer or the page asks for textures. */
export const fillOf = (color: Color, drawn: Pick<Drawn, "dress">): string =>
  isTextured(color) || (drawn.dress.textures && /^c[2-8]$/.test(color))
    ? `url(#texture-${plainOf(color)})`
    : fill(color);

/** The ground of a swatch in a page. */
export const ground = (color: Color): string =>
  /^c\dx$/.test(color)
    ? `repeating-linear-gradient(45deg, var(--salt) 0 1.4px, transparent 1.4px 4px), ${fill(color)}`
    : fill(color);

/** What a colour means, where it means something: a word for the ear, a sign for the eye. */
export const meaningOf = (color: Color): { readonly word: string; readonly sign: string } | null =>
  MEANINGS[color] ?? null;
const MEANINGS: Record<string, { word: string; sign: string }> = {
  g1: { word: "good", sign: "•" },
  g2: { word: "near", sign: "≈" },
  g3: { word: "bad", sign: "×" },
};

const INK_ON: Record<string, string> = { ghost: "var(--ink)", "ink-3": "var(--paper)" };
/** The ink that reads on a colour. */
export const inkOn = (color: Color): string =>
  INK_ON[color] ?? `var(--${INKS[color[0]]}${plainOf(color).slice(1)})`;
const INKS: Readonly<Record<string, string>> = { c: "o", r: "q", g: "og" };
/** Whether others beam and a part does not. */
export const isFaded = (mark: Mark, drawn: Drawn): boolean =>
  drawn.isBeam === true && drawn.opened.length > 0 && !isLit(mark, drawn);
/** The fill of a part; a faded one has none of its colour. */
export const beamFill = (mark: Mark, drawn: Drawn): string =>
  isFaded(mark, drawn) ? fill("ghost") : fillOf(mark.color, drawn);

/** What is said while the pointer rests on a mark: the builder's own words first. */
export const tipOf = (mark: Mark, { dress }: Drawn): string =>
  `${dress.hover ? `${dress.hover} ` : ""}${mark.label}${mark.about ? `, ${mark.about}` : ""}: ${mark.words}${mark.percent ? ` (${mark.percent} %)` : ""}${meaningSaid(mark)}${mark.change ? `, ${mark.change}` : ""}`;

const meaningSaid = ({ color }: Mark): string => {
  const meaning = meaningOf(color);
  return meaning ? `, ${meaning.word}` : "";
};

/** What is written at a mark: with the sign of what its colour means. */
export const writtenWith = ({ written, color }: Pick<Mark, "written" | "color">): string =>
  written && meaningOf(color) ? `${meaningOf(color)!.sign} ${written}` : written;

/** The title of the axis of groups, where the builder gave one, and the room that it takes in px. */
export const groupAxis = ({ dress, small }: Drawn) => ({
  room: dress.groupTitle && !small ? 18 : 0,
  ...(dress.groupTitle && !small
    ? { label: { value: dress.groupTitle, position: "insideBottom" as const, fontSize: 12 } }
    : {}),
});

/** From how many stretches on a slider helps. */
export const LONG_AXIS = 14;
export const hasSlider = (rows: number, { dress, small }: Drawn): boolean =>
  dress.slider && !small && rows > LONG_AXIS;
/** Room that the slider takes under the axis is its height. */
export const SLIDER = {
  height: 22,
  stroke: "var(--plum)",
  fill: "var(--mallow)",
  travellerWidth: 12,
} as const;

/** Properties that make a drawn part a button for pointer, keys and ear. */
export const opens = (mark: Mark, drawn: Drawn) => ({
  role: "button",
  tabIndex: 0,
  "aria-label": `${mark.label}: ${mark.words}${mark.percent ? `, ${mark.percent} %` : ""}${meaningSaid(mark)}. Open the records`,
  style: { cursor: "pointer" },
  onClick: () => drawn.onOpen(mark),
  onKeyDown: (event: { key: string; preventDefault: () => void }) => {
    if (event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    drawn.onOpen(mark);
  },
});

/** Dashes tell lines apart without colour. */
export const DASHES = ["", "7 4", "2 3", "9 3 2 3", "12 4", "4 4", "1 4", "10 3 2 3 2 3"];

/** Round steps for an axis from 0: at most five; whole ones where the values are whole. */
export function ticksTo(most: number): number[] {
  if (!(most > 0)) return [0, 1];
  const rough = most / 5;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step =
    [1, 2, 2.5, 5, 10]
      .map((n) => n * power)
      .find((n) => n >= rough && (!Number.isInteger(most) || Number.isInteger(n))) ?? rough;
  const ticks = [0];
  while (ticks[ticks.length - 1] < most)
    ticks.push(Number((ticks[ticks.length - 1] + step).toPrecision(12)));
  return ticks;
}

/** Ticks of an axis of percentages: of all that there is, or of a ratio. */
export const percentTicks = (isOfAll: boolean | undefined, { isRatio, unit }: Figure) => {
  if (isOfAll || unit === "%") return { tickFormatter: (n: number) => `${n} %` };
  return isRatio && unit === null
    ? { tickFormatter: (n: number) => `${Number((n * 100).toPrecision(6))} %` }
    : { tickFormatter: shortNumber };
};

/** A number at an axis: thousands and millions are told as such, so that it fits beside it. */
export const shortNumber = (n: number): string =>
  Math.abs(n) >= 1e6
    ? `${Number((n / 1e6).toPrecision(6))} M`
    : Math.abs(n) >= 1e4
      ? `${Number((n / 1e3).toPrecision(6))} k`
      : String(n);

/** A name that ends with a sign where it is cut. */
export const shortened = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most - 1)}…` : text;

/** Round steps for an axis over all these values and 0. */
export function ticksOver(values: readonly number[]): number[] {
  const [least, most] = [Math.min(0, ...values), Math.max(0, ...values)];
  if (least === 0) return ticksTo(most);
  const whole = values.every(Number.isInteger);
  const [, step] = ticksTo(
    whole ? Math.max(most, Math.ceil((most - least) / 1.6)) : Math.max(most, (most - least) / 1.6),
  );
  const [first, last] = [Math.floor(least / step), Math.max(0, Math.ceil(most / step))];
  return Array.from({ length: last - first + 1 }, (_, i) =>
    Number(((first + i) * step).toPrecision(12)),
  );
}

/** How deep a tone is, in percent of the colour, for a share of the largest: the middle of the ramp is left out, where neither ink reads. */
export const depthOf = (share: number): number =>
  share <= 0.5 ? Math.round(8 + 84 * share) : Math.round(74 + 32 * (share - 0.5));
/** The ink on a tone of that share. */
export const inkOfShare = (share: number): string => (share > 0.5 ? "var(--deep)" : "var(--ink)");

/** Words in lines of at most so many letters, broken between words. */
export function linesOf(words: string, letters: number): string[] {
  const lines: string[] = [];
  for (const word of words.split(" ")) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < letters)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
