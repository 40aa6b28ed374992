import { z } from "zod";
import { LONGEST_QUESTION } from "@/core/plain";

const Percent = z.object({
  base: z.enum(["all", "shown", "own row", "own column"]).default("shown"),
  decimals: z.int().min(0).max(4).default(1),
});
/** A group as a program names it: as kept, null for not set, a marked one for the rest. */
export const GroupValue = z.union([
  z.string(),
  z.number(),
  z.null(),
  z.object({ rest: z.literal(true) }),
]);
export type GroupValue = z.infer<typeof GroupValue>;

/** A sentence, the definition that it stands for, or a question in everyday words. */
const asked = {
  sentence: z.string().optional(),
  question: z.string().max(LONGEST_QUESTION).optional(),
  definition: z.unknown().optional(),
  now: z.string().optional(),
};
const oneOf = { message: "send a sentence, a definition or a question, one of them" };
const isOne = (body: { sentence?: string; definition?: unknown; question?: string }) =>
  [body.sentence, body.definition, body.question].filter((one) => one !== undefined).length === 1;

export const ReadRequest = z.strictObject({
  question: z.string().max(LONGEST_QUESTION),
  now: z.string().optional(),
});

export const AnswerRequest = z
  .strictObject({
    ...asked,
    percent: Percent.optional(),
    /** Of a burndown: by when it may be done, too. */
    forecast: z.literal(true).optional(),
  })
  .refine(isOne, oneOf);
export const RecordsRequest = z
  .strictObject({
    ...asked,
    percent: Percent.optional(),
    group: z.array(GroupValue).max(3).optional(),
    split: GroupValue.optional(),
    offset: z.int().min(0).default(0),
    limit: z.int().min(1).max(10_000).default(1_000),
    /** Which measure's figure is opened, from 0, where it has conditions of its own. */
    measure: z.int().min(0).max(5).optional(),
  })
  .refine(isOne, oneOf);

/** RFC 9457. */
export interface ProblemDetails {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly at?: { readonly from: number; readonly to: number };
  readonly nearest?: readonly string[];
  readonly expected?: readonly string[];
  /** How a question could be read that is not sure. */
  readonly readings?: readonly object[];
}
