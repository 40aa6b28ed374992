import type { DressProps } from "./Colours";

/** The texts of a dress. */
export type TitleText =
  | "title"
  | "subtitle"
  | "footnote"
  | "description"
  | "hover"
  | "axisTitle"
  | "groupTitle"
  | "unitWords";

/** The dress with a text set or taken out. */
export function withText<D extends DressProps["dress"]>(
  dress: D,
  name: TitleText,
  text: string | undefined,
): D {
  const { [name]: _old, ...rest } = dress;
  return { ...rest, ...(text === undefined ? {} : { [name]: text }) } as unknown as D;
}
