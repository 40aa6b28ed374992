import type { AskContext, ViewerWords } from "../catalog";
import type { Days } from "../projects/sql";
import type { Comparison, Instant } from "../time";

/**
 * For whom and from when a plan reads. `projects` are those whose items the viewer may see (null: all of them);
 * `past` reads every item as it stood at `now` instead of as it is kept.
 */
export interface Viewpoint extends AskContext {
  readonly viewer: ViewerWords;
  readonly projects: readonly number[] | null;
  /** Of which projects the viewer sees the money; null: of all that they see, and of what is of no project. */
  readonly money: readonly number[] | null;
  /** Which days a report of people's days asks for. */
  readonly days?: Days;
  readonly past: boolean;
  /** When periods are resolved, where that is not `now`: a test of an earlier state asks for its dates today. */
  readonly asked?: Instant;
  /** Deleted items are there, too: records of a past in which they were. */
  readonly deletedToo?: true;
  /** The periods that things lie in (`during`, `for`) mean those they are compared with. */
  readonly compared?: Comparison;
}
