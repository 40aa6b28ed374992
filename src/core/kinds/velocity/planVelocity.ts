import { Exact } from "../../base";
import type { WorkUnit } from "../../definition";
import { burndownOf, type Burndown } from "../../history";
import type { Plan } from "../../plan";
import type { Viewpoint } from "../../relation";
import type { Instant } from "../../time";
import { readSpans, spansSql, sprintScope } from "../burndown/planBurndown";
import type { VelocityReport } from "./definition";

export interface VelocityParts {
  readonly report: VelocityReport;
  readonly view: Viewpoint;
  readonly unit: WorkUnit;
  readonly sprints: readonly {
    readonly id: number;
    readonly name: string;
    readonly closed: Instant;
    readonly committed: string;
    readonly finished: string;
  }[];
}

/** The closed sprints of a team, by when they were closed: what was committed, and what was finished net of what was reopened. */
export function* planVelocity(report: VelocityReport, view: Viewpoint): Plan<VelocityParts> {
  const unit = report.unit ?? "points";
  const team = report.team ?? view.viewer.team;
  const closed = view.catalog.names
    .list("sprint")
    .filter(
      (s) =>
        s.team === team &&
        team !== null &&
        s.closedAt !== undefined &&
        s.closedAt <= view.now &&
        s.startsAt !== undefined &&
        s.endsAt !== undefined,
    )
    .sort((a, b) => a.closedAt! - b.closedAt!);
  const last = report.last ? closed.slice(-report.last) : closed;
  const scopes = last.map((sprint) => sprintScope(sprint.id, view));
  const rows = scopes.length ? yield scopes.map((scope) => spansSql(scope, unit, view)) : [];
  const sprints = last.flatMap((sprint, i) => {
    const burndown = burndownOf(readSpans(rows[i], view.now), scopes[i].span!, {
      now: view.now,
      calendar: view.calendar,
    });
    if (!burndown) return [];
    return [
      {
        id: sprint.id,
        name: sprint.name,
        closed: sprint.closedAt!,
        committed: burndown.committed,
        finished: netOf(burndown),
      },
    ];
  });
  return { report, view, unit, sprints };
}

const netOf = ({ totals }: Burndown): string =>
  new Exact(totals.finished).minus(totals.reopened).toFixed();
