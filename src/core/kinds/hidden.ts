import type { Said } from "../figure";
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

/** As programs are told of a figure that counts only the money of the viewer's own projects. */
export const NARROWED = "money of your projects";

/** The same for people, with their names. */
export function narrowedSays({ money, catalog }: Viewpoint): Said {
  const names = (money ?? []).flatMap((id) => catalog.names.find("project", id)?.label ?? []);
  return { text: ` Only the money of your projects: ${names.join(", ")}.` };
}
