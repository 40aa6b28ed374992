import type { questionActs as contracts } from "@/contract/questions";
import { readingsOf } from "../questions/readings";
import { suggestionsOf } from "../questions/suggestions";
import { forget, noteDoubted, teach, wordsShown } from "../questions/words";
import { settled } from "../refused";
import type { ActsOf } from "./act";

export const questionActs: ActsOf<typeof contracts> = {
  readQuestion: {
    run: ({ em, desk }, { question, counted }) => readingsOf(em, desk, question, counted),
  },
  teach: {
    changes: true,
    run: async ({ em, desk }, asked) => settled(await teach(em, desk, asked)),
  },
  forget: {
    changes: true,
    run: async ({ em, desk }, { id }) => settled(await forget(em, desk, id)),
  },
  doubted: {
    changes: true,
    run: async ({ em, desk }, { question, chosen }) => {
      await noteDoubted(em, desk, question, chosen);
      return true as const;
    },
  },
  suggested: { run: ({ em, desk }) => suggestionsOf(em, desk) },
  words: { run: ({ em, desk }) => wordsShown(em, desk) },
};
