import type { BurndownReport } from "./definition";
import type { Viewpoint } from "../../relation";
import { type Plan, instant, instants } from "../../plan";

import type { Cause } from "../../history";
import { bind, compile, sql } from "../../sql";
import type { Instant } from "../../time";
import { AMOUNTS, planBurndown, type BurndownParts } from "./planBurndown";

/** A change of what a sprint holds, with who made it; null where nobody is known. */
export interface ScopeChange {
  readonly at: Instant;
  readonly key: string;
  readonly title: string;
  readonly cause: Cause;
  readonly amount: string;
  readonly by: number | null;
}

/** An item of a sprint with its weight when the sprint ended, or now. */
export interface SprintItem {
  readonly key: string;
  readonly title: string;
  /** Exact, in the unit; null where it is not estimated. */
  readonly amount: string | null;
  readonly assignee: number | null;
}

/** A sprint's burndown with what its room tells beside it. */
export interface SprintParts extends BurndownParts {
  /** Additions, removals and re-estimates and whatever was reopened, the latest first. */
  readonly ledger: readonly ScopeChange[];
  readonly finished: readonly SprintItem[];
  readonly open: readonly SprintItem[];
  readonly out: readonly SprintItem[];
}

/** What a sprint holds, how it came to, and where each item of it stands. */
export function* planSprint(report: BurndownReport, view: Viewpoint): Plan<SprintParts> {
  const parts = yield* planBurndown(report, view);
  const { burndown } = parts;
  if (!burndown) return { ...parts, ledger: [], finished: [], open: [], out: [] };
  const steps = burndown.steps.filter((step) => step.cause !== "finished");
  const ids = [
    ...new Set([...Object.values(burndown.items).flat(), ...steps.map((step) => step.item)]),
  ];
  const [items, movers] = yield [
    compile(
      sql`SELECT i.id, i.key, i.title, (${AMOUNTS[parts.unit]})::text, s.assignee_id, i.raised_by_id FROM items i LEFT JOIN LATERAL (SELECT * FROM state_spans x WHERE x.item_id = i.id AND x.valid_from <= ${instant(burndown.until)} ORDER BY x.valid_from DESC LIMIT 1) s ON TRUE WHERE i.id = ANY(${bind(ids, "int[]")})`,
    ),
    compile(
      sql`SELECT m.item_id, (extract(epoch FROM m.at) * 1000000)::bigint::text, m.by_id FROM moves m JOIN unnest(${bind(
        steps.map((step) => step.item),
        "int[]",
      )}, ${instants(steps.map((step) => step.at))}) AS step(item, at) ON m.item_id = step.item AND m.at = step.at ORDER BY m.item_id, m.at, m.place`,
    ),
  ];
  const known = new Map(
    items.map(([id, key, title, amount, assignee, raised]) => [
      Number(id),
      {
        item: {
          key: key!,
          title: title!,
          amount,
          assignee: assignee === null ? null : Number(assignee),
        },
        raised: raised === null ? null : Number(raised),
      },
    ]),
  );
  const moved = new Map(
    movers.map(([item, at, by]) => [`${item} ${at}`, by === null ? null : Number(by)]),
  );
  const listed = (list: readonly number[]) =>
    list
      .flatMap((id) => known.get(id)?.item ?? [])
      .sort((a, b) => Number(b.amount ?? 0) - Number(a.amount ?? 0) || (a.key < b.key ? -1 : 1));
  return {
    ...parts,
    ledger: steps
      .map(({ at, item, key, cause, amount }) => ({
        at,
        key,
        title: known.get(item)?.item.title ?? "",
        cause,
        amount,
        by: moved.has(`${item} ${at}`)
          ? moved.get(`${item} ${at}`)!
          : (known.get(item)?.raised ?? null),
      }))
      .reverse(),
    finished: listed(burndown.items.finished),
    open: listed(burndown.items.open),
    out: listed(burndown.items.out),
  };
}
