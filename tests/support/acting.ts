import type { ActId, Answer, Sent } from "@/contract/acts";
import { newSession } from "@/data/database";
import { perform } from "@/server/acts";
import type { Clock } from "@/server/clock";
import { Refused } from "@/server/refused";
import { deskFor } from "./desk";

/** Acts as people do them in their browsers, at the time of a clock. */
export function acting(clock: Clock) {
  /** What an act answers somebody. @throws Refused */
  async function as<K extends ActId>(login: string, act: K, asked: Sent<K>): Promise<Answer<K>> {
    const session = await newSession();
    const desk = await deskFor(session, login, clock);
    return (await perform(act, { em: session, desk, clock }, asked)) as Answer<K>;
  }

  /** Why somebody is refused an act, in the words that they read; "done" where they are not. */
  const whyNot = <K extends ActId>(login: string, act: K, asked: Sent<K>): Promise<string> =>
    as(login, act, asked).then(
      () => "done",
      (error: unknown) => (error instanceof Refused ? error.message : String(error)),
    );

  return { as, whyNot };
}
