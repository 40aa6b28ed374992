import { listen, type Viewer } from "@/data";

/** Somebody with an open dashboard: whose records they may see, and how they are told. */
interface Watcher {
  /** null: those of all projects. */
  readonly projects: ReadonlySet<string> | null;
  readonly tell: () => void;
}

interface Live {
  readonly watchers: Set<Watcher>;
  stop: (() => void) | null;
}

const kept = globalThis as unknown as { grandTallyLive?: Live };
const live: Live = (kept.grandTallyLive ??= { watchers: new Set(), stop: null });

const NO_PROJECT = "none";

/** Whether somebody may see records of one of these projects; of items in no project everybody may. */
export const concerns = (projects: ReadonlySet<string> | null, told: string): boolean =>
  projects === null ||
  told.split(",").some((project) => project === NO_PROJECT || projects.has(project));

function onTold(told: string | null): void {
  for (const watcher of live.watchers)
    if (told === null || concerns(watcher.projects, told)) watcher.tell();
}

/** Tells a viewer when records change that they may see, and of no others. @returns how to stop */
export function watchRecords(viewer: Pick<Viewer, "visible">, tell: () => void): () => void {
  const { visible } = viewer;
  const watcher: Watcher = { projects: visible && new Set(visible.map(String)), tell };
  live.watchers.add(watcher);
  live.stop ??= listen("records", onTold);
  return () => {
    live.watchers.delete(watcher);
    if (live.watchers.size > 0) return;
    live.stop?.();
    live.stop = null;
  };
}
