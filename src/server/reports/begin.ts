import type { Dress } from "@/core/definition";
import { printReport, type Report, type Shown, listsRecords } from "@/core/kinds";
import type { EntityManager } from "@/data";
import type { Desk } from "../viewer/viewpoint";
import { checked } from "./checked";
import { askFigure } from "./room";

/** The figure of a report, begun while its page is written. */
export interface BegunFigure {
  /** The sentence it answers. */
  readonly says: string;
  readonly dress: Dress;
  /** null where it has to be asked again, to hear why there is none. */
  readonly shown: Promise<Shown | null>;
}

export function beginFigure(
  em: EntityManager,
  desk: Desk,
  report: Report,
  dress: Dress,
): BegunFigure {
  // The records of a list are fetched by its table, as far as they are seen.
  const answer = async () =>
    listsRecords(report) ? null : askFigure(em, desk, checked(report, desk), dress);
  return {
    says: printReport(report, desk.view.catalog),
    dress,
    shown: answer().catch(() => null),
  };
}
