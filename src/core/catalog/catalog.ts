import { nearest } from "../base";
import type { Instant, WorkCalendar } from "../time";
import type { Field, FieldPath } from "./field";
import { Names, type Thing, type ThingLists } from "./names";
import { itemFields, subjects, SUBJECT_IDS, type SubjectId } from "./subjects";
import { timeInStatus } from "./derived";
import type { MoneyRules } from "./moneyRules";
import { readyMeasures } from "./readyMeasures";
import { thingFields } from "./thingFields";

/** A field of the workspace's own, as fields.csv describes it. */
export interface CustomField {
  readonly id: number;
  readonly name: string;
  readonly type: Exclude<Field["type"], "instant">;
  readonly many: boolean;
  readonly choices: readonly string[];
}

/** A saved filter that a viewer may use: what it is of, and its condition as kept (the folder filter knows what it says). */
export interface SavedFilter {
  readonly id: number;
  readonly name: string;
  readonly purpose: string;
  readonly subject: Subject;
  readonly where: object | null;
}

/** A measure with a name and a one-line meaning; its definition as kept (the folder definition knows what it says). */
export interface NamedMeasure {
  readonly id: number;
  readonly name: string;
  readonly means: string;
  readonly subject: SubjectId;
  readonly measure: object;
  /** A ratio that is told as a number: 0.87, and not 87 %. */
  readonly isIndex?: true;
}

/** Everything that a catalog is made from: plain data, so that it can travel to the browser. */
export interface CatalogData {
  readonly lists: ThingLists;
  readonly customFields: readonly CustomField[];
  readonly filters?: readonly SavedFilter[];
  readonly measures?: readonly NamedMeasure[];
  /** How items can be linked. */
  readonly links?: readonly string[];
  /** How projects are reckoned. */
  readonly money: MoneyRules;
}

export const LINKS: readonly string[] = ["holds up", "implements", "same as", "goes with"];

/** Who is looking, as far as words like `me` and `my team` need it. */
export interface ViewerWords {
  readonly person: number;
  readonly team: number | null;
  readonly teams: readonly number[];
  /** Projects the viewer manages or whose teams the viewer is in. */
  readonly projects: readonly number[];
  /** Somebody of a client. */
  readonly isClient?: boolean;
}

/** What a sentence means depends on these and on nothing else. */
export interface AskContext {
  readonly catalog: Catalog;
  readonly now: Instant;
  readonly calendar: WorkCalendar;
  /** What people mean by words that no sentence has, for whoever tells them of mistakes. */
  readonly meanings?: Meanings;
  /** What `this project`, `this sprint`, `this release` and `this team` stand for, in a room or a briefing of one. */
  readonly here?: Here;
}
/** The thing that a room or a briefing is of. */
export interface Here {
  readonly thing: HereThing;
  readonly id: number;
}
export const HERE_THINGS = ["project", "sprint", "release", "team"] as const;
export type HereThing = (typeof HERE_THINGS)[number];
/** Words as people write them, each with the words of the sentence that it may stand for, the likeliest first. */
export type Meanings = Readonly<Record<string, readonly string[]>>;

/** A subject as a sentence names it: all items, one kind of them, moves, time entries. */
export interface Subject {
  readonly id: SubjectId;
  readonly kind?: number;
  /** The records of a saved filter, and of its subject. */
  readonly filter?: number;
}

export class Catalog {
  readonly names: Names;
  private readonly items: readonly Field[];
  /** What the weekly words of this workspace call how a project is. */
  private readonly withHealth = new Map<readonly Field[], readonly Field[]>();

  constructor(readonly data: CatalogData) {
    this.names = new Names(data.lists);
    this.items = [
      ...itemFields,
      ...data.lists.status.map(timeInStatus),
      ...data.customFields.map(customField),
    ];
  }

  get money(): MoneyRules {
    return this.data.money;
  }

  get filters(): readonly SavedFilter[] {
    return this.data.filters ?? [];
  }

  get measures(): readonly NamedMeasure[] {
    return [...(this.data.measures ?? []), ...readyMeasures];
  }

  get links(): readonly string[] {
    return this.data.links?.length ? this.data.links : LINKS;
  }

  findFilter(id: number): SavedFilter | undefined {
    return this.filters.find((filter) => filter.id === id);
  }

  findMeasure(id: number): NamedMeasure | undefined {
    return this.measures.find((measure) => measure.id === id);
  }

  fieldsOf(subject: SubjectId): readonly Field[] {
    return subject === "items" ? this.items : this.inOwnWords(subjects[subject].fields);
  }

  /** The fields that can follow `'s` after a field. */
  reachedThrough(field: Field): readonly Field[] {
    if (!field.reaches) return [];
    return field.reaches === "item" ? this.items : this.inOwnWords(thingFields[field.reaches]);
  }

  private inOwnWords(fields: readonly Field[]): readonly Field[] {
    const known = this.withHealth.get(fields);
    if (known) return known;
    const own = fields.map((field) =>
      field.id === "health" ? { ...field, choices: this.money.healthWords } : field,
    );
    this.withHealth.set(fields, own);
    return own;
  }

  /** The path that a definition's ids name; undefined when a field is gone. */
  findPath(subject: SubjectId, ids: readonly string[]): FieldPath | undefined {
    const path: Field[] = [];
    let known = this.fieldsOf(subject);
    for (const id of ids) {
      const field = known.find((candidate) => candidate.id === id);
      if (!field) return undefined;
      path.push(field);
      known = this.reachedThrough(field);
    }
    return path.length ? (path as unknown as FieldPath) : undefined;
  }

  kinds(): readonly Thing[] {
    return this.names.list("kind");
  }

  subjectWords(subject: Subject): string {
    if (subject.filter !== undefined)
      return this.findFilter(subject.filter)?.name ?? "not known here";
    const kind = subject.kind === undefined ? undefined : this.names.find("kind", subject.kind);
    return kind?.plural ?? subjects[subject.id].words;
  }

  /** "fault" for one, "faults" for any other number. */
  countedWords(subject: Subject, count: number | string): string {
    if (String(count) !== "1" && subject.filter === undefined) return this.subjectWords(subject);
    if (String(count) !== "1")
      return this.subjectWords({
        id: subject.id,
        ...(subject.kind === undefined ? {} : { kind: subject.kind }),
      });
    const kind = subject.kind === undefined ? undefined : this.names.find("kind", subject.kind);
    return kind?.label ?? subjects[subject.id].one;
  }

  /** Every way to name a subject, longest first where one begins another. */
  subjectNames(): { words: string; subject: Subject }[] {
    const kinds = this.kinds().map((kind) => ({
      words: kind.plural ?? kind.label,
      subject: { id: "items", kind: kind.id } as Subject,
    }));
    return [
      ...kinds,
      ...SUBJECT_IDS.map((id) => ({ words: subjects[id].words, subject: { id } as Subject })),
    ];
  }

  nearestField(subject: SubjectId, words: string): string[] {
    return nearest(
      words,
      this.fieldsOf(subject).flatMap((field) => [field.words, ...(field.synonyms ?? [])]),
    );
  }
}

function customField(custom: CustomField): Field {
  return {
    id: `custom:${custom.id}`,
    words: custom.name,
    type: custom.type,
    source: { kind: "custom", id: custom.id },
    ...(custom.many ? { many: true } : {}),
    ...(custom.type === "thing"
      ? { thing: "person" as const, ...(custom.many ? {} : { reaches: "person" as const }) }
      : {}),
    ...(custom.type === "duration" ? { unit: "minutes" as const } : {}),
    ...(custom.choices.length ? { choices: custom.choices } : {}),
  };
}
