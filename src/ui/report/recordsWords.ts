import type { OpenedPart } from "@/contract/figures";
import { numberText } from "@/core/base";
import type { Catalog } from "@/core/catalog";
import { crossedWords, type Report, type ShownRecords } from "@/core/kinds";

/** How many records were opened: "12 faults"; of flows, in which a record stands once for each time that it crossed, "100 arrivals of 92 faults". */
export function recordsWords(
  { count, different }: Pick<ShownRecords, "count" | "different">,
  { subject }: Pick<Report, "subject">,
  part: OpenedPart | undefined,
  catalog: Catalog,
): string {
  if (different === undefined)
    return `${numberText(count)} ${catalog.countedWords(subject, count)}`;
  const of = `${numberText(different)} ${catalog.countedWords(subject, different)}`;
  return `${numberText(count)} ${crossedWords(part?.path ?? [], count)} of ${of}`;
}
