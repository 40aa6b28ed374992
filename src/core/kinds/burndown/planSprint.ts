import { accountOf, type AccountEntry, type AccountLine, type WorkStep } from "../../history";
import { type Plan, instant, instants } from "../../plan";
import type { Viewpoint } from "../../relation";
import { bind, compile, sql } from "../../sql";
import type { BurndownReport } from "./definition";
import { planBurndown, type BurndownParts } from "./planBurndown";

/** The lines of a sprint's account as they stand below each other; what was finished before stands apart, last. */
export const ACCOUNT_LINES: readonly AccountLine[] = [
  "committed",
  "added",
  "removed",
  "finished",
  "reopened",
  "re-estimated",
  "remaining",
  "finished before",
];

/** An item on a line of the account, or a step, with what tells it; persons by identity, null where nobody is known. */
export type Told<T> = T & {
  readonly title: string;
  readonly assignee: number | null;
  /** Who made the step. */
  readonly by: number | null;
};

/** A sprint's burndown with the account that its room shows. */
export interface SprintParts extends BurndownParts {
  readonly account: readonly {
    readonly line: AccountLine;
    readonly entries: readonly Told<AccountEntry>[];
  }[];
  readonly steps: readonly Told<WorkStep>[];
  /** Items that remained at its closing and left it then. */
  readonly carried: readonly number[];
}

interface Known {
  readonly title: string;
  readonly assignee: number | null;
  readonly raised: number | null;
}

const idOf = (text: string | null): number | null => (text === null ? null : Number(text));

/** What a sprint holds, how it came to, and which items are on each line of its account. */
export function* planSprint(report: BurndownReport, view: Viewpoint): Plan<SprintParts> {
  const parts = yield* planBurndown(report, view);
  const { burndown, reach, spans } = parts;
  if (!burndown || !reach) return { ...parts, account: [], steps: [], carried: [] };
  const { lines, carried } = accountOf(spans, reach);
  const entries = Object.values(lines).flat();
  const made = entries.filter((entry) => entry.at !== null);
  const [items, movers] = yield [
    compile(
      sql`SELECT i.id, i.title, s.assignee_id, i.raised_by_id FROM items i LEFT JOIN LATERAL (SELECT x.assignee_id FROM state_spans x WHERE x.item_id = i.id AND x.valid_from <= ${instant(reach.until)} ORDER BY x.valid_from DESC LIMIT 1) s ON TRUE WHERE i.id = ANY(${bind([...new Set(entries.map((entry) => entry.item))], "int[]")})`,
    ),
    compile(
      sql`SELECT m.item_id, (extract(epoch FROM m.at) * 1000000)::bigint::text, m.by_id FROM moves m JOIN unnest(${bind(
        made.map((entry) => entry.item),
        "int[]",
      )}, ${instants(made.map((entry) => entry.at!))}) AS step(item, at) ON m.item_id = step.item AND m.at = step.at ORDER BY m.item_id, m.at, m.place`,
    ),
  ];
  const known = new Map(
    items.map(([id, title, assignee, raised]): [number, Known] => [
      Number(id),
      { title: title!, assignee: idOf(assignee), raised: idOf(raised) },
    ]),
  );
  const moved = new Map(movers.map(([item, at, by]) => [`${item} ${at}`, idOf(by)]));
  const told = <T extends { readonly item: number; readonly at: number | null }>(
    one: T,
  ): Told<T> => {
    const { title = "", assignee = null, raised = null } = known.get(one.item) ?? {};
    const step = `${one.item} ${one.at}`;
    return { ...one, title, assignee, by: moved.has(step) ? moved.get(step)! : raised };
  };
  return {
    ...parts,
    account: ACCOUNT_LINES.map((line) => ({ line, entries: lines[line].map(told) })),
    steps: burndown.steps.map(told),
    carried,
  };
}
