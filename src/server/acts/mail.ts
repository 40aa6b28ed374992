import { listMailings, saveMailing, sendSoon, dropMailing } from "../mail/mailings";
import { settled } from "../refused";
import { listMails, mailAddress } from "../mail/mailRoom";

import type { mailActs as contracts } from "@/contract/mail";
import type { ActsOf } from "./act";

export const mailActs: ActsOf<typeof contracts> = {
  mailings: {
    run: ({ em, desk }) => listMailings(em, desk),
  },
  saveMailing: {
    changes: true,
    run: async ({ em, desk, clock }, { now, ...asked }) => {
      const id = settled(await saveMailing(em, clock, desk.viewer, asked));
      if (now) settled(await sendSoon(em, clock, desk.viewer, id));
      return id;
    },
  },
  mails: {
    run: async ({ em, desk }) => listMails(em, await mailAddress(em, desk.viewer)),
  },
  sendMailing: {
    changes: true,
    run: async ({ em, desk, clock }, { id }) => settled(await sendSoon(em, clock, desk.viewer, id)),
  },
  dropMailing: {
    changes: true,
    run: async ({ em, desk }, { id }) => settled(await dropMailing(em, desk.viewer, id)),
  },
};
