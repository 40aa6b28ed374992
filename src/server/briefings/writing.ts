import type { KeptBriefing, KeptPart, TemplateLine } from "@/contract/briefings";
import { fine, refused, type Problem, type Result } from "@/core/base";
import { isTooLong, partsOf, type BriefingKind } from "@/core/briefing";
import type { Briefing } from "@/core/briefing/planned";
import type { Day } from "@/core/time";
import {
  addBriefing,
  changeBriefing,
  putTemplate,
  removeBriefing,
  removeTemplate,
  templatesOf,
  type BriefingRow,
  type EntityManager,
} from "@/data";
import type { Clock } from "../clock";
import { mayKeep } from "../library/kept";
import { todayOf } from "../projects/records";
import { nothingHere } from "../refused";
import type { Desk } from "../viewer/viewpoint";
import { asRead, headOf, write } from "./briefings";
import { changeable, isFor, nameOf, readable, sightOf, sightOfBoth } from "./rights";

/** Briefings are made, written in, frozen and counted again. */

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
      {
        title,
        parts,
        kept: { head: row.kept!.head, parts: read },
        frozenFor: sightOfBoth(desk, row.frozenFor),
      },
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
