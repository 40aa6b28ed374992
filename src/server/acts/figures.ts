import { askFigure, askRecords, askValues, askEmptied } from "../reports/room";
import { answerWorkings } from "../reports/answerReport";
import { settled, nothingHere, Refused } from "../refused";
import { compareWith, quickLook } from "../reports/compare";
import { runPlan } from "@/data";
import { planForecast, viewOf } from "@/core/kinds/planned";
import { askSprint } from "../sprints/sprintRoom";
import { besideNumber } from "../dashboards/beside";
import { answerTile, beamOf, boardSince, sinceThen } from "../dashboards/tile";

import type { figureActs as contracts } from "@/contract/figures";
import { checked } from "../reports/checked";
import type { ActsOf } from "./act";

export const figureActs: ActsOf<typeof contracts> = {
  figure: {
    run: ({ em, desk }, { definition, dress }) =>
      askFigure(em, desk, checked(definition, desk), dress),
  },
  records: {
    run: ({ em, desk }, { definition, ...wanted }) =>
      askRecords(em, desk, checked(definition, desk), wanted as Parameters<typeof askRecords>[3]),
  },
  workings: {
    run: ({ em, desk }, { definition }) =>
      answerWorkings(em, checked(definition, desk), desk.view, desk.viewer.name),
  },
  values: {
    run: ({ em, desk }, { definition, field, except, words }) =>
      askValues(em, desk, checked(definition, desk), field, except, words),
  },
  emptied: {
    run: ({ em, desk }, { definition }) => askEmptied(em, desk, checked(definition, desk)),
  },
  compare: {
    run: async ({ em, desk }, { definition, opened, with: other }) =>
      settled(await compareWith(em, desk, checked(definition, desk), opened as never, other)),
  },
  quickLook: {
    run: async ({ em, desk }, { definition, opened, field }) => {
      const report = checked(definition, desk);
      if (!desk.view.catalog.findPath(report.subject.id, field)) throw nothingHere();
      return quickLook(em, desk, report, opened as never, field);
    },
  },
  forecast: {
    run: async ({ em, desk }, { definition }) => {
      const report = checked(definition, desk);
      if (report.kind !== "burndown")
        throw new Refused([{ code: "forecast.kind", message: "Only a burndown has a forecast." }]);
      return runPlan(em, planForecast(report, viewOf(report, desk.view)));
    },
  },
  sprint: {
    run: async ({ em, desk }, { sprint, unit, stood }) => {
      if (!desk.view.catalog.names.find("sprint", sprint)) throw nothingHere();
      return askSprint(em, desk, sprint, unit, stood);
    },
  },
  tile: {
    run: ({ em, desk }, asked) => answerTile(em, desk, asked),
  },
  beside: { run: ({ em, desk }, asked) => besideNumber(em, desk, asked) },
  since: { run: ({ em, desk }, asked) => sinceThen(em, desk, asked) },
  boardSince: { run: ({ em, desk }, asked) => boardSince(em, desk, asked) },
  beam: {
    run: async ({ desk }, { definition, opened }) =>
      beamOf(checked(definition, desk), opened, desk),
  },
};
