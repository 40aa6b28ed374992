import { planned, type Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import { toldBucket, toldNumber, sheetNumber } from "../numbers";
import { definePlanned, type FigureTable } from "../definePlanned";
import type { HiddenAnswer } from "../answers";
import { hiddenShown, NARROWED, narrowedSays } from "../hidden";
import { bucketPath } from "../namedBucket";
import { among, type Opened, type RecordSource } from "../opened";
import { shownHistory } from "../past";
import { projectsOf } from "../projectScope";
import { LINES, LINE_WORDS, type LineKey, type LineValues, type SCurveAnswer } from "./answer";
import type { SCurveReport } from "./definition";
import { sCurveParts } from "./parts";
import { curveBuckets, planSCurve } from "./planSCurve";
import { sCurveTelling } from "./telling";

type Known = SCurveAnswer | HiddenAnswer;

/** The projects that it is of, whichever stretch is opened. */
function source(
  report: SCurveReport,
  { path, split }: Opened,
  view: Viewpoint,
): RecordSource | null {
  const part = path.length ? sCurveParts.read(path[0]) : undefined;
  if (part === null || path.length > 1 || split !== undefined) return null;
  if (part && part.index >= curveBuckets(report, view).length) return null;
  return among(projectsOf(report, view, report.of !== "progress"), view);
}

const toldLines = (of: SCurveAnswer["of"], values: LineValues, suffix = "") =>
  Object.fromEntries(
    (LINES[of] as readonly LineKey[]).map((key) => [
      `${key}${suffix}`,
      toldNumber(values[key] ?? null),
    ]),
  );

const body = ({ of, projects, asked, isNarrowed, rows }: SCurveAnswer): object => ({
  projects,
  leftOut: asked - projects,
  ...(isNarrowed ? { narrowed: NARROWED } : {}),
  rows: rows.map(({ bucket, at, within }) => ({
    bucket: toldBucket(bucket),
    ...toldLines(of, at),
    ...(within ? toldLines(of, within, "In") : {}),
  })),
});

function table({ of, rows }: SCurveAnswer): FigureTable {
  const keys: readonly LineKey[] = LINES[of];
  const hasWithin = rows.some((row) => row.within);
  const cells = (values: LineValues = {}) => keys.map((key) => sheetNumber(values[key] ?? null));
  return {
    columns: [
      "from",
      "to",
      ...keys.map((key) => LINE_WORDS[key]),
      ...(hasWithin ? keys.map((key) => `${LINE_WORDS[key]}, within`) : []),
    ],
    rows: rows.map(({ bucket, at, within }) => [
      bucket.from,
      bucket.to,
      ...cells(at),
      ...(hasWithin ? cells(within) : []),
    ]),
  };
}

export const sCurvePlanned = definePlanned<SCurveReport, Known>({
  answer: planSCurve,
  *shown(report, dress, view): Plan<ReturnType<typeof hiddenShown>> {
    const answer = yield* planSCurve(report, view);
    if (answer.kind === "hidden") return hiddenShown(report, view);
    const shown = shownHistory(answer, report, dress, view, sCurveTelling);
    // Whether progress is weighed by money turns out only here: of the others it is said for them.
    return report.of === "progress" && answer.isNarrowed
      ? { ...shown, says: [...shown.says, narrowedSays(view)] }
      : shown;
  },
  body: (answer) => planned(answer.kind === "hidden" ? {} : body(answer)),
  table: (answer) => (answer.kind === "hidden" ? null : table(answer)),
  addsUp: () => null,
  source: (report, opened, view) => planned(source(report, opened, view)),
  partNamed: (report, group, split, view) =>
    planned(split === undefined ? { path: bucketPath(report, group, view) } : null),
  notes: () => planned([]),
});
