import type { projectActs as contracts } from "@/contract/projects";
import { moveProject } from "../projects/move";
import { projectRoom } from "../projects/room";
import {
  dropMilestone,
  handInWord,
  listMilestones,
  listOwed,
  listProgress,
  listWords,
  saveMilestone,
  saveProgress,
} from "../projects/records";
import { remind } from "../projects/remind";
import { sayIn } from "../projects/says";
import { showTimeline } from "../projects/timeline";
import { settled } from "../refused";
import type { ActsOf } from "./act";

export const projectActs: ActsOf<typeof contracts> = {
  says: { run: ({ em, desk }, asked) => sayIn(em, desk, asked) },
  project: { run: ({ em, desk }, { project, stood }) => projectRoom(em, desk, project, stood) },
  timeline: { run: ({ em, desk }, asked) => showTimeline(em, desk, asked) },
  moveProject: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await moveProject(em, clock, desk, given)),
  },
  milestones: { run: ({ em, desk }, { project }) => listMilestones(em, desk, project) },
  saveMilestone: {
    changes: true,
    run: async ({ em, desk, clock }, { project, ...given }) =>
      settled(await saveMilestone(em, clock, desk, project, given)),
  },
  dropMilestone: {
    changes: true,
    run: ({ em, desk, clock }, { project, id }) => dropMilestone(em, clock, desk, project, id),
  },
  progress: { run: ({ em, desk }, { project }) => listProgress(em, desk, project) },
  saveProgress: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await saveProgress(em, clock, desk, given)),
  },
  weeklyWords: { run: ({ em, desk }, { project }) => listWords(em, desk, project) },
  handInWord: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await handInWord(em, clock, desk, given)),
  },
  owed: { run: ({ em, desk }, { project }) => listOwed(em, desk, project) },
  remind: {
    // Each of its steps is a unit of its own: no connection waits for the mail server.
    run: async ({ em, desk, clock }, { project, week }) =>
      settled(await remind(em, clock, desk, project, week)),
  },
};
