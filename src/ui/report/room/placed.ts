import type { Report, Shown } from "@/core/kinds";
import type { Dress } from "@/core/definition";

const foldedPlaces = (report: Report, shown: Shown | null) =>
  report.kind === "count" && shown?.kind === "count"
    ? [
        ...report.by.map((group, i) => ({
          group,
          place: String(i),
          heads: shown.answer.rows.flatMap((row) => (row.path[i] ? [row.path[i]] : [])),
        })),
        ...(report.split
          ? [{ group: report.split, place: "split", heads: [...shown.answer.split] }]
          : []),
      ].filter(({ group }) => group.folds?.length)
    : [];

/** Remembers which values were there when the folds were made: a later one is not placed yet. */
export function withPlaced(dress: Dress, shown: Shown | null, report: Report): Dress {
  const places = foldedPlaces(report, shown);
  if (places.length === 0) return dress;
  return {
    ...dress,
    placed: Object.fromEntries(
      places.map(({ place, heads }) => [
        place,
        [...new Set(heads.filter((head) => head.kind === "value").map((head) => head.key))],
      ]),
    ),
  };
}

/** The values that came after the folds were made. */
export function unplacedIn(shown: Shown | null, dress: Dress, report: Report): string[] {
  return foldedPlaces(report, shown).flatMap(({ place, heads }) =>
    dress.placed[place]
      ? [
          ...new Set(
            heads
              .filter((head) => head.kind === "value" && !dress.placed[place].includes(head.key))
              .map((head) => head.label),
          ),
        ]
      : [],
  );
}
