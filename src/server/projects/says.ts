import type { ShownTile } from "@/contract/figures";
import type { Here } from "@/core/catalog";
import { PLAIN_DRESS } from "@/core/definition";
import { parseSentence } from "@/core/kinds";
import type { EntityManager } from "@/data";
import { nothingHere, settled } from "../refused";
import { checked } from "../reports/checked";
import { askFigure } from "../reports/room";
import type { Desk } from "../viewer/viewpoint";

/** The same desk in the room of a thing: `this project` means it. @throws Refused where the viewer knows of no such thing */
export function deskIn(desk: Desk, here: Here | undefined): Desk {
  if (!here) return desk;
  if (!desk.view.catalog.names.find(here.thing, here.id)) throw nothingHere();
  return { ...desk, view: { ...desk.view, here } };
}

/** A sentence answered in a room: what it means there, and its figure. */
export async function sayIn(
  em: EntityManager,
  given: Desk,
  {
    says,
    here,
    stood,
    rows,
  }: {
    says: string;
    here?: Here | undefined;
    stood?: string | undefined;
    rows?: number | undefined;
  },
): Promise<ShownTile> {
  const desk = deskIn(given, here);
  const read = settled(parseSentence(says, desk.view));
  const definition = checked(stood && !read.stood ? { ...read, stood } : read, desk);
  const shown = await askFigure(em, desk, definition, PLAIN_DRESS, rows);
  return { name: says, definition, dress: PLAIN_DRESS, shown, heard: [], dropped: [] };
}
