import type { ActContract, Kept } from "./act";
import { briefingActs } from "./briefings";
import { dashboardActs } from "./dashboards";
import { figureActs } from "./figures";
import { hoursActs } from "./hours";
import { projectActs } from "./projects";
import { roomActs } from "./rooms";
import { questionActs } from "./questions";
import { itemActs } from "./items";
import { libraryActs } from "./library";
import { mailActs } from "./mail";
import { noteActs } from "./notes";
import { workspaceActs } from "./workspace";

/** Everything that the rooms can ask for or do. The server takes this; what goes to a browser takes only its types. */
export const actContracts = {
  ...figureActs,
  ...questionActs,
  ...libraryActs,
  ...dashboardActs,
  ...mailActs,
  ...noteActs,
  ...itemActs,
  ...workspaceActs,
  ...projectActs,
  ...roomActs,
  ...hoursActs,
  ...briefingActs,
};

type Contracts = typeof actContracts;
export type ActId = keyof Contracts;
/** What is sent for an act, and what comes back. */
export type Sent<K extends ActId> =
  Contracts[K] extends ActContract<infer S, infer _Asked, infer _Answer> ? Kept<S> : never;
export type Answer<K extends ActId> =
  Contracts[K] extends ActContract<infer _Sent, infer _Asked, infer A> ? A : never;
