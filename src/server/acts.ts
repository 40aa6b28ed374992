import type { ZodType, z } from "zod";
import type { Problem, Result } from "@/core/base";
import { checkReport } from "@/core/sentence";
import type { Report } from "@/core/definition";
import * as contract from "@/contract/room";
import { type EntityManager, type Role } from "@/data";
import { invite } from "./accounts/signIn";
import { actOnImport } from "./bundles/imports";
import type { Clock } from "./clock";
import { binDashboard, boardsToChange, saveDashboard } from "./dashboards/dashboards";
import { changeItem } from "./items/itemPage";
import { find } from "./library/find";
import { binReport, loadReport, saveReport, setPin } from "./library/reports";
import { answerWorkings } from "./reports/answerReport";
import { askFigure, askRecords, askValues } from "./reports/room";
import type { Desk } from "./viewer/viewpoint";

export interface ActContext {
  readonly em: EntityManager;
  readonly desk: Desk;
  readonly clock: Clock;
}

/** Thrown by acts for what a person can mend; the route tells it. */
export class Refused extends Error {
  constructor(readonly problems: readonly Problem[], readonly status = 422) {
    super(problems[0]?.message);
  }
}

interface Act<S extends ZodType> {
  readonly asks: S;
  /** Who may; everyone who is signed in, if nothing is said. */
  readonly roles?: readonly Role[];
  readonly run: (context: ActContext, asked: z.infer<S>) => Promise<unknown>;
}

const act = <S extends ZodType>(given: Act<S>): Act<S> => given;

/** Stored and sent definitions are checked before they are planned. */
function checked(report: Report, desk: Desk): Report {
  const problems = checkReport(report, desk.view);
  if (problems.length) throw new Refused(problems);
  return report;
}

function settled<T>(result: Result<T>): T {
  if (!result.ok) throw new Refused(result.problems, result.problems[0].code.endsWith(".version") ? 409 : 422);
  return result.value;
}

const NONE: Problem = { code: "none", message: "There is nothing here." };

/** Everything that the rooms can ask for or do: one gate for rights, one place for each act. */
export const acts = {
  figure: act({ asks: contract.FigureAsk, run: ({ em, desk }, { definition, dress }) => askFigure(em, desk, checked(definition, desk), dress) }),
  records: act({ asks: contract.RecordsAskSchema, run: ({ em, desk }, { definition, ...wanted }) => askRecords(em, desk, checked(definition, desk), wanted as Parameters<typeof askRecords>[3]) }),
  workings: act({ asks: contract.WorkingsAsk, run: ({ em, desk }, { definition }) => answerWorkings(em, checked(definition, desk), desk.view, desk.viewer.name) }),
  values: act({ asks: contract.ValuesAsk, run: ({ em, desk }, { definition, field, except }) => askValues(em, desk, checked(definition, desk), field, except) }),
  tile: act({
    asks: contract.TileAsk,
    run: async ({ em, desk }, { report }) => {
      const kept = await loadReport(em, desk.viewer, report);
      if (!kept) throw new Refused([NONE], 404);
      return { name: kept.name, definition: kept.definition, dress: kept.dress, shown: await askFigure(em, desk, checked(kept.definition, desk), kept.dress) };
    },
  }),
  saveReport: act({ asks: contract.SaveReportAsk, run: async ({ em, desk }, asked) => settled(await saveReport(em, desk.viewer, desk.view, { ...asked, definition: asked.definition, dress: asked.dress })) }),
  binReport: act({ asks: contract.IdAsk, run: async ({ em, desk }, { id }) => settled(await binReport(em, desk.viewer, id)) }),
  pin: act({
    asks: contract.PinAsk,
    run: async ({ em, desk }, { kind, id, pinned }) => {
      await setPin(em, desk.viewer, kind, id, pinned);
      return true;
    },
  }),
  saveDashboard: act({ asks: contract.SaveDashboardAsk, run: async ({ em, desk }, asked) => settled(await saveDashboard(em, desk.viewer, { ...asked, tiles: asked.tiles })) }),
  boards: act({ asks: contract.NothingAsk, run: ({ em, desk }) => boardsToChange(em, desk.viewer) }),
  binDashboard: act({ asks: contract.IdAsk, run: async ({ em, desk }, { id }) => settled(await binDashboard(em, desk.viewer, id)) }),
  changeItem: act({ asks: contract.ChangeItemAsk, run: async ({ em, desk, clock }, asked) => settled(await changeItem(em, clock, desk, asked)) }),
  find: act({ asks: contract.FindAsk, run: ({ em, desk }, { words }) => find(em, desk, words) }),
  invite: act({
    asks: contract.IdAsk,
    roles: ["administrator"],
    run: async ({ em }, { id }) => {
      const secret = await invite(em, id);
      if (!secret) throw new Refused([NONE], 404);
      return secret;
    },
  }),
  import: act({
    asks: contract.ImportActAsk,
    roles: ["administrator"],
    run: async ({ em }, { id, act: what, stages }) => {
      const state = await actOnImport(em, id, what, stages);
      if (!state) throw new Refused([NONE], 404);
      return state;
    },
  }),
} as const;

export type ActId = keyof typeof acts;
