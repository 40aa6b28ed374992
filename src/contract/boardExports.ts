import { z } from "zod";
import { NarrowingAsk } from "./figures";

/** What is asked of the door for files of a whole dashboard: as it is seen, or on sheets. */
export const BoardExportRequest = z.object({
  id: z.int(),
  format: z.enum(["pdf", "png", "xlsx"]),
  /** What narrows each tile and the day as of which it is counted, by its id. */
  tiles: z.record(
    z.string().max(60),
    z.object({ narrowed: z.array(NarrowingAsk).max(60), stood: z.iso.date().optional() }),
  ),
  /** All that narrows, in words, for the head of the page. */
  says: z.array(z.string().max(4000)).max(60),
  stood: z.iso.date().optional(),
  /** Decks that are put away. */
  closed: z.array(z.string().max(60)).max(20),
});
export type BoardExportRequest = z.infer<typeof BoardExportRequest>;
