import { z } from "zod";
import { BoardExportRequest } from "@/contract/boardExports";
import { DressSchema } from "@/core/definition/schemas";
import { ReportSchema } from "@/core/kinds/schemas";
import { addPrintJob, findPrintJobRow, loadViewer, type EntityManager, type Viewer } from "@/data";
import { hashOf, newSecret } from "../accounts/secrets";

const ReportJob = z.object({
  report: ReportSchema,
  dress: DressSchema,
  title: z.string(),
  /** The path of the live report. */
  link: z.string(),
  workings: z.boolean(),
});
const BoardJob = z.object({ board: BoardExportRequest });
const BriefingJob = z.object({ briefing: z.int() });
const Body = z.union([ReportJob, BoardJob, BriefingJob]);

/** What a page to print shows: a report, a whole dashboard, or a briefing. */
export type PrintJob = z.infer<typeof Body>;

/** Keeps what is to be printed for somebody; the secret that comes back opens its page for ten minutes. */
export async function makePrintJob(
  em: EntityManager,
  person: number,
  job: PrintJob,
): Promise<string> {
  const secret = newSecret();
  await addPrintJob(em, person, hashOf(secret), { ...job });
  return secret;
}

export async function findPrintJob(
  em: EntityManager,
  secret: string,
): Promise<{ job: PrintJob; viewer: Viewer } | null> {
  const kept = await findPrintJobRow(em, hashOf(secret));
  const read = Body.safeParse(kept?.body);
  const viewer = kept && (await loadViewer(em, kept.person));
  return read.success && viewer ? { job: read.data, viewer } : null;
}
