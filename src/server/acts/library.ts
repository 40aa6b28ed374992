import { loadReport, saveReport, findTwins, reportsOfFilter } from "../library/reports";
import { nothingHere, settled } from "../refused";
import {
  noteOpened,
  setPin,
  listVersions,
  listShares,
  setShares,
  binKept,
  listBin,
  listStrangers,
  reachOf,
  restoreFromBin,
} from "../library/kept";
import { noteUnplaced } from "../reports/placed";
import { loadDraft, keepDraft } from "../library/drafts";
import { saveFilter } from "../library/filters";
import { saveMeasure } from "../library/measures";
import { bringDefinition } from "../definitions/definitionFile";

import type { libraryActs as contracts } from "@/contract/library";
import { checked } from "../reports/checked";
import type { ActsOf } from "./act";

export const libraryActs: ActsOf<typeof contracts> = {
  report: {
    run: async ({ em, desk }, { id }) => {
      const kept = await loadReport(em, desk.viewer, id);
      if (!kept) throw nothingHere();
      await noteOpened(em, desk.viewer, "report", id);
      await noteUnplaced(em, desk, kept);
      return kept;
    },
  },
  saveReport: {
    changes: true,
    run: async ({ em, desk }, asked) =>
      settled(
        await saveReport(em, desk.viewer, desk.view, {
          ...asked,
          definition: asked.definition,
          dress: asked.dress,
        }),
      ),
  },
  twins: {
    run: ({ em, desk }, { definition, except }) =>
      findTwins(em, desk.viewer, desk.view.catalog, checked(definition, desk), except),
  },
  draft: {
    run: ({ em, desk }, { id }) => loadDraft(em, desk.viewer, id),
  },
  keepDraft: {
    changes: true,
    run: ({ em, desk }, { report, draft }) => keepDraft(em, desk.viewer, report, draft),
  },
  saveFilter: {
    changes: true,
    run: async ({ em, desk }, asked) =>
      settled(
        await saveFilter(em, desk.viewer, desk.view, {
          ...asked,
          subject: asked.subject,
          where: asked.where,
        }),
      ),
  },
  filterUses: {
    run: ({ em, desk }, { id }) => reportsOfFilter(em, desk.viewer, desk.view.catalog, id),
  },
  saveMeasure: {
    changes: true,
    run: async ({ em, desk }, asked) =>
      settled(await saveMeasure(em, desk.viewer, desk.view, { ...asked, measure: asked.measure })),
  },
  bringDefinition: {
    changes: true,
    run: async ({ em, desk }, { text }) => settled(await bringDefinition(em, desk, text)),
  },
  pin: {
    changes: true,
    run: async ({ em, desk }, { kind, id, pinned }) => {
      await setPin(em, desk.viewer, kind, id, pinned);
      return true as const;
    },
  },
  versions: {
    run: ({ em, desk }, { kind, id }) => listVersions(em, desk.viewer, kind, id),
  },
  shares: {
    run: ({ em, desk }, { kind, id }) => listShares(em, desk.viewer, kind, id),
  },
  setShares: {
    changes: true,
    run: async ({ em, desk }, { kind, id, shares }) =>
      settled(await setShares(em, desk.viewer, kind, id, shares)),
  },
  reach: { run: ({ em, desk }, { kind, id }) => reachOf(em, desk.viewer, kind, id) },
  strangers: { run: ({ em, desk }, asked) => listStrangers(em, desk.viewer, asked) },
  bin: {
    changes: true,
    run: async ({ em, desk }, { kind, id }) => settled(await binKept(em, desk.viewer, kind, id)),
  },
  binned: { run: ({ em, desk }) => listBin(em, desk.viewer) },
  unbin: {
    changes: true,
    run: async ({ em, desk }, { kind, id }) =>
      settled(await restoreFromBin(em, desk.viewer, kind, id)),
  },
};
