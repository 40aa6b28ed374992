import { bars } from "./bars";
import { columns } from "./columns";
import type { Shape } from "./defineShape";
import { donut } from "./donut";
import { line } from "./line";
import { list } from "./list";
import { number } from "./number";
import { pie } from "./pie";
import { stackedBars } from "./stackedBars";

/** Every shape, in the order of menus: the common ones first. */
export const shapes = { bars, columns, stackedBars, line, donut, pie, number, list } as const satisfies Record<string, Shape>;
export type ShapeId = keyof typeof shapes;
export const SHAPE_IDS = Object.keys(shapes) as [ShapeId, ...ShapeId[]];
export { whyNot, type Shape, type ShapeInput } from "./defineShape";
