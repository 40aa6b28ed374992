import type { Report, ReportKind, ReportOf } from "@/core/kinds";
import { bridgeBuilder } from "./bridge";
import type { BuilderKind } from "./builderKind";
import { budgetBuilder } from "./budget";
import { burndownBuilder } from "./burndown";
import { countBuilder } from "./count";
import { crossingsBuilder } from "./crossings";
import { levelBuilder } from "./level";
import { listBuilder } from "./list";
import { sCurveBuilder } from "./sCurve";
import { velocityBuilder } from "./velocity";

/** What each kind of report is said with. It comes with the first picker that is opened: what is shown stands in ./shown. */
const builderKinds = {
  count: countBuilder,
  list: listBuilder,
  level: levelBuilder,
  crossings: crossingsBuilder,
  bridge: bridgeBuilder,
  budget: budgetBuilder,
  burndown: burndownBuilder,
  velocity: velocityBuilder,
  sCurve: sCurveBuilder,
} as const satisfies { readonly [K in ReportKind]: BuilderKind<ReportOf<K>> };

export const builderKindOf = (report: Pick<Report, "kind">): BuilderKind<Report> =>
  builderKinds[report.kind] as unknown as BuilderKind<Report>;

export { COMMON, CONDITIONS, stoodAddition } from "./common";
export type { Addition, PartProps, Picker } from "./builderKind";
