import { roomFacts } from "../viewer/facts";
import { find } from "../library/find";
import { askToSee } from "../accounts/askToSee";
import { brandOf, setBrand } from "../accounts/brand";
import { invite } from "../accounts/signIn";
import { nothingHere } from "../refused";
import { actOnImport } from "../bundles/imports";

import type { workspaceActs as contracts } from "@/contract/workspace";
import type { ActsOf } from "./act";

export const workspaceActs: ActsOf<typeof contracts> = {
  find: { run: ({ em, desk }, { words }) => find(em, desk, words) },
  facts: { run: async ({ desk }) => roomFacts(desk) },
  brand: { run: ({ em }) => brandOf(em) },
  setBrand: {
    changes: true,
    roles: ["administrator"],
    run: ({ em }, asked) => setBrand(em, asked),
  },
  invite: {
    changes: true,
    roles: ["administrator"],
    run: async ({ em }, { id }) => {
      const secret = await invite(em, id);
      if (!secret) throw nothingHere();
      return secret;
    },
  },
  askToSee: { run: ({ em, desk, clock }) => askToSee(em, desk.viewer, clock.now()) },
  import: {
    roles: ["administrator"],
    run: async ({ em }, { id, act: what, stages }) => {
      const state = await actOnImport(em, id, what, stages);
      if (!state) throw nothingHere();
      return state;
    },
  },
};
