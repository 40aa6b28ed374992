import type { Viewpoint } from "../relation";
import { endOfDay, parseDay, parseInstant } from "../time";
import type { Report } from "./registry";

/** The viewpoint that a report's `as it stood on` asks for: a bare day means its end, a date ahead means now. */
export function viewOf({ stood }: Pick<Report, "stood">, view: Viewpoint): Viewpoint {
  if (!stood) return view;
  const day = parseDay(stood);
  const asked = day ? endOfDay(day, view.calendar.zone) - 1 : parseInstant(stood);
  return asked === null || asked >= view.now ? view : { ...view, now: asked, past: true };
}
