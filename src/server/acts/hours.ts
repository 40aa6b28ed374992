import type { hoursActs as contracts } from "@/contract/hours";
import { bookHours, findBookable, weekOfHours } from "../hours/hours";
import { settled } from "../refused";
import type { ActsOf } from "./act";

export const hoursActs: ActsOf<typeof contracts> = {
  hours: { run: ({ em, desk }, { from }) => weekOfHours(em, desk, from) },
  bookable: { run: ({ em, desk }, { words }) => findBookable(em, desk, words) },
  bookHours: {
    changes: true,
    run: async ({ em, desk, clock }, given) => settled(await bookHours(em, clock, desk, given)),
  },
};
