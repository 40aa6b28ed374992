import {
  listDayNotes,
  saveDayNote,
  dropDayNote,
  listFindings,
  keepFinding,
  listNotices,
  noticeSeen,
} from "../reports/notes";
import { settled, nothingHere } from "../refused";
import { loadReport } from "../library/reports";

import type { noteActs as contracts } from "@/contract/notes";
import type { ActsOf } from "./act";

export const noteActs: ActsOf<typeof contracts> = {
  dayNotes: {
    run: ({ em, desk }, { id }) => listDayNotes(em, desk.viewer, id || null),
  },
  saveDayNote: {
    changes: true,
    run: async ({ em, desk }, asked) => settled(await saveDayNote(em, desk.viewer, asked)),
  },
  dropDayNote: {
    changes: true,
    run: ({ em, desk }, { id }) => dropDayNote(em, desk.viewer, id),
  },
  findings: {
    run: async ({ em, desk }, { id }) =>
      (await loadReport(em, desk.viewer, id)) ? listFindings(em, id) : [],
  },
  keepFinding: {
    changes: true,
    run: async ({ em, desk }, asked) => {
      if (asked.report !== null && !(await loadReport(em, desk.viewer, asked.report)))
        throw nothingHere();
      return settled(await keepFinding(em, desk.viewer, asked));
    },
  },
  notices: { run: ({ em, desk }) => listNotices(em, desk.viewer) },
  noticeSeen: {
    changes: true,
    run: ({ em, desk }, { about }) => noticeSeen(em, desk.viewer, about),
  },
};
