import { settled } from "../refused";
import { changeItems } from "../items/changeItems";

import type { itemActs as contracts } from "@/contract/items";
import type { ActsOf } from "./act";

export const itemActs: ActsOf<typeof contracts> = {
  changeItems: {
    run: async ({ em, desk, clock }, { changes }) =>
      settled(await changeItems(em, clock, desk, changes)),
  },
};
