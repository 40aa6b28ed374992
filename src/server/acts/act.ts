import type { ActContract } from "@/contract/act";
import { type EntityManager, type Role } from "@/data";
import type { Clock } from "../clock";
import type { Desk } from "../viewer/viewpoint";

/** Who does an act, when, and through which session. */
export interface ActContext {
  readonly em: EntityManager;
  readonly desk: Desk;
  readonly clock: Clock;
}

/** How an act is done. */
export interface Act<Asked, Answer> {
  /** Who may; everyone who is signed in, if nothing is said. */
  readonly roles?: readonly Role[];
  /** It changes what is kept: all of it is one unit of work, and a refusal takes all of it back. */
  readonly changes?: true;
  run(context: ActContext, asked: Asked): Promise<Answer> | Answer;
}

/** An act for each contract of an area. */
export type ActsOf<C> = {
  readonly [K in keyof C]: C[K] extends ActContract<infer _Sent, infer Asked, infer Answer>
    ? Act<Asked, Answer>
    : never;
};
