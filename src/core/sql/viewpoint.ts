import type { AskContext, ViewerWords } from "../catalog";

/**
 * For whom and from when a plan reads. `projects` are those whose items the viewer may see (null: all of them);
 * `past` reads every item as it stood at `now` instead of as it is kept.
 */
export interface Viewpoint extends AskContext {
  readonly viewer: ViewerWords;
  readonly projects: readonly number[] | null;
  readonly past: boolean;
}
