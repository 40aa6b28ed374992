import { ReportSchema } from "@/core/kinds/schemas";
import { DressSchema } from "@/core/definition/schemas";

import { z } from "zod";

import { EXPORT_IDS } from "@/core/exports";

/** What is asked of the door for files. */
export const ExportRequest = z.object({
  format: z.enum(EXPORT_IDS),
  of: z.enum(["figure", "records"]).default("records"),
  definition: ReportSchema,
  dress: DressSchema,
  title: z.string().max(300),
  link: z.string().max(10_000).regex(/^\//),
  opened: z
    .object({
      path: z.array(z.string()).max(3),
      split: z.string().optional(),
      measure: z.int().optional(),
      before: z.literal(true).optional(),
    })
    .optional(),
  page: z.object({ paper: z.enum(["A4", "Letter"]), across: z.boolean() }).optional(),
});
export type ExportRequest = z.input<typeof ExportRequest>;
