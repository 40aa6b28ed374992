import type { ZodType } from "zod";
import { ReportSchema } from "@/core/kinds/schemas";
import { checkReport, parseSentence, printReport, type Report } from "@/core/kinds";
import { plannedOf, recordsBody, viewOf } from "@/core/kinds/planned";
import { readQuestion, type Reading } from "@/core/plain";
import { instantText, parseInstant } from "@/core/time";
import { AnswerRequest, ReadRequest, RecordsRequest, type ProblemDetails } from "@/contract/api";
import { type EntityManager, runPlan } from "@/data";
import type { Clock } from "../clock";
import { asRefused, Refused } from "../refused";
import { unreadableIn, type Unreadable } from "../untrusted";
import { answerBody, answerRecords, answerReport, answerWorkings } from "../reports/answerReport";
import { columnsOf } from "../reports/columns";
import { deskOf, type Desk } from "../viewer/viewpoint";
import { taughtTo } from "../questions/words";
import { viewerOfToken } from "../accounts/tokens";
import { badDefinition, badRequest, badSentence, doubtful, noToken, notAllowed } from "./problems";

export type Reply =
  | { readonly status: 200; readonly body: object }
  | { readonly status: number; readonly problem: ProblemDetails };
const refuse = (problem: ProblemDetails): Reply => ({ status: problem.status, problem });

interface Asked {
  readonly report: Report;
  readonly desk: Desk;
}

/** Who asks, from when, and what: the same checks at each door for programs. */
async function readAsked(
  em: EntityManager,
  clock: Clock,
  token: string | null,
  asked: { sentence?: string; definition?: unknown; question?: string; now?: string },
): Promise<Asked | Reply> {
  const desk = await deskOfProgram(em, clock, token, asked.now);
  if ("status" in desk) return desk;
  if (asked.question !== undefined) return readSure(em, asked.question, desk);
  if (asked.sentence === undefined) return readDefinition(asked.definition, desk);
  const parsed = parseSentence(asked.sentence, desk.view);
  return parsed.ok ? { report: parsed.value, desk } : refuse(badSentence(parsed.problems[0]));
}

async function deskOfProgram(
  em: EntityManager,
  clock: Clock,
  token: string | null,
  now: string | undefined,
): Promise<Desk | Reply> {
  const viewer = token === null ? null : await viewerOfToken(em, token);
  if (!viewer) return refuse(noToken());
  const asOf = now === undefined ? undefined : parseInstant(now);
  if (asOf === null)
    return refuse(badRequest("now must be an ISO 8601 instant with Z or an offset"));
  if (asOf !== undefined && viewer.role !== "administrator")
    return refuse(notAllowed("only administrators may ask as of another instant"));
  return deskOf(em, viewer, clock, asOf);
}

/** A question that can be read in one way, with nothing left over; any other is refused with its readings. */
async function readSure(em: EntityManager, question: string, desk: Desk): Promise<Asked | Reply> {
  const readings = readQuestion(question, desk.view, await taughtTo(em, desk));
  const [best] = readings;
  return best?.isSure
    ? { report: best.report, desk }
    : refuse(doubtful(readings.map(readingBody), best?.doubts ?? []));
}

/** A reading as programs take it. */
const readingBody = ({ text, report, sentence, isSure, doubts, uses }: Reading) => ({
  text,
  sentence,
  definition: report,
  sure: isSure,
  doubts,
  uses,
});

/** POST /api/v1/read: the readings of a question, the best first. */
export async function apiRead(
  em: EntityManager,
  clock: Clock,
  token: string | null,
  body: unknown,
): Promise<Reply> {
  const request = understood(ReadRequest, token, body);
  if ("status" in request) return request;
  const desk = await deskOfProgram(em, clock, token, request.asked.now);
  if ("status" in desk) return desk;
  const taught = await taughtTo(em, desk);
  const readings = readQuestion(request.asked.question, desk.view, taught);
  return { status: 200, body: { readings: readings.map(readingBody) } };
}

/** A definition in place of a sentence: the same report, as files and the rooms keep it. */
function readDefinition(definition: unknown, desk: Desk): Asked | Reply {
  const read = ReportSchema.safeParse(definition);
  if (!read.success) return refuse(badRequest(`definition: ${firstIssue(read.error)}`));
  const problems = checkReport(read.data, desk.view);
  return problems.length ? refuse(badDefinition(problems[0])) : { report: read.data, desk };
}

/** POST /api/v1/answer */
export async function apiAnswer(
  em: EntityManager,
  clock: Clock,
  token: string | null,
  body: unknown,
): Promise<Reply> {
  const request = understood(AnswerRequest, token, body);
  if ("status" in request) return request;
  const asked = await readAsked(em, clock, token, request.asked);
  if ("status" in asked) return asked;
  const { report, desk } = asked;
  const { percent, forecast } = request.asked;
  const options = { ...(percent ? { percent } : {}), ...(forecast ? { forecast } : {}) };
  const answer = await answerReport(em, report, desk.view).catch((error: unknown) => {
    const told = asRefused(error);
    if (told instanceof Refused) return told;
    throw error;
  });
  if (answer instanceof Refused) return refuse(badRequest(answer.message));
  return {
    status: 200,
    body: {
      ...(await answerBody(em, report, answer, desk.view, options)),
      sentence: printReport(report, desk.view.catalog),
      workings: await answerWorkings(em, report, desk.view, desk.viewer.name, answer),
      asOf: instantText(desk.view.now),
    },
  };
}

/** POST /api/v1/records */
export async function apiRecords(
  em: EntityManager,
  clock: Clock,
  token: string | null,
  body: unknown,
): Promise<Reply> {
  const request = understood(RecordsRequest, token, body);
  if ("status" in request) return request;
  const asked = await readAsked(em, clock, token, request.asked);
  if ("status" in asked) return asked;
  const { report, desk } = asked;
  const { group = [], split, offset, limit, measure } = request.asked;
  const part = await runPlan(
    em,
    plannedOf(report).partNamed(report, group, split, viewOf(report, desk.view)),
  );
  if (!part) return refuse(badRequest("no row of the answer has these group values"));
  const opened = { ...part, ...(measure === undefined ? {} : { measure }) };
  const { showing, sorts } = columnsOf(report);
  const ask = { opened, showing, sorts, offset, limit };
  try {
    const records = await answerRecords(em, report, ask, desk.view);
    return { status: 200, body: recordsBody(records, report, desk.view) };
  } catch (error) {
    if (error instanceof Refused) return refuse(badRequest(error.message));
    throw error;
  }
}

/** What a body asks, by its schema; whoever has no token hears of that first. */
function understood<T>(
  schema: ZodType<T>,
  token: string | null,
  body: unknown,
): { readonly asked: T } | Reply {
  const unreadable = unreadableIn(body);
  const read = schema.safeParse(body);
  if (!unreadable && read.success) return { asked: read.data };
  if (token === null) return refuse(noToken());
  return refuse(badRequest(unreadable ? unreadableWords(unreadable) : firstIssue(read.error!)));
}

const unreadableWords = ({ path, why }: Unreadable): string => (path ? `${path}: ${why}` : why);

const firstIssue = (error: {
  issues: readonly { path: PropertyKey[]; message: string }[];
}): string => {
  const { path, message } = error.issues[0];
  return path.length ? `${path.map(String).join(".")}: ${message}` : message;
};
