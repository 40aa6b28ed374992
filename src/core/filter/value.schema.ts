import { z } from "zod";
import { THING_TYPES } from "../catalog";
import { parsePeriod, UNIT_NAME } from "../time";

/** A named unit of the calendar, as a period is read from its text. */
const UnitName = z
  .string()
  .regex(UNIT_NAME)
  .refine((name) => {
    const read = parsePeriod(name);
    return read.ok && read.value.kind === "named" && read.value.name === name;
  }, "no date or unit of the calendar");

export const PeriodSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("day"), which: z.enum(["yesterday", "today", "tomorrow"]) }),
  z.object({
    kind: z.literal("unit"),
    which: z.enum(["last", "this", "next"]),
    unit: z.enum(["week", "month", "quarter", "year", "fiscal quarter", "fiscal year"]),
    soFar: z.literal(true).optional(),
  }),
  z.object({
    kind: z.literal("rolling"),
    way: z.enum(["last", "next"]),
    count: z.int().min(1).max(10_000),
    unit: z.enum(["day", "week", "month", "quarter", "year", "business day"]),
    full: z.literal(true).optional(),
    toDate: z.literal(true).optional(),
  }),
  z.object({ kind: z.literal("hours"), count: z.int().min(1).max(10_000) }),
  z.object({ kind: z.literal("named"), name: UnitName }),
  z.object({ kind: z.literal("span"), from: UnitName, to: UnitName }),
]);

export const UnitSchema = z.enum(["minutes", "hours", "days"]);
const DecimalText = z
  .string()
  .max(60)
  .regex(/^-?\d+(\.\d+)?$/);

/** A value in a condition, a fold or a hidden group: things by identity, words that depend on the viewer as words. */
export const ValueSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("thing"), thing: z.enum(THING_TYPES), id: z.int() }),
  z.object({ kind: z.literal("text"), text: z.string().max(2_000) }),
  z.object({
    kind: z.literal("number"),
    number: DecimalText,
    unit: UnitSchema.optional(),
    working: z.literal(true).optional(),
  }),
  z.object({ kind: z.literal("flag"), yes: z.boolean() }),
  z.object({
    kind: z.literal("viewer"),
    word: z.enum(["me", "my team", "my teams", "my projects"]),
  }),
  z.object({
    kind: z.literal("stage"),
    stage: z.enum(["open", "waiting", "under way", "finished"]),
  }),
  z.object({ kind: z.literal("current") }),
  z.object({ kind: z.literal("unset") }),
  z.object({ kind: z.literal("period"), period: PeriodSchema }),
]);

export type Value = z.infer<typeof ValueSchema>;
export type ViewerWord = (Value & { kind: "viewer" })["word"];
