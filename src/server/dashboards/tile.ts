import type { KeptDashboard } from "@/contract/dashboards";
import type {
  NarrowingText,
  OpenedPart,
  ShownBeam,
  ShownSince,
  ShownTile,
} from "@/contract/figures";
import { numberText } from "@/core/base";
import { isReportTile, PLAIN_DRESS, type Tile } from "@/core/definition";
import {
  checkReport,
  narrowed,
  parseSentence,
  printReport,
  type Narrowing,
  type Report,
  answerOf,
} from "@/core/kinds";
import { instantText } from "@/core/time";
import { bridgeSince, partCondition, viewOf } from "@/core/kinds/planned";
import { conditionText, parseConditionText } from "@/core/sentence";
import type { EntityManager } from "@/data";
import { loadReport } from "../library/reports";
import { nothingHere } from "../refused";
import { checked } from "../reports/checked";

import { askFigure } from "../reports/room";
import type { Desk } from "../viewer/viewpoint";

export interface TileAsked {
  readonly report: number;
  readonly stood?: string | undefined;
  readonly narrowed?: readonly NarrowingText[];
}

/**
 * What a tile shows: a saved report as it is now, or as it stood, narrowed by conditions from outside that it has fields for.
 * @throws Refused for a report that is not there
 */
export async function answerTile(
  em: EntityManager,
  desk: Desk,
  asked: TileAsked,
): Promise<ShownTile> {
  const told = await askedOfTile(em, desk, asked);
  return { ...told, shown: await askFigure(em, desk, told.definition, told.dress) };
}

/**
 * What a tile asks: its report as it is now, or as it stood, narrowed from outside.
 * @throws Refused for a report that is not there
 */
export async function askedOfTile(
  em: EntityManager,
  desk: Desk,
  { report, stood, narrowed: texts = [] }: TileAsked,
): Promise<Omit<ShownTile, "shown">> {
  const kept = await loadReport(em, desk.viewer, report);
  if (!kept) throw nothingHere();
  const asked = stood && !kept.definition.stood ? { ...kept.definition, stood } : kept.definition;
  const { report: definition, ...told } = narrowedBy(checked(asked, desk), texts, desk);
  return { name: kept.name, definition, dress: kept.dress, ...told };
}

/**
 * A report narrowed by conditions in words, one after the other. Those that it has no field for are not heard; those that do
 * not read, or that it cannot be asked with (a second period beside one that it compares), are dropped with the reason.
 */
function narrowedBy(
  report: Report,
  texts: readonly NarrowingText[],
  desk: Desk,
): { report: Report; heard: string[]; dropped: ShownTile["dropped"] } {
  const { read, dropped } = readNarrowings(texts, desk);
  const heard: string[] = [];
  let now = report;
  for (const one of read) {
    const next = narrowed(now, [one], desk.view.catalog);
    if (!next.heard[0]) continue;
    const [problem] = checkReport(next.report, desk.view);
    if (problem) dropped.push({ id: one.id, why: problem.message });
    else {
      now = next.report;
      heard.push(one.id);
    }
  }
  return { report: now, heard, dropped };
}

/** Conditions in words as they are meant; what does not read any more is left out, with the reason. */
function readNarrowings(texts: readonly NarrowingText[], { view }: Desk) {
  const read: (Narrowing & { readonly id: string })[] = [];
  const dropped: { id: string; why: string }[] = [];
  for (const { id, subject, says } of texts) {
    const condition = parseConditionText(says, subject, view);
    if (condition.ok) read.push({ id, subject, where: condition.value });
    else dropped.push({ id, why: condition.problems[0].message });
  }
  return { read, dropped };
}

/** How many came into a tile's figure since an instant, and how many left it. */
export async function sinceThen(
  em: EntityManager,
  desk: Desk,
  {
    report,
    narrowed: texts,
    since,
  }: { report: number; narrowed: readonly NarrowingText[]; since: string },
): Promise<ShownSince | null> {
  const kept = await loadReport(em, desk.viewer, report);
  if (!kept) throw nothingHere();
  return sinceOf(em, desk, kept.definition, texts, since);
}

/** The same of all that is open, for a dashboard as it is narrowed. */
export async function boardSince(
  em: EntityManager,
  desk: Desk,
  { narrowed: texts, since }: { narrowed: readonly NarrowingText[]; since: string },
): Promise<ShownSince | null> {
  const open = parseSentence("count items where status is open", desk.view);
  return open.ok ? sinceOf(em, desk, open.value, texts, since) : null;
}

async function sinceOf(
  em: EntityManager,
  desk: Desk,
  report: Report,
  texts: readonly NarrowingText[],
  since: string,
): Promise<ShownSince | null> {
  const { view } = desk;
  const now = instantText(view.now);
  const bridge = bridgeSince(narrowedBy(report, texts, desk).report, since, now);
  if (!bridge || since >= now || checkReport(bridge, view).length) return null;
  const shown = await askFigure(em, desk, bridge, PLAIN_DRESS);
  const answer = answerOf("bridge", shown);
  if (!answer || ("blank" in shown && shown.blank)) return null;
  const { parts } = answer;
  const count = (isGain: boolean) =>
    parts.reduce(
      (sum, part) => (part.amount.startsWith("-") === isGain ? sum : sum + part.count),
      0,
    );
  const [came, left] = [count(true), count(false)];
  const words = [
    ...(came ? [`${numberText(came)} came`] : []),
    ...(left ? [`${numberText(left)} left`] : []),
  ];
  return { came, left, words: words.join(", "), says: printReport(bridge, view.catalog) };
}

/** What a part of a figure says of the records in it, in words; null where no condition tells it. */
export function beamOf(report: Report, opened: OpenedPart, desk: Desk): ShownBeam | null {
  const view = viewOf(report, desk.view);
  const context = { ...desk.view, now: view.asked ?? view.now };
  const { path, split } = opened;
  const part = partCondition(report, { path, ...(split === undefined ? {} : { split }) }, context);
  if (!part) return null;
  const subject = report.subject.id;
  return {
    subject,
    says: part.where ? conditionText(part.where, desk.view.catalog, subject) : null,
    stood: part.stood ?? null,
  };
}

/** As many as are seen first; they are answered at once, each on a connection of its own. */
const SEEN_FIRST = 6;

/** The answer of a tile that was begun with its page, and what it was narrowed by, as JSON. */
export interface BegunTile {
  readonly narrowed: string;
  readonly answer: Promise<ShownTile | null>;
}

/** The answers of the tiles that are seen first, begun while the page is written; null where one has to be asked again. */
export function beginTiles(
  em: EntityManager,
  desk: Desk,
  { tiles, decks }: Pick<KeptDashboard, "tiles" | "decks">,
  narrowingsOf: (tile: Tile) => readonly NarrowingText[],
): Readonly<Record<string, BegunTile>> {
  const deckOf = (tile: Tile) => decks.findIndex((deck) => deck.id === tile.deck);
  const first = tiles
    .filter(isReportTile)
    .filter((tile) => !decks[deckOf(tile)]?.isClosed)
    .sort((a, b) => deckOf(a) - deckOf(b) || a.y - b.y || a.x - b.x)
    .slice(0, SEEN_FIRST);
  return Object.fromEntries(
    first.map((tile) => {
      const narrowed = narrowingsOf(tile);
      const answer = answerTile(em, desk, { report: tile.report, narrowed }).catch(() => null);
      return [tile.id, { narrowed: JSON.stringify(narrowed), answer }];
    }),
  );
}
