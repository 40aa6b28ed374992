import type { questionActs as contracts } from "@/contract/questions";
import { readingsOf } from "../questions/readings";
import type { ActsOf } from "./act";

export const questionActs: ActsOf<typeof contracts> = {
  readQuestion: {
    run: ({ em, desk }, { question }) => readingsOf(em, desk, question),
  },
};
