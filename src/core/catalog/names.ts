import { compareTexts, folded, nearest } from "../base";
import type { Instant } from "../time";

/** The things that fields name and that are kept by identity. */
export const THING_TYPES = [
  "status",
  "kind",
  "priority",
  "person",
  "team",
  "service",
  "asset",
  "project",
  "sprint",
  "release",
] as const;
export type ThingType = (typeof THING_TYPES)[number];

export type Stage = "waiting" | "under way" | "finished";
export const STAGES: readonly Stage[] = ["waiting", "under way", "finished"];

export interface Thing {
  readonly id: number;
  /** As kept: what files and programs use; the login of a person. */
  readonly name: string;
  /** What people read; the full name of a person. */
  readonly label: string;
  readonly stage?: Stage;
  /** Plural of a kind: "faults". */
  readonly plural?: string;
  readonly workflow?: string;
  /** Of a status: time in it does not run for promises. */
  readonly paused?: boolean;
  /** Of a priority: what is promised, as `4h` or `2d`, and on which clock it runs. */
  readonly promise?: {
    readonly response: string | null;
    readonly resolution: string | null;
    readonly clock: "working" | "always";
  };
  readonly team?: number;
  readonly endsAt?: Instant;
  readonly startsAt?: Instant;
  readonly closedAt?: Instant;
}

export type ThingLists = { readonly [T in ThingType]: readonly Thing[] };

/**
 * The things a viewer may know of, each list in natural order. What is hidden from the viewer is not in it,
 * so that every answer made from it is the same for what is hidden and for what does not exist.
 */
export class Names {
  private readonly byIds = new Map<string, { thing: Thing; order: number }>();
  private readonly byWords = new Map<string, Thing[]>();

  constructor(readonly lists: ThingLists) {
    for (const type of THING_TYPES) {
      lists[type].forEach((thing, order) => {
        this.byIds.set(`${type}:${thing.id}`, { thing, order });
        for (const words of new Set([folded(thing.name), folded(thing.label)])) {
          const key = `${type}:${words}`;
          this.byWords.set(key, [...(this.byWords.get(key) ?? []), thing]);
        }
      });
    }
  }

  list(type: ThingType): readonly Thing[] {
    return this.lists[type];
  }

  find(type: ThingType, id: number): Thing | undefined {
    return this.byIds.get(`${type}:${id}`)?.thing;
  }

  /** Place in natural order; after all others for what the viewer may not know. */
  orderOf(type: ThingType, id: number): number {
    return this.byIds.get(`${type}:${id}`)?.order ?? Number.MAX_SAFE_INTEGER;
  }

  /** Who is meant by a name: an exact name first, logins before full names, else without regard to case. */
  named(type: ThingType, words: string): readonly Thing[] {
    const found = this.byWords.get(`${type}:${folded(words)}`) ?? [];
    for (const test of [
      (t: Thing) => t.name === words,
      (t: Thing) => t.label === words,
      (t: Thing) => folded(t.name) === folded(words),
    ]) {
      const exact = found.filter(test);
      if (exact.length) return exact;
    }
    return found;
  }

  nearest(type: ThingType, words: string): string[] {
    const list = this.lists[type];
    const known =
      type === "person"
        ? list.flatMap((t) => [t.label, ...t.label.split(" ")])
        : list.map((t) => t.label);
    const near = nearest(words, known, 6);
    const whole = near.flatMap((word) =>
      list.filter((t) => t.label === word || t.label.split(" ").includes(word)).map((t) => t.label),
    );
    return [...new Set(whole)].slice(0, 3);
  }

  /** How a thing is printed: its label, with the login where two people share one. */
  printed(type: ThingType, thing: Thing): string {
    return this.named(type, thing.label).length === 1 &&
      this.named(type, thing.label)[0].id === thing.id
      ? thing.label
      : thing.name;
  }

  statusesOf(stage: Stage | "open"): readonly Thing[] {
    return this.lists.status.filter((status) =>
      stage === "open"
        ? status.stage === "waiting" || status.stage === "under way"
        : status.stage === stage,
    );
  }
}

/** Natural order of things that have no rank of their own. */
export const byLabel =
  (locale: string) =>
  (a: Thing, b: Thing): number =>
    compareTexts(a.label, b.label, locale) || compareTexts(a.name, b.name, locale);
