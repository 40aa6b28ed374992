import { settled } from "../refused";
import { boardTemplates, makeBoard } from "../dashboards/template";
import { saveDashboard, boardsToChange, keepChoice } from "../dashboards/dashboards";

import type { dashboardActs as contracts } from "@/contract/dashboards";
import type { ActsOf } from "./act";

export const dashboardActs: ActsOf<typeof contracts> = {
  saveDashboard: {
    changes: true,
    run: async ({ em, desk }, asked) =>
      settled(await saveDashboard(em, desk.viewer, { ...asked, tiles: asked.tiles })),
  },
  keepChosen: {
    changes: true,
    run: ({ em, desk, clock }, { id, chosen }) => keepChoice(em, desk.viewer, clock, id, chosen),
  },
  boardTemplates: { run: () => boardTemplates() },
  makeBoard: {
    changes: true,
    run: async ({ em, desk }, asked) => settled(await makeBoard(em, desk, asked)),
  },
  boards: {
    run: ({ em, desk }) => boardsToChange(em, desk.viewer),
  },
};
