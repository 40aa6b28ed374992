import { inUnit, simpleHead, type MeasureHead } from "../../answer";
import type { Instant } from "../../time";
import { speakingOf } from "../speaking";
import type { BridgeParts } from "./planBridge";

export interface BridgeAnswer {
  readonly kind: "bridge";
  readonly measure: MeasureHead;
  readonly from: Instant;
  readonly to: Instant;
  /** null where both lie before any history: nothing is known of them. */
  readonly levelFrom: string | null;
  readonly levelTo: string | null;
  /** The first instant with any history. */
  readonly begins: Instant | null;
  readonly parts: readonly {
    readonly cause: string;
    readonly fields: readonly string[];
    readonly amount: string;
    readonly count: number;
    readonly keys: readonly string[];
  }[];
  /** How often anything came in and went out between the dates; where it is told. */
  readonly inAll?: { readonly arrivals: number; readonly departures: number };
  /** The level is of what is open. */
  readonly isOfOpen: boolean;
  readonly asOf: Instant;
}

const COUNT = { measure: "count" } as const;

export function bridgeAnswer({
  report,
  view,
  from,
  to,
  levelFrom,
  levelTo,
  since,
  parts,
  inAll,
}: BridgeParts): BridgeAnswer {
  const head = simpleHead(report.measure ?? COUNT, report, view);
  const told = (value: string) => inUnit(value, head, view);
  const known = (value: string | null) => (value === null ? null : told(value));
  return {
    kind: "bridge",
    measure: head,
    from,
    to,
    levelFrom: known(levelFrom),
    levelTo: known(levelTo),
    begins: since,
    parts: parts.map((part) => ({
      cause: part.cause,
      fields: part.fields,
      amount: told(part.amount),
      count: part.count,
      keys: part.items.flatMap(({ key }) => key ?? []),
    })),
    ...(inAll ? { inAll } : {}),
    isOfOpen: speakingOf(report, view).asks === "open",
    asOf: view.now,
  };
}
