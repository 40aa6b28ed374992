import type { ShownBeside } from "@/contract/figures";
import { PLAIN_DRESS } from "@/core/definition";
import { isDrawable, type Report } from "@/core/kinds";
import { flowBeside, levelsBeside, planBesideLevels, viewOf } from "@/core/kinds/planned";
import { localDay } from "@/core/time";
import { runPlan, type EntityManager } from "@/data";

import { askFigure } from "../reports/room";
import type { Desk } from "../viewer/viewpoint";
import { askedOfTile, type TileAsked } from "./tile";

/** The weekday of a local day, which is read as midnight in UTC. */
const WEEKDAY = new Intl.DateTimeFormat("en-GB", { weekday: "long", timeZone: "UTC" });

/** What stands beside the number of a tile: how it went, and what it usually is; null where neither can be told. */
export async function besideNumber(
  em: EntityManager,
  desk: Desk,
  asked: TileAsked,
): Promise<ShownBeside | null> {
  const { definition } = await askedOfTile(em, desk, asked);
  const view = viewOf(definition, desk.view);
  const now = { ...definition } as Report;
  delete now.stood;
  const levels = levelsBeside(now, view.catalog);
  if (levels) {
    const { trend, usual } = await runPlan(em, planBesideLevels(levels, view));
    const weekday = WEEKDAY.format(new Date(localDay(view.now, view.calendar.zone)));
    return {
      trend: trend.filter((value) => value !== null),
      over: "weeks",
      usual: usual && { ...usual, rule: `the median of ${usual.of} ${weekday}s at this hour` },
    };
  }
  return besideFlow(em, desk, now);
}

async function besideFlow(
  em: EntityManager,
  desk: Desk,
  definition: Report,
): Promise<ShownBeside | null> {
  const flow = flowBeside(definition);
  if (!flow) return null;
  const shown = await askFigure(em, desk, flow, PLAIN_DRESS);
  if (!isDrawable(shown) || !shown.figure) return null;
  return {
    trend: shown.figure.rows.flatMap(({ value }) => (value === null ? [] : [value])),
    over: `${flow.by[0].grain}s`,
    usual: null,
  };
}
