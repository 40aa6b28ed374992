import { area } from "./area";
import { bars } from "./bars";
import { bubbles } from "./bubbles";
import { calendar } from "./calendar";
import { columns } from "./columns";
import { columnsWithLine } from "./columnsWithLine";
import type { Shape } from "./defineShape";
import { donut } from "./donut";
import { dots } from "./dots";
import { fullArea } from "./fullArea";
import { fullBars } from "./fullBars";
import { fullColumns } from "./fullColumns";
import { gauge } from "./gauge";
import { heatMap } from "./heatMap";
import { line } from "./line";
import { list } from "./list";
import { number } from "./number";
import { pie } from "./pie";
import { pies } from "./pies";
import { pivot } from "./pivot";
import { planks } from "./planks";
import { sCurve } from "./sCurve";
import { scatter } from "./scatter";
import { stackedBars } from "./stackedBars";
import { stackedColumns } from "./stackedColumns";
import { timeline } from "./timeline";
import { waterfall } from "./waterfall";

/** Every shape, in the order of menus: the common ones first. */
export const shapes = {
  bars,
  columns,
  stackedBars,
  stackedColumns,
  line,
  donut,
  number,
  pivot,
  list,
  pie,
  area,
  gauge,
  fullBars,
  fullColumns,
  fullArea,
  columnsWithLine,
  heatMap,
  pies,
  scatter,
  bubbles,
  dots,
  calendar,
  waterfall,
  planks,
  sCurve,
  timeline,
} as const satisfies Record<string, Shape>;
export type ShapeId = keyof typeof shapes;
/** Shapes of figures; the others show records. */
export type DrawnShapeId = Exclude<ShapeId, "list" | "timeline">;
export const SHAPE_IDS = Object.keys(shapes) as [ShapeId, ...ShapeId[]];
export { poorFor, whyNot, type Drawable, type Shape, type ShapeInput } from "./defineShape";
