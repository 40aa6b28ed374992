import type { ShownTile } from "@/contract/figures";
import type { Tile } from "@/core/definition";
import type { EntityManager } from "@/data";
import { loadReport } from "../library/reports";
import { nothingHere } from "../refused";
import { checked } from "../reports/checked";
import { askFigure } from "../reports/room";
import type { Desk } from "../viewer/viewpoint";

/** What a tile shows: a saved report as it is now, or as it stood. @throws Refused for a report that is not there */
export async function answerTile(
  em: EntityManager,
  desk: Desk,
  report: number,
  stood?: string,
): Promise<ShownTile> {
  const kept = await loadReport(em, desk.viewer, report);
  if (!kept) throw nothingHere();
  const definition =
    stood && !kept.definition.stood ? { ...kept.definition, stood } : kept.definition;
  const shown = await askFigure(em, desk, checked(definition, desk), kept.dress);
  return { name: kept.name, definition, dress: kept.dress, shown };
}

/** As many as are seen first; they are answered at once, each on a connection of its own. */
const SEEN_FIRST = 6;

/** The answers of the tiles that are seen first, begun while the page is written; null where one has to be asked again. */
export function beginTiles(
  em: EntityManager,
  desk: Desk,
  tiles: readonly Tile[],
): Readonly<Record<number, Promise<ShownTile | null>>> {
  const first = [...tiles].sort((a, b) => a.y - b.y || a.x - b.x).slice(0, SEEN_FIRST);
  return Object.fromEntries(
    first.map(({ report }) => [report, answerTile(em, desk, report).catch(() => null)]),
  );
}
