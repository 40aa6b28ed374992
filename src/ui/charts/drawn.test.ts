import {
  type BridgeAnswer,
  type BurndownAnswer,
  type CountAnswer,
  type CrossingsAnswer,
  type ShownPace,
} from "@/core/kinds";
import { figureOf } from "@/core/kinds/planned";
import { createElement, type ComponentType } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import type { Head } from "@/core/answer";
import { PLAIN_DRESS, type Dress } from "@/core/definition";
import { historyFigure } from "../../../tests/support/tellings";
import type { Forecast } from "@/core/history";
import type { ShapeId } from "@/core/shapes";
import { parseInstant } from "@/core/time";

import { BurnUp } from "./BurnUp";
import { Fan } from "./Fan";
import { FigureTable } from "./FigureTable";
import { HeatMap } from "./HeatMap";
import { LegendTable } from "./LegendTable";
import { NumberFigure } from "./NumberFigure";
import { Pies } from "./Pies";
import { PivotFigure } from "./pivot/PivotFigure";
import { Planks } from "./Planks";
import { ring } from "./Slices";
import { Waterfall } from "./Waterfall";

const drawnOf = (dress: Partial<Dress> = {}, more: object = {}) => ({
  onOpen: () => undefined,
  opened: [] as readonly string[],
  label: "Open faults",
  dress: { ...PLAIN_DRESS, ...dress },
  ...more,
});
const markup = <P extends object>(component: ComponentType<P>, props: P): string =>
  renderToStaticMarkup(createElement(component, props)).replace(/<style[\s\S]*?<\/style>/g, "");
/** What is said of each part that opens. */
const opening = (html: string): string[] =>
  [...html.matchAll(/aria-label="([^"]*)\. Open the records"/g)].map((found) =>
    found[1].replace(/&amp;/g, "&").replace(/&lt;/g, "<").replace(/&gt;/g, ">"),
  );
const text = (html: string): string => html.replace(/<[^>]*>/g, " ").replace(/\s+/g, " ");

const head = (key: string, label: string): Head => ({
  key,
  kind: key === "n" ? "none" : "value",
  name: label,
  label,
  tone: key === "n" ? null : Number(key.slice(1)),
});
const cell = (value: string | null) => ({ value, records: Number(value ?? 0), empties: 0 });
const TEAMS = [head("v1", "Engine shop"), head("v2", "<Landing> & systems"), head("n", "not set")];
const PRIORITIES = [head("v1", "P1"), head("v2", "P2")];
const COUNTS = [
  ["4", "6"],
  ["1", "3"],
  ["0", "2"],
];
const answer: CountAnswer = {
  kind: "count",
  measures: [{ words: "count", unit: null, additive: true, isDate: false }],
  rows: TEAMS.map((team, i) => ({
    path: [team],
    cells: [cell(String(COUNTS[i].reduce((sum, n) => sum + Number(n), 0)))],
    parts: COUNTS[i].map((n) => [cell(n)]),
  })),
  tiers: [],
  split: PRIORITIES,
  total: [cell("16")],
  columnTotals: [[cell("5")], [cell("11")]],
  everything: null,
  before: null,
  manyValued: false,
  asOf: 0,
};
const plain: CountAnswer = {
  ...answer,
  split: [],
  columnTotals: [],
  rows: answer.rows.map((row) => ({ ...row, parts: [] })),
};
const PERCENT = {
  rows: ["62.5", "25.0", "12.5"],
  cells: [
    ["25.0", "37.5"],
    ["6.2", "18.8"],
    ["0.0", "12.5"],
  ],
};
const figure = (of: CountAnswer, shape: ShapeId, dress: Partial<Dress> = {}) =>
  figureOf(of, PERCENT, { ...PLAIN_DRESS, ...dress }, shape);

describe("every part of a figure that is drawn opens, and says what it is", () => {
  test("a heat map has a cell for each pair with its figure in it, and its names as text", () => {
    const html = markup(HeatMap, { figure: figure(answer, "heatMap"), drawn: drawnOf() });
    expect(opening(html).filter((label) => label.includes(", P"))).toEqual([
      "Engine shop, P1: 4",
      "Engine shop, P2: 6",
      "<Landing> & systems, P1: 1",
      "<Landing> & systems, P2: 3",
      "not set, P1: 0",
      "not set, P2: 2",
    ]);
    expect(html).not.toContain("<Landing>");
    expect(text(html)).toContain("P1 P2 all");
  });
  test("several pies have a pie for each group, of its parts", () => {
    const labels = opening(markup(Pies, { figure: figure(answer, "pies"), drawn: drawnOf() }));
    expect(labels.filter((label) => label.startsWith("Engine shop, P"))).toEqual([
      expect.stringContaining("Engine shop, P1: 4"),
      expect.stringContaining("Engine shop, P2: 6"),
    ]);
  });
  test("a number opens all that it counts", () => {
    expect(
      opening(
        markup(NumberFigure, {
          figure: figure(plain, "number"),
          drawn: drawnOf(),
          words: "faults",
        }),
      ),
    ).toEqual(["Open faults: 16"]);
  });
  test("a table has every value of the figure, its parts and its total", () => {
    const html = markup(FigureTable, {
      figure: figure(answer, "stackedBars"),
      drawn: drawnOf(),
      measure: "count",
    });
    expect(text(html)).toMatch(/Group P1 P2 count/);
    expect(opening(html).length).toBeGreaterThanOrEqual(9);
    expect(html).toContain('scope="row"');
  });
  test("a legend as a table has the values and their total", () => {
    const html = text(
      markup(LegendTable, {
        figure: figure(plain, "donut"),
        drawn: drawnOf({ legendColumns: ["value", "percent"] }),
        measure: "count",
      }),
    );
    for (const word of ["Engine shop", "10", "62.5"]) expect(html).toContain(word);
  });
  test("a pivot has its cells, its columns for all and its total row; what has no records is a dot that opens nothing", () => {
    const html = markup(PivotFigure, {
      answer: {
        ...answer,
        rows: [{ ...answer.rows[0], parts: [[cell("4")], [cell(null)]] }, ...answer.rows.slice(1)],
      },
      drawn: drawnOf(),
    });
    expect(opening(html)).toEqual(expect.arrayContaining(["All, P1: 5", "All, P2: 11", "All: 16"]));
    expect(opening(html)).not.toContain("Engine shop, P2: 6");
    expect(html).toContain('role="columnheader"');
  });
});

const at = (day: string) => parseInstant(`${day}T09:00:00Z`)!;
const DAYS = [
  "2026-11-23",
  "2026-11-24",
  "2026-11-25",
  "2026-11-26",
  "2026-11-27",
  "2026-11-28",
  "2026-11-29",
  "2026-11-30",
];
const pace: ShownPace = {
  days: DAYS.map((day, i) => ({
    day,
    start: parseInstant(`${day}T00:00:00Z`)!,
    end: parseInstant(`${day}T00:00:00Z`)! + 86_400_000_000,
    works: i !== 5 && i !== 6,
    name: i === 5 ? "Sat" : i === 6 ? "Sun" : null,
  })),
  working: DAYS.map((day, i) => ({ t: at(day), pace: String(20 - 2 * i) })),
  clock: DAYS.map((day, i) => ({ t: at(day), pace: String(20 - 2.5 * i) })),
};
const burndown: BurndownAnswer = {
  kind: "burndown",
  unit: "points",
  name: "Sprint 10",
  sprint: 10,
  span: { start: at("2026-11-23"), end: at("2026-11-30"), closed: null },
  asOf: at("2026-11-26"),
  begins: at("2024-01-01"),
  choices: [],
  isLast: false,
  burndown: {
    start: at("2026-11-23"),
    end: at("2026-11-30"),
    until: at("2026-11-26"),
    committed: "20",
    remaining: "18",
    notEstimated: 0,
    samples: [],
    totals: { added: "5", removed: "0", finished: "8", reopened: "1", "re-estimated": "0" },
    steps: [
      { at: at("2026-11-24"), item: 1, key: "B1", cause: "added", amount: "5", remaining: "25" },
      { at: at("2026-11-25"), item: 2, key: "B2", cause: "finished", amount: "8", remaining: "17" },
      { at: at("2026-11-26"), item: 2, key: "B2", cause: "reopened", amount: "1", remaining: "18" },
    ],
    items: 2,
  },
};
const forecast: Forecast = {
  days: { p50: 2, p85: 3, p95: null },
  runs: 10_000,
  rests: 60,
  fan: [0, 1, 2, 3].map((day) => ({
    day,
    p5: Math.max(0, 12 - 6 * day),
    p15: Math.max(0, 14 - 5 * day),
    p50: 18 - 6 * day,
    p85: 18 - 3 * day,
    p95: 18 - day,
    done: day / 4,
  })),
};
const AHEAD = ["2026-11-26", "2026-11-27", "2026-11-30", "2026-12-01"];

describe("the drawings of a sprint", () => {
  test("a burndown opens every step of it, and says how far it is from its pace", () => {
    const html = markup(Planks, { answer: burndown, pace, drawn: drawnOf(), mode: "working" });
    expect(opening(html)).toEqual(["B1 added: 5", "B2 finished: 8", "B2 reopened: 1"]);
    expect(text(html)).toMatch(/behind|ahead/);
    expect(text(html)).toContain("now");
  });
  test("the pace is another by the clock, and a closed sprint has no now", () => {
    const [working, clock] = (["working", "clock"] as const).map((mode) =>
      markup(Planks, { answer: burndown, pace, drawn: drawnOf(), mode }),
    );
    expect(working).not.toBe(clock);
    expect(
      text(
        markup(Planks, {
          answer: { ...burndown, span: { ...burndown.span!, closed: at("2026-11-26") } },
          pace,
          drawn: drawnOf(),
          mode: "working",
        }),
      ),
    ).not.toContain("now");
  });
  test("a burn-up counts what is done net of what was reopened, of all that it holds, and opens what is done", () => {
    const html = markup(BurnUp, { answer: burndown, pace, drawn: drawnOf() });
    expect(html).toContain("7 done of 25");
    expect(opening(html)).toEqual(["Finished in this sprint: 7"]);
  });
  test("a fan names the days by which shares of the runs are done, and only those that are", () => {
    const html = markup(Fan, { answer: burndown, pace, forecast, days: AHEAD });
    expect(html).toContain("30 Nov 2026 in 50 %");
    expect(html).toContain("1 Dec 2026 in 85 %");
    expect(html).not.toContain("95 %");
  });
  test("what has not begun is not drawn", () => {
    const ahead = { ...burndown, burndown: null };
    expect([
      markup(Planks, { answer: ahead, pace, drawn: drawnOf(), mode: "working" }),
      markup(BurnUp, { answer: ahead, pace, drawn: drawnOf() }),
      markup(Fan, { answer: ahead, pace, forecast, days: AHEAD }),
    ]).toEqual(["", "", ""]);
  });
});

test("a waterfall leads from one level to the other, and each of its parts opens", () => {
  const bridge: BridgeAnswer = {
    kind: "bridge",
    isOfOpen: true,
    measure: answer.measures[0],
    from: 0,
    to: 1,
    levelFrom: "10",
    levelTo: "13",
    begins: 0,
    asOf: 1,
    parts: [
      { cause: "created", fields: [], amount: "5", count: 5, keys: [] },
      { cause: "changed out", fields: ["priority"], amount: "-2", count: 2, keys: [] },
    ],
  };
  const html = markup(Waterfall, { answer: bridge, drawn: drawnOf(), labels: ["1 Oct", "1 Nov"] });
  expect(opening(html).length).toBeGreaterThanOrEqual(2);
  for (const word of ["1 Oct", "1 Nov", "10", "13", "created", "priority"])
    expect(text(html)).toContain(word);
});

test("a whole ring is drawn in two halves, for an arc cannot end where it begins", () => {
  const place = (angle: number, radius: number) => [
    radius * Math.cos(angle),
    radius * Math.sin(angle),
  ];
  const whole = ring(place, 10, 20, 0, 2 * Math.PI);
  expect((whole.match(/A/g) ?? []).length).toBeGreaterThanOrEqual(
    (ring(place, 10, 20, 0, 1).match(/A/g) ?? []).length,
  );
  expect(whole).not.toContain("NaN");
});

test("flows with their level as a table: both flows, the net and the level, each of which opens", () => {
  const bucket = (month: string) => ({
    from: `2026-${month}-01`,
    to: `2026-${month}-28`,
    start: 0,
    end: 1,
    soFar: false,
    partial: false,
  });
  const crossing = (levelStart: number, arrived: number, departed: number) => ({
    levelStart: String(levelStart),
    arrived: String(arrived),
    departed: String(departed),
    revalued: "0",
    levelEnd: String(levelStart + arrived - departed),
    arrivals: arrived,
    departures: departed,
  });
  const flows: CrossingsAnswer = {
    kind: "crossings",
    which: "both",
    isRunning: false,
    beside: ["net", "level"],
    measure: { words: "count", unit: null, additive: true, isDate: false },
    begins: 0,
    asOf: 0,
    rows: [
      { bucket: bucket("09"), label: "Sep 2026", about: "", crossing: crossing(5, 4, 1) },
      { bucket: bucket("10"), label: "Oct 2026", about: "", crossing: crossing(8, 1, 3) },
    ],
  };
  const html = markup(FigureTable, {
    figure: historyFigure(flows, PLAIN_DRESS)!,
    drawn: drawnOf(),
    measure: "net",
  });
  expect(opening(html)).toEqual([
    "Sep 2026, arrivals: 4",
    "Sep 2026, departures: 1",
    "Sep 2026: 3",
    "Sep 2026, level: 8",
    "Oct 2026, arrivals: 1",
    "Oct 2026, departures: 3",
    "Oct 2026: \u22122",
    "Oct 2026, level: 6",
    "net: 1",
  ]);
  expect(text(html)).toContain("level, in all");
});
