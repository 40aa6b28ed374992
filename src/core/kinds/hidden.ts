import type { Viewpoint } from "../relation";
import type { Report } from "./registry";
import { asOfWords, type ShownHistory } from "./shown";

const HIDDEN = "Not yours to see: it tells of the money of projects.";

/** What stands in the place of a figure that is not the viewer's to see. */
export const hiddenShown = (report: Report, view: Viewpoint): ShownHistory => ({
  kind: "history",
  answer: { kind: "hidden", asOf: view.now },
  figure: null,
  says: [{ text: HIDDEN }],
  asOf: asOfWords(report, view),
  blank: HIDDEN,
});
