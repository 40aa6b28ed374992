import type { BriefingLine, KeptPart, ReadPart, ShownBriefing } from "@/contract/briefings";
import {
  figuresIn,
  hereOf,
  partsOf,
  partTitle,
  plainText,
  type BriefingKind,
} from "@/core/briefing";
import { planBriefing, type Briefing, type WrittenPart } from "@/core/briefing/planned";
import { clockText, localDay, longDayText, type Day } from "@/core/time";
import { briefingRows, frozenBefore, runPlan, type BriefingRow, type EntityManager } from "@/data";
import { todayOf } from "../projects/records";
import type { Desk } from "../viewer/viewpoint";
import { isFor, mayChange, mayMail, mayRead, nameOf, readable, seesAsMuch } from "./rights";

/** What briefings say now, and what they said when they were frozen. */

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

/** Asks a briefing's parts for somebody. @param stood the day that it stands at; null: now */
export async function write(
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
        here: hereOf(row) ?? null,
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

/** What the generator would write comes up where somebody wrote over it, and it writes something else by now. */
export function asRead(part: WrittenPart, kept: KeptPart | undefined): ReadPart {
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
    mayMail: mayMail(viewer, row) && !isGone,
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

export function headOf({ view, viewer }: Desk, frozenOn: Day | null): string {
  const { zone } = view.calendar;
  const now = `${longDayText(localDay(view.now, zone))}, ${clockText(view.now, zone)}`;
  return frozenOn
    ? `Frozen as it stood on ${longDayText(frozenOn)}; for ${viewer.name}.`
    : `Kept current; as of ${now}; for ${viewer.name}.`;
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
