import { ReportSchema } from "@/core/kinds/schemas";
import { DressSchema } from "@/core/definition/schemas";
import { type Report } from "@/core/kinds";
import { z } from "zod";
import { type Dress } from "@/core/definition";
import { addPrintJob, findPrintJobRow, loadViewer, type EntityManager, type Viewer } from "@/data";
import { hashOf, newSecret } from "../accounts/secrets";

const Body = z.object({
  report: ReportSchema,
  dress: DressSchema,
  title: z.string(),
  link: z.string(),
  workings: z.boolean(),
});

/** What a page to print shows. */
export interface PrintJob {
  readonly report: Report;
  readonly dress: Dress;
  readonly title: string;
  /** The path of the live report. */
  readonly link: string;
  readonly workings: boolean;
}

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
