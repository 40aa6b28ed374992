import { z } from "zod";
import { FieldPathSchema, GroupSchema, reportBase, SortSchema } from "../../definition/schemas";

/** The records themselves. */
export const ListSchema = z.strictObject({
  kind: z.literal("list"),
  by: GroupSchema.optional(),
  showing: z.array(FieldPathSchema).max(40),
  sorts: z.array(SortSchema).max(6),
  ...reportBase,
});
export type ListReport = z.infer<typeof ListSchema>;
