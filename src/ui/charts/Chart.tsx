"use client";
import type { ComponentType } from "react";
import type { Figure } from "@/core/figure";
import type { ShapeId } from "@/core/shapes";
import { Bars } from "./Bars";
import type { Drawn } from "./drawing";
import { Lines } from "./Lines";
import { NumberFigure } from "./NumberFigure";
import { Slices } from "./Slices";

export interface ChartProps {
  readonly figure: Figure;
  readonly drawn: Drawn;
  /** What is counted, in one or two words. */
  readonly measure: string;
}

/** The drawing of each shape; a list is drawn by the table of records. */
const drawings = {
  bars: ({ figure, drawn }) => <Bars figure={figure} layout="bars" stacked={false} drawn={drawn} />,
  columns: ({ figure, drawn }) => <Bars figure={figure} layout="columns" stacked={false} drawn={drawn} />,
  stackedBars: ({ figure, drawn }) => <Bars figure={figure} layout="bars" stacked drawn={drawn} />,
  line: ({ figure, drawn }) => <Lines figure={figure} drawn={drawn} />,
  donut: ({ figure, drawn, measure }) => <Slices figure={figure} hole drawn={drawn} measure={measure} />,
  pie: ({ figure, drawn, measure }) => <Slices figure={figure} hole={false} drawn={drawn} measure={measure} />,
  number: ({ figure, drawn, measure }) => <NumberFigure figure={figure} drawn={drawn} words={measure} />,
} satisfies Record<Exclude<ShapeId, "list">, ComponentType<ChartProps>>;

export function Chart({ shape, ...props }: ChartProps & { shape: Exclude<ShapeId, "list"> }) {
  const Drawing: ComponentType<ChartProps> = drawings[shape];
  return <Drawing {...props} />;
}
