import type {
  BriefingLine,
  KeptBriefing,
  KeptPart,
  Reader,
  ReadPart,
  ShownBriefing,
  TemplateLine,
} from "@/contract/briefings";
import { fine, refused, type Problem, type Result } from "@/core/base";
import {
  figuresIn,
  isTooLong,
  partsOf,
  partTitle,
  plainText,
  type BriefingKind,
} from "@/core/briefing";
import { planBriefing, type Briefing, type WrittenPart } from "@/core/briefing/planned";
import type { Here } from "@/core/catalog";
import { clockText, localDay, longDayText, type Day } from "@/core/time";
import {
  addBriefing,
  briefingRows,
  changeBriefing,
  frozenBefore,
  isThere,
  loadBriefing,
  putTemplate,
  removeBriefing,
  removeTemplate,
  runPlan,
  templatesOf,
  type BriefingRow,
  type EntityManager,
  type Viewer,
} from "@/data";
import type { Clock } from "../clock";
import { mayKeep } from "../library/kept";
import { nothingHere } from "../refused";
import { todayOf } from "../projects/records";
import type { Desk } from "../viewer/viewpoint";

/** Briefings: who reads and writes them, what they say now, and what they said when they were frozen. */

/** The name of what a briefing is of, for who may know it; null where there is none for them. */
function nameOf({ view }: Desk, kind: BriefingKind, target: number): string | null {
  if (kind === "filter")
    return view.catalog.data.filters?.find((filter) => filter.id === target)?.name ?? null;
  return view.catalog.names.find(kind, target)?.label ?? null;
}

type Ids = readonly number[] | null;

/** What somebody sees: of which projects, and of which of them the money; null is all. */
const sightOf = ({ viewer, view }: Desk): string => JSON.stringify([viewer.visible, view.money]);

/** Whether somebody sees all that a maker saw: then they read what was kept. */
function seesAsMuch(desk: Desk, sight: string | null): boolean {
  if (sight === null) return false;
  const covers = (own: Ids, theirs: Ids): boolean =>
    own === null || (theirs !== null && theirs.every((id) => own.includes(id)));
  const [visible, money] = JSON.parse(sight) as [Ids, Ids];
  return covers(desk.viewer.visible, visible) && covers(desk.view.money, money);
}

const roleOf = (viewer: Viewer): Reader => (viewer.isClient ? "client" : viewer.role);

const mayChange = (
  viewer: Viewer,
  row: Pick<BriefingRow, "ownerId" | "kind" | "target">,
): boolean =>
  mayKeep(viewer) &&
  (viewer.role === "administrator" ||
    row.ownerId === viewer.person ||
    (row.kind === "project" && viewer.manages.includes(row.target)));

/**
 * A briefing is read by who sees what it is of; of a team by those who work here. A frozen one whose subject is gone, and not
 * only hidden from them, is read on by who made it and by administrators.
 */
async function mayRead(em: EntityManager, desk: Desk, row: BriefingRow): Promise<boolean> {
  const { viewer } = desk;
  if (row.kind === "team" && viewer.isClient) return false;
  if (nameOf(desk, row.kind, row.target) !== null) return true;
  const isTheirs = row.ownerId === viewer.person || viewer.role === "administrator";
  return row.frozenOn !== null && isTheirs && !(await isThere(em, row.kind, row.target));
}

const lineOf = (row: BriefingRow, desk: Desk): BriefingLine => ({
  id: row.id,
  title: row.title,
  kind: row.kind,
  of: nameOf(desk, row.kind, row.target) ?? row.of,
  target: row.target,
  owner: row.owner,
  updatedAt: row.updatedAt,
  frozenOn: row.frozenOn,
  mayChange: mayChange(desk.viewer, row),
});

export async function listBriefings(
  em: EntityManager,
  desk: Desk,
  of?: { readonly kind: BriefingKind; readonly target: number } | undefined,
): Promise<BriefingLine[]> {
  const rows = await briefingRows(em, of);
  const lines: BriefingLine[] = [];
  for (const row of rows) if (await mayRead(em, desk, row)) lines.push(lineOf(row, desk));
  return lines;
}

export async function mayReadBriefing(em: EntityManager, desk: Desk, id: number): Promise<boolean> {
  const row = await loadBriefing(em, id);
  return row !== null && mayRead(em, desk, row);
}

async function readable(em: EntityManager, desk: Desk, id: number): Promise<BriefingRow> {
  const row = await loadBriefing(em, id);
  if (!row || !(await mayRead(em, desk, row))) throw nothingHere();
  return row;
}

/** @throws Refused for who may not change it */
async function changeable(em: EntityManager, desk: Desk, id: number): Promise<BriefingRow> {
  const row = await readable(em, desk, id);
  if (!mayChange(desk.viewer, row)) throw nothingHere();
  return row;
}

const hereOf = (kind: BriefingKind, target: number): Here | null =>
  kind === "filter" ? null : { thing: kind, id: target };

/** Asks a briefing's parts for somebody. @param stood the day that it stands at; null: now */
async function write(
  em: EntityManager,
  desk: Desk,
  row: Pick<BriefingRow, "kind" | "target" | "of">,
  parts: readonly KeptPart[],
  stood: Day | null,
): Promise<Briefing> {
  const today = todayOf(desk);
  const at = stood !== null && stood < today ? stood : null;
  return runPlan(
    em,
    planBriefing(
      {
        kind: row.kind,
        here: hereOf(row.kind, row.target),
        name: nameOf(desk, row.kind, row.target) ?? row.of,
        parts,
        stood: at,
        since: await frozenBefore(em, row, at ?? today),
        company: desk.workspace.name,
      },
      desk.view,
    ),
  );
}

const isFor = (part: KeptPart, desk: Desk, row: BriefingRow): boolean =>
  !part.readers || mayChange(desk.viewer, row) || part.readers.includes(roleOf(desk.viewer));

/** What the generator would write comes up where somebody wrote over it, and it writes something else by now. */
function asRead(part: WrittenPart, kept: KeptPart | undefined): ReadPart {
  const isNew = part.madeText !== null && part.madeText !== (kept?.madeThen ?? null);
  return { ...part, wouldSay: isNew ? part.wouldSay : null, moved: [] };
}

export async function showBriefing(
  em: EntityManager,
  desk: Desk,
  id: number,
): Promise<ShownBriefing> {
  const row = await readable(em, desk, id);
  const { viewer } = desk;
  const may = mayChange(viewer, row);
  const isGone = nameOf(desk, row.kind, row.target) === null;
  const shown = row.parts.filter((part) => !part.isAway);
  const theirs = shown.filter((part) => isFor(part, desk, row));
  const ids = new Set(theirs.map((part) => part.id));
  const common = {
    ...lineOf(row, desk),
    version: row.version,
    today: todayOf(desk),
    kept: may ? row.parts : [],
    withheld: shown.length - theirs.length,
    isGone,
  };
  const keptParts = row.kept?.parts.filter((part) => ids.has(part.id)) ?? [];
  const isSame = seesAsMuch(desk, row.frozenFor);
  if (row.kept && isGone)
    return {
      ...common,
      head: `${row.kept.head} ${row.of} is gone by now.`,
      parts: keptParts,
      titles: titlesOf(row, null, keptParts),
      isAnew: false,
    };
  const written = await write(em, desk, row, theirs, row.frozenOn);
  const titles = titlesOf(row, written, written.parts);
  const by = new Map(row.parts.map((part) => [part.id, part]));
  const anew = written.parts.map((part) => asRead(part, by.get(part.id)));
  if (!row.kept || !row.frozenOn)
    return { ...common, head: headOf(desk, null), parts: anew, titles, isAnew: false };
  if (!isSame)
    return { ...common, head: headOf(desk, row.frozenOn), parts: anew, titles, isAnew: true };
  const today = await write(em, desk, row, theirs, null);
  return {
    ...common,
    head: row.kept.head,
    parts: keptParts.map((part) => ({ ...part, moved: movedOf(part, today) })),
    titles,
    isAnew: false,
  };
}

/** Figures of a kept part that read otherwise now. */
function movedOf(part: ReadPart, today: Briefing): ReadPart["moved"] {
  const now = today.parts.find((one) => one.id === part.id);
  const reads = new Map(figuresIn(now?.blocks ?? []).map((figure) => [figure.key, figure.words]));
  return figuresIn(part.blocks).flatMap(({ key, words }) => {
    const present = reads.get(key);
    return present !== undefined && present !== words ? [{ key, was: words, now: present }] : [];
  });
}

function titlesOf(
  row: BriefingRow,
  written: Briefing | null,
  parts: readonly { readonly id: string; readonly title: string }[],
): Record<string, string> {
  const known = new Map(partsOf(row.kind, row.of).map((part) => [part.id, part]));
  const read = new Map(parts.map((part) => [part.id, part.title]));
  return Object.fromEntries(
    row.parts.map((part) => {
      const made = part.made === undefined ? undefined : known.get(part.made);
      const usual = made && written ? partTitle(made, written.place) : part.made;
      return [part.id, part.title || read.get(part.id) || usual || "Own words"];
    }),
  );
}

function headOf({ view, viewer }: Desk, frozenOn: Day | null): string {
  const { zone } = view.calendar;
  const now = `${longDayText(localDay(view.now, zone))}, ${clockText(view.now, zone)}`;
  return frozenOn
    ? `Frozen as it stood on ${longDayText(frozenOn)}; for ${viewer.name}.`
    : `Kept current; as of ${now}; for ${viewer.name}.`;
}

const wrongParts = (parts: readonly KeptPart[]): Problem | null => {
  if (new Set(parts.map((part) => part.id)).size < parts.length)
    return { code: "briefing.parts", message: "Two parts have the same identity.", path: "parts" };
  return parts.some((part) => part.words !== undefined && isTooLong(part.words))
    ? {
        code: "briefing.long",
        message: "A part has at most 6 000 characters and 12 figures of its own.",
        path: "parts",
      }
    : null;
};

const usualParts = (kind: BriefingKind, of: string): KeptPart[] =>
  partsOf(kind, of).map(({ id }) => ({ id, made: id }));

export async function newBriefing(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  given: { kind: BriefingKind; target: number; title: string; template: number | null },
): Promise<Result<number>> {
  const { kind, target } = given;
  const of = nameOf(desk, kind, target);
  if (of === null) throw nothingHere();
  if (!mayKeep(desk.viewer))
    return refused({ code: "briefing.right", message: "You may read briefings, not make them." });
  const template = (await templatesOf(em, kind)).find(({ id }) => id === given.template);
  if (given.template !== null && !template) throw nothingHere();
  return fine(
    await addBriefing(
      em,
      desk.viewer.person,
      {
        kind,
        target,
        of,
        title: given.title || `${of}: where it stands`,
        parts: template?.parts ?? usualParts(kind, of),
      },
      dateOf(clock),
    ),
  );
}

export async function saveBriefing(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  given: { id: number; version: number; title: string; parts: readonly KeptPart[] },
): Promise<Result<number>> {
  const row = await changeable(em, desk, given.id);
  const wrong = wrongParts(given.parts);
  if (wrong) return refused(wrong);
  if (row.kept && JSON.stringify(row.parts) !== JSON.stringify(given.parts))
    return keepFrozen(em, clock, desk, row, given, row.frozenOn!);
  return versioned(
    await changeBriefing(
      em,
      desk.viewer.person,
      row.id,
      given.version,
      { title: given.title, parts: given.parts },
      dateOf(clock),
    ),
  );
}

/** A frozen briefing whose parts are changed is asked anew for the parts that are new in it; the others stay as they read. */
async function keepFrozen(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  row: BriefingRow,
  { version, title, parts }: { version: number; title: string; parts: readonly KeptPart[] },
  on: Day,
): Promise<Result<number>> {
  const before = new Map(row.parts.map((part) => [part.id, JSON.stringify(part)]));
  const kept = new Map(row.kept!.parts.map((part) => [part.id, part]));
  const written = await write(em, desk, row, parts, on);
  const read = written.parts.map((part) => {
    const own = parts.find((one) => one.id === part.id);
    const isSame = before.get(part.id) === JSON.stringify(own);
    return (isSame && kept.get(part.id)) || asRead(part, own);
  });
  return versioned(
    await changeBriefing(
      em,
      desk.viewer.person,
      row.id,
      version,
      { title, parts, kept: { head: row.kept!.head, parts: read } },
      dateOf(clock),
    ),
  );
}

const versioned = (saved: number | "meanwhile" | null): Result<number> => {
  if (saved === null) throw nothingHere();
  return saved === "meanwhile"
    ? refused({
        code: "briefing.version",
        message:
          "Somebody else has written in it meanwhile. Open it again; your words are still here.",
      })
    : fine(saved);
};

const keptOf = (
  desk: Desk,
  { parts }: Briefing,
  on: Day,
  rows: readonly KeptPart[],
): KeptBriefing => ({
  head: headOf(desk, on),
  parts: parts.map((part) =>
    asRead(
      part,
      rows.find((row) => row.id === part.id),
    ),
  ),
});

/** A frozen briefing beside the current one. */
export async function freezeBriefing(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  { id, on, title }: { id: number; on: Day; title: string },
): Promise<Result<number>> {
  const row = await readable(em, desk, id);
  if (!mayKeep(desk.viewer))
    return refused({ code: "briefing.right", message: "You may read briefings, not make them." });
  if (on > todayOf(desk))
    return refused({
      code: "briefing.ahead",
      message: "It can be frozen at a day that has come: today or earlier.",
      path: "on",
    });
  if (nameOf(desk, row.kind, row.target) === null) throw nothingHere();
  const parts = row.parts.filter((part) => isFor(part, desk, row));
  const written = await write(
    em,
    desk,
    row,
    parts.filter((part) => !part.isAway),
    on,
  );
  return fine(
    await addBriefing(
      em,
      desk.viewer.person,
      {
        kind: row.kind,
        target: row.target,
        of: row.of,
        title,
        parts,
        frozen: { on, forSight: sightOf(desk), kept: keptOf(desk, written, on, parts) },
      },
      dateOf(clock),
    ),
  );
}

/** A frozen briefing takes what its figures are now, and stands at today from now on. */
export async function countAgain(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  { id, version }: { id: number; version: number },
): Promise<Result<number>> {
  const row = await changeable(em, desk, id);
  if (!row.kept)
    return refused({ code: "briefing.current", message: "It is kept current as it is." });
  const on = todayOf(desk);
  const parts = row.parts.filter((part) => !part.isAway);
  const written = await write(em, desk, row, parts, on);
  return versioned(
    await changeBriefing(
      em,
      desk.viewer.person,
      row.id,
      version,
      {
        kept: keptOf(desk, written, on, row.parts),
        frozenFor: sightOf(desk),
        frozenOn: on,
      },
      dateOf(clock),
    ),
  );
}

export async function dropBriefing(
  em: EntityManager,
  clock: Clock,
  desk: Desk,
  id: number,
): Promise<true> {
  await changeable(em, desk, id);
  await removeBriefing(em, id, dateOf(clock));
  return true;
}

const dateOf = (clock: Clock): Date => new Date(clock.now() / 1000);

export const listTemplates = (em: EntityManager, kind: BriefingKind): Promise<TemplateLine[]> =>
  templatesOf(em, kind);

/** By administrators: whoever makes a briefing may begin with it. */
export async function saveTemplate(
  em: EntityManager,
  desk: Desk,
  template: Omit<TemplateLine, "id">,
): Promise<Result<number>> {
  const wrong = wrongParts(template.parts);
  return wrong ? refused(wrong) : fine(await putTemplate(em, desk.viewer.person, template));
}

export async function dropTemplate(em: EntityManager, id: number): Promise<true> {
  await removeTemplate(em, id);
  return true;
}

/** A briefing in plain text, for letters. */
export const briefingText = ({ title, head, parts }: ShownBriefing): string =>
  [
    title,
    head,
    "",
    ...parts.flatMap((part) =>
      [part.title, plainText(part.blocks), ""].filter((line, i) => i > 0 || line),
    ),
  ].join("\n");
