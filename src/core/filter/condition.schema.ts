import { z } from "zod";
import type { Condition } from "./condition";
import { OPERATOR_IDS } from "./operators";
import { PeriodSchema, ValueSchema } from "./value.schema";

const FieldIds = z.array(z.string()).min(1).max(6);
const LEAVES = [
  z.strictObject({
    kind: z.literal("test"),
    field: FieldIds,
    operator: z.enum(OPERATOR_IDS),
    values: z.array(ValueSchema).max(1000),
    asOf: PeriodSchema.optional(),
  }),
  z.strictObject({
    kind: z.literal("became"),
    field: FieldIds,
    to: ValueSchema,
    from: ValueSchema.optional(),
    during: PeriodSchema.optional(),
  }),
  z.strictObject({
    kind: z.literal("link"),
    link: z.string().min(1).max(100),
    toIt: z.literal(true).optional(),
    no: z.literal(true).optional(),
  }),
  z.strictObject({ kind: z.literal("filter"), filter: z.int() }),
  z.strictObject({ kind: z.literal("owes"), during: PeriodSchema }),
] as const;

export const ConditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    ...LEAVES,
    z.strictObject({ kind: z.enum(["all", "any"]), of: z.array(ConditionSchema).min(2).max(200) }),
    z.strictObject({ kind: z.literal("not"), of: ConditionSchema }),
  ]),
);
