import { checkReport, type Report } from "@/core/kinds";
import type { ZodType, z } from "zod";

import * as contract from "@/contract/room";
import { runPlan, type EntityManager, type Role } from "@/data";
import { brandOf, setBrand } from "./accounts/brand";
import { invite } from "./accounts/signIn";
import { actOnImport } from "./bundles/imports";
import type { Clock } from "./clock";
import { boardsToChange, saveDashboard } from "./dashboards/dashboards";
import { bringDefinition } from "./definitions/definitionFile";
import { changeItems } from "./items/changeItems";
import { keepDraft, loadDraft } from "./library/drafts";
import { saveFilter } from "./library/filters";
import { find } from "./library/find";
import {
  binKept,
  listBin,
  listShares,
  listVersions,
  noteOpened,
  restoreFromBin,
  setPin,
  setShares,
} from "./library/kept";
import { saveMeasure } from "./library/measures";
import { findTwins, loadReport, reportsOfFilter, saveReport } from "./library/reports";
import { dropMailing, listMailings, saveMailing, sendSoon } from "./mail/mailings";
import { planForecast } from "@/core/kinds/planned";
import { answerWorkings, viewOf } from "./reports/answerReport";
import { compareWith, quickLook } from "./reports/compare";
import { nothingHere, Refused, settled } from "./refused";
import { askSprint } from "./sprints/sprintRoom";
import { listMails, mailAddress } from "./mail/mailRoom";
import {
  dropDayNote,
  keepFinding,
  listDayNotes,
  listFindings,
  listNotices,
  noticeSeen,
  saveDayNote,
} from "./reports/notes";
import { noteUnplaced } from "./reports/placed";
import { askEmptied, askFigure, askRecords, askValues } from "./reports/room";
import type { Desk } from "./viewer/viewpoint";

export interface ActContext {
  readonly em: EntityManager;
  readonly desk: Desk;
  readonly clock: Clock;
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

/** Everything that the rooms can ask for or do: one gate for rights, one place for each act. */
export const acts = {
  // ── asking ──
  figure: act({
    asks: contract.FigureAsk,
    run: ({ em, desk }, { definition, dress }) =>
      askFigure(em, desk, checked(definition, desk), dress),
  }),
  records: act({
    asks: contract.RecordsAskSchema,
    run: ({ em, desk }, { definition, ...wanted }) =>
      askRecords(em, desk, checked(definition, desk), wanted as Parameters<typeof askRecords>[3]),
  }),
  workings: act({
    asks: contract.WorkingsAsk,
    run: ({ em, desk }, { definition }) =>
      answerWorkings(em, checked(definition, desk), desk.view, desk.viewer.name),
  }),
  values: act({
    asks: contract.ValuesAsk,
    run: ({ em, desk }, { definition, field, except, words }) =>
      askValues(em, desk, checked(definition, desk), field, except, words),
  }),
  emptied: act({
    asks: contract.WorkingsAsk,
    run: ({ em, desk }, { definition }) => askEmptied(em, desk, checked(definition, desk)),
  }),
  compare: act({
    asks: contract.CompareAsk,
    run: async ({ em, desk }, { definition, opened, with: other }) =>
      settled(await compareWith(em, desk, checked(definition, desk), opened as never, other)),
  }),
  quickLook: act({
    asks: contract.QuickLookAsk,
    run: async ({ em, desk }, { definition, opened, field }) => {
      const report = checked(definition, desk);
      if (!desk.view.catalog.findPath(report.subject.id, field)) throw nothingHere();
      return quickLook(em, desk, report, opened as never, field);
    },
  }),
  forecast: act({
    asks: contract.ForecastAsk,
    run: async ({ em, desk }, { definition }) => {
      const report = checked(definition, desk);
      if (report.kind !== "burndown")
        throw new Refused([{ code: "forecast.kind", message: "Only a burndown has a forecast." }]);
      return runPlan(em, planForecast(report, viewOf(report, desk.view)));
    },
  }),
  sprint: act({
    asks: contract.SprintAsk,
    run: async ({ em, desk }, { sprint, unit, stood }) => {
      if (!desk.view.catalog.names.find("sprint", sprint)) throw nothingHere();
      return askSprint(em, desk, sprint, unit, stood);
    },
  }),
  tile: act({
    asks: contract.TileAsk,
    run: async ({ em, desk }, { report, stood }) => {
      const kept = await loadReport(em, desk.viewer, report);
      if (!kept) throw nothingHere();
      const definition =
        stood && !kept.definition.stood ? { ...kept.definition, stood } : kept.definition;
      return {
        name: kept.name,
        definition,
        dress: kept.dress,
        shown: await askFigure(em, desk, checked(definition, desk), kept.dress),
      };
    },
  }),
  // ── definitions ──
  report: act({
    asks: contract.IdAsk,
    run: async ({ em, desk }, { id }) => {
      const kept = await loadReport(em, desk.viewer, id);
      if (!kept) throw nothingHere();
      await noteOpened(em, desk.viewer, "report", id);
      await noteUnplaced(em, desk, kept);
      return kept;
    },
  }),
  saveReport: act({
    asks: contract.SaveReportAsk,
    run: async ({ em, desk }, asked) =>
      settled(
        await saveReport(em, desk.viewer, desk.view, {
          ...asked,
          definition: asked.definition,
          dress: asked.dress,
        }),
      ),
  }),
  twins: act({
    asks: contract.TwinsAsk,
    run: ({ em, desk }, { definition, except }) =>
      findTwins(em, desk.viewer, desk.view.catalog, checked(definition, desk), except),
  }),
  draft: act({
    asks: contract.IdAsk,
    run: ({ em, desk }, { id }) => loadDraft(em, desk.viewer, id),
  }),
  keepDraft: act({
    asks: contract.DraftAsk,
    run: ({ em, desk }, { report, draft }) => keepDraft(em, desk.viewer, report, draft),
  }),
  saveFilter: act({
    asks: contract.SaveFilterAsk,
    run: async ({ em, desk }, asked) =>
      settled(
        await saveFilter(em, desk.viewer, desk.view, {
          ...asked,
          subject: asked.subject,
          where: asked.where,
        }),
      ),
  }),
  filterUses: act({
    asks: contract.IdAsk,
    run: ({ em, desk }, { id }) => reportsOfFilter(em, desk.viewer, desk.view.catalog, id),
  }),
  saveMeasure: act({
    asks: contract.SaveMeasureAsk,
    run: async ({ em, desk }, asked) =>
      settled(await saveMeasure(em, desk.viewer, desk.view, { ...asked, measure: asked.measure })),
  }),
  saveDashboard: act({
    asks: contract.SaveDashboardAsk,
    run: async ({ em, desk }, asked) =>
      settled(await saveDashboard(em, desk.viewer, { ...asked, tiles: asked.tiles })),
  }),
  boards: act({
    asks: contract.NothingAsk,
    run: ({ em, desk }) => boardsToChange(em, desk.viewer),
  }),
  bringDefinition: act({
    asks: contract.DefinitionFileAsk,
    run: async ({ em, desk }, { text }) => settled(await bringDefinition(em, desk, text)),
  }),
  // ── what is the same for all that is kept ──
  pin: act({
    asks: contract.PinAsk,
    run: async ({ em, desk }, { kind, id, pinned }) => {
      await setPin(em, desk.viewer, kind, id, pinned);
      return true;
    },
  }),
  versions: act({
    asks: contract.KeptAsk,
    run: ({ em, desk }, { kind, id }) => listVersions(em, desk.viewer, kind, id),
  }),
  shares: act({
    asks: contract.KeptAsk,
    run: ({ em, desk }, { kind, id }) => listShares(em, desk.viewer, kind, id),
  }),
  setShares: act({
    asks: contract.SharesAsk,
    run: async ({ em, desk }, { kind, id, shares }) =>
      settled(await setShares(em, desk.viewer, kind, id, shares)),
  }),
  bin: act({
    asks: contract.KeptAsk,
    run: async ({ em, desk }, { kind, id }) => settled(await binKept(em, desk.viewer, kind, id)),
  }),
  binned: act({ asks: contract.NothingAsk, run: ({ em, desk }) => listBin(em, desk.viewer) }),
  unbin: act({
    asks: contract.KeptAsk,
    run: async ({ em, desk }, { kind, id }) =>
      settled(await restoreFromBin(em, desk.viewer, kind, id)),
  }),
  // ── handing on, notes and findings ──
  mailings: act({
    asks: contract.NothingAsk,
    run: ({ em, desk }) => listMailings(em, desk.viewer),
  }),
  saveMailing: act({
    asks: contract.MailingAsk,
    run: async ({ em, desk, clock }, { now, ...asked }) => {
      const id = settled(await saveMailing(em, clock, desk.viewer, asked));
      if (now) settled(await sendSoon(em, desk.viewer, id));
      return id;
    },
  }),
  mails: act({
    asks: contract.NothingAsk,
    run: async ({ em, desk }) => listMails(em, await mailAddress(em, desk.viewer)),
  }),
  sendMailing: act({
    asks: contract.IdAsk,
    run: async ({ em, desk }, { id }) => settled(await sendSoon(em, desk.viewer, id)),
  }),
  dropMailing: act({
    asks: contract.IdAsk,
    run: async ({ em, desk }, { id }) => settled(await dropMailing(em, desk.viewer, id)),
  }),
  dayNotes: act({
    asks: contract.IdAsk,
    run: ({ em, desk }, { id }) => listDayNotes(em, desk.viewer, id || null),
  }),
  saveDayNote: act({
    asks: contract.DayNoteAsk,
    run: async ({ em, desk }, asked) => settled(await saveDayNote(em, desk.viewer, asked)),
  }),
  dropDayNote: act({
    asks: contract.IdAsk,
    run: ({ em, desk }, { id }) => dropDayNote(em, desk.viewer, id),
  }),
  findings: act({
    asks: contract.IdAsk,
    run: async ({ em, desk }, { id }) =>
      (await loadReport(em, desk.viewer, id)) ? listFindings(em, id) : [],
  }),
  keepFinding: act({
    asks: contract.FindingAsk,
    run: async ({ em, desk }, asked) => {
      if (asked.report !== null && !(await loadReport(em, desk.viewer, asked.report)))
        throw nothingHere();
      return settled(await keepFinding(em, desk.viewer, asked));
    },
  }),
  notices: act({ asks: contract.NothingAsk, run: ({ em, desk }) => listNotices(em, desk.viewer) }),
  noticeSeen: act({
    asks: contract.AboutAsk,
    run: ({ em, desk }, { about }) => noticeSeen(em, desk.viewer, about),
  }),
  brand: act({ asks: contract.NothingAsk, run: ({ em }) => brandOf(em) }),
  setBrand: act({
    asks: contract.BrandAsk,
    roles: ["administrator"],
    run: ({ em }, asked) => setBrand(em, asked),
  }),
  // ── items ──
  changeItems: act({
    asks: contract.ChangeItemsAsk,
    run: async ({ em, desk, clock }, { changes }) =>
      settled(await changeItems(em, clock, desk, changes)),
  }),
  find: act({ asks: contract.FindAsk, run: ({ em, desk }, { words }) => find(em, desk, words) }),
  invite: act({
    asks: contract.IdAsk,
    roles: ["administrator"],
    run: async ({ em }, { id }) => {
      const secret = await invite(em, id);
      if (!secret) throw nothingHere();
      return secret;
    },
  }),
  import: act({
    asks: contract.ImportActAsk,
    roles: ["administrator"],
    run: async ({ em }, { id, act: what, stages }) => {
      const state = await actOnImport(em, id, what, stages);
      if (!state) throw nothingHere();
      return state;
    },
  }),
} as const;

export type ActId = keyof typeof acts;
