import { planned, type Plan } from "../plan";
import { NOT_YOURS } from "../catalog";
import type { Answer, HiddenAnswer } from "./answers";
import type { Planned } from "./definePlanned";
import { hiddenShown, NARROWED, narrowedSays } from "./hidden";
import { moneySight } from "./moneyUse";
import { withDays } from "./personDays";
import type { Report } from "./registry";
import type { Shown } from "./shown";

/**
 * What is planned for a report, with the right to its money before it: who sees none of it gets no figure, who sees some is
 * told so beside it.
 */
export function guarded<R extends Report>(inner: Planned<R, Answer>): Planned<R, Answer> {
  return {
    ...inner,
    answer: (report, view, options) =>
      moneySight(report, view) === "none"
        ? planned<HiddenAnswer>({ kind: "hidden", asOf: view.now })
        : inner.answer(report, withDays(report, view), options),
    *shown(report, dress, view, rows): Plan<Shown> {
      const sight = moneySight(report, view);
      if (sight === "none") return hiddenShown(report, view);
      const shown = yield* inner.shown(report, dress, withDays(report, view), rows);
      return sight === "all" || shown.kind === "list"
        ? shown
        : { ...shown, says: [...shown.says, narrowedSays(view)] };
    },
    *body(answer, report, view, options): Plan<object> {
      if (isHidden(answer)) return { hidden: NOT_YOURS };
      const body = yield* inner.body(answer, report, withDays(report, view), options);
      return moneySight(report, view) === "some" ? { ...body, narrowed: NARROWED } : body;
    },
    table: (answer, report, dress, calendar) =>
      isHidden(answer)
        ? { columns: ["figure"], rows: [[NOT_YOURS]] }
        : inner.table(answer, report, dress, calendar),
    addsUp: (answer) => (isHidden(answer) ? null : inner.addsUp(answer)),
    source: (report, opened, view) => inner.source(report, opened, withDays(report, view)),
    partNamed: (report, group, split, view) =>
      inner.partNamed(report, group, split, withDays(report, view)),
    notes: (report, view) => inner.notes(report, withDays(report, view)),
  };
}

const isHidden = (answer: Answer): answer is HiddenAnswer => answer.kind === "hidden";
