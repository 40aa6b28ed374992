import { ReportSchema, type Report } from "@/core/kinds";
import { z } from "zod";
import { DressSchema, type Dress } from "@/core/definition";
import { type EntityManager, loadViewer, type Viewer, withConnection } from "@/data";
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
  await withConnection(em, (client) =>
    client.query("INSERT INTO print_jobs (token_hash, person_id, body) VALUES ($1, $2, $3)", [
      hashOf(secret),
      person,
      JSON.stringify(job),
    ]),
  );
  return secret;
}

export async function findPrintJob(
  em: EntityManager,
  secret: string,
): Promise<{ job: PrintJob; viewer: Viewer } | null> {
  return withConnection(em, async (client) => {
    const { rows } = await client.query<{ person_id: number; body: unknown }>(
      "SELECT person_id, body FROM print_jobs WHERE token_hash = $1 AND created_at > now() - interval '10 minutes'",
      [hashOf(secret)],
    );
    const read = Body.safeParse(rows[0]?.body);
    const viewer = read.success ? await loadViewer(client, rows[0].person_id) : null;
    return read.success && viewer ? { job: read.data, viewer } : null;
  });
}
