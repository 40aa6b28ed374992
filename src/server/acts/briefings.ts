import type { briefingActs as contracts } from "@/contract/briefings";
import { listBriefings, showBriefing } from "../briefings/briefings";
import {
  countAgain,
  dropBriefing,
  dropTemplate,
  freezeBriefing,
  listTemplates,
  newBriefing,
  saveBriefing,
  saveTemplate,
} from "../briefings/writing";
import { settled } from "../refused";
import type { ActsOf } from "./act";

export const briefingActs: ActsOf<typeof contracts> = {
  briefings: { run: ({ em, desk }, { of }) => listBriefings(em, desk, of) },
  briefing: { run: ({ em, desk }, { id }) => showBriefing(em, desk, id) },
  newBriefing: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await newBriefing(em, clock, desk, given)),
  },
  saveBriefing: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await saveBriefing(em, clock, desk, given)),
  },
  freezeBriefing: {
    changes: true,
    run: async ({ em, desk, clock }, given) =>
      settled(await freezeBriefing(em, clock, desk, given)),
  },
  countAgain: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await countAgain(em, clock, desk, given)),
  },
  dropBriefing: {
    changes: true,
    run: ({ em, desk, clock }, { id }) => dropBriefing(em, clock, desk, id),
  },
  templates: { run: ({ em }, { kind }) => listTemplates(em, kind) },
  saveTemplate: {
    roles: ["administrator"],
    changes: true,
    run: async ({ em, desk }, given) => settled(await saveTemplate(em, desk, given)),
  },
  dropTemplate: {
    roles: ["administrator"],
    changes: true,
    run: ({ em }, { id }) => dropTemplate(em, id),
  },
};
