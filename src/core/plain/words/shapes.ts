/** Pictures as people call them. */
export const SHAPE_WORDS: readonly { readonly said: string; readonly shape: string }[] = [
  { said: "heat ?maps?", shape: "heat map" },
  { said: "(?:calendar|month calendar)(?: view)?", shape: "month calendar" },
  { said: "stacked (?:bars?|bar charts?|bar graphs?)", shape: "stacked bars" },
  { said: "stacked columns?(?: charts?)?", shape: "stacked columns" },
  { said: "bars?|bar (?:charts?|graphs?)", shape: "bars" },
  { said: "columns?|column (?:charts?|graphs?)|histograms?", shape: "columns" },
  { said: "donuts?|doughnuts?|donut charts?|ring charts?", shape: "donut" },
  { said: "pies?|pie charts?|pie graphs?", shape: "pie" },
  { said: "line(?: charts?| graphs?)|lines?", shape: "line" },
  { said: "area(?: charts?| graphs?)", shape: "area" },
  { said: "gauges?|dials?", shape: "gauge" },
  { said: "pivot(?: tables?)?|cross ?tabs?|two-way tables?|matrix", shape: "pivot" },
  { said: "scatter(?: plots?| charts?)?", shape: "scatter" },
  { said: "bubbles?(?: charts?)?", shape: "bubbles" },
  { said: "waterfalls?(?: charts?)?", shape: "waterfall" },
  { said: "big number|single number|as a number", shape: "number" },
];
