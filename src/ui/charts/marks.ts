import type { Color, Mark } from "@/core/figure";

/** Whether a colour is never without its texture: what comes again, and what means something. */
export const isTextured = (color: Color): boolean => /^(c\dx|g\d)$/.test(color);

/** Which part of a figure a mark is, as a text. */
export const markId = (mark: Pick<Mark, "path" | "split" | "measure" | "record">): string =>
  JSON.stringify([mark.path, mark.split ?? null, mark.measure ?? 0, mark.record ?? null]);

/** Whether a part is opened, or beamed from. */
export const isLit = (
  mark: Parameters<typeof markId>[0],
  { opened }: { readonly opened: readonly string[] },
): boolean => opened.length > 0 && opened.includes(markId(mark));
