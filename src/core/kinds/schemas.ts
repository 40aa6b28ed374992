// What reports must look like when they come from outside: entered by whoever reads what is sent or kept.
import { z } from "zod";
import { BridgeSchema } from "./bridge/schema";
import { BurndownSchema } from "./burndown/schema";
import { CountSchema } from "./count/schema";
import { CrossingsSchema } from "./crossings/schema";
import { LevelSchema } from "./level/schema";
import { ListSchema } from "./list/schema";
import type { Report, ReportKind, ReportOf } from "./registry";
import { BudgetSchema } from "./budget/schema";
import { SCurveSchema } from "./sCurve/schema";
import { VelocitySchema } from "./velocity/schema";

/** The schema of each kind of report. */
const reportSchemas = {
  count: CountSchema,
  list: ListSchema,
  level: LevelSchema,
  crossings: CrossingsSchema,
  bridge: BridgeSchema,
  budget: BudgetSchema,
  burndown: BurndownSchema,
  velocity: VelocitySchema,
  sCurve: SCurveSchema,
} as const satisfies { readonly [K in ReportKind]: z.ZodType<ReportOf<K>> };

export const ReportSchema: z.ZodType<Report> = z.discriminatedUnion("kind", [
  reportSchemas.count,
  reportSchemas.list,
  reportSchemas.level,
  reportSchemas.crossings,
  reportSchemas.bridge,
  reportSchemas.budget,
  reportSchemas.burndown,
  reportSchemas.velocity,
  reportSchemas.sCurve,
]);
export { CountSchema, ListSchema };
