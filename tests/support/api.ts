import type { EntityManager } from "@/data";
import { makeToken } from "@/server/accounts/tokens";
import { apiAnswer, apiRecords, type Reply } from "@/server/api/answer";
import type { Clock } from "@/server/clock";

/** The body of a reply; one that was refused fails the test with its reason. */
export const bodyOf = <B>(reply: Reply): B => {
  if (!("body" in reply)) throw new Error(reply.problem.detail);
  return reply.body as B;
};

/** Asks the door for programs as somebody, by login. */
export async function programOf<B>(em: EntityManager, clock: Clock, login: string) {
  const token = (await makeToken(em, login))!;
  const asked = (sentence: string, more: object = {}) =>
    apiAnswer(em, clock, token, { sentence, ...more });
  const opened = (sentence: string, more: object = {}) =>
    apiRecords(em, clock, token, { sentence, ...more });
  return {
    asked,
    opened,
    answer: async (sentence: string, more: object = {}) => bodyOf<B>(await asked(sentence, more)),
    records: async (sentence: string, more: object = {}) => bodyOf<B>(await opened(sentence, more)),
  };
}
