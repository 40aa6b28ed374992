import type { CountAnswer, Head, HistoryAnswer } from "@/core/answer";
import { ReportSchema, type CountReport, type Report } from "@/core/definition";
import { defaultShowing, foldKey, isHistory, NONE, REST, type Key } from "@/core/plan";
import { checkReport, parseSentence, printReport } from "@/core/sentence";
import { instantText, parseInstant } from "@/core/time";
import {
  type GroupValue,
  type ProblemDetails,
  AnswerRequest,
  RecordsRequest,
} from "@/contract/api";
import type { EntityManager } from "@/data";
import type { Clock } from "../clock";
import { askForecast } from "../reports/forecast";
import {
  answerCount,
  answerDots,
  answerHistory,
  answerRecords,
  answerWorkings,
} from "../reports/answerReport";
import { deskOf, type Desk } from "../viewer/viewpoint";
import { viewerOfToken } from "../accounts/tokens";
import { countBody, dotsBody, forecastBody, historyBody, listBody } from "./bodies";
import { badDefinition, badRequest, badSentence, noToken, notAllowed } from "./problems";

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
  asked: { sentence?: string; definition?: unknown; now?: string },
): Promise<Asked | Reply> {
  const viewer = token === null ? null : await viewerOfToken(em, token);
  if (!viewer) return refuse(noToken());
  const asOf = asked.now === undefined ? undefined : parseInstant(asked.now);
  if (asOf === null)
    return refuse(badRequest("now must be an ISO 8601 instant with Z or an offset"));
  if (asOf !== undefined && viewer.role !== "administrator")
    return refuse(notAllowed("only administrators may ask as of another instant"));
  const desk = await deskOf(em, viewer, clock, asOf);
  if (asked.sentence === undefined) return readDefinition(asked.definition, desk);
  const parsed = parseSentence(asked.sentence, desk.view);
  return parsed.ok ? { report: parsed.value, desk } : refuse(badSentence(parsed.problems[0]));
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
  const request = AnswerRequest.safeParse(body);
  if (!request.success)
    return refuse(token === null ? noToken() : badRequest(firstIssue(request.error)));
  const asked = await readAsked(em, clock, token, request.data);
  if ("status" in asked) return asked;
  const { report, desk } = asked;
  const shared = async (known?: HistoryAnswer) => ({
    sentence: printReport(report, desk.view.catalog),
    workings: await answerWorkings(em, report, desk.view, desk.viewer.name, known),
    asOf: instantText(desk.view.now),
  });
  if (report.kind === "list") {
    const records = await answerRecords(
      em,
      report,
      {
        showing: report.showing.length ? report.showing : defaultShowing(report),
        sorts: report.sorts,
        offset: 0,
        limit: 10_000,
      },
      desk.view,
    );
    return { status: 200, body: { ...listBody(records, report, desk), ...(await shared()) } };
  }
  if (isHistory(report)) {
    const past = await answerHistory(em, report, desk.view);
    const forecast =
      report.kind === "burndown" && request.data.forecast
        ? { forecast: forecastBody(await askForecast(em, desk, report)) }
        : {};
    return {
      status: 200,
      body: { ...historyBody(past, desk), ...forecast, ...(await shared(past)) },
    };
  }
  const answer = await answerCount(em, report, desk.view);
  const dots = report.shape === "dots" ? dotsBody(await answerDots(em, report, desk.view)) : {};
  return {
    status: 200,
    body: { ...countBody(answer, report, request.data.percent), ...dots, ...(await shared()) },
  };
}

/** POST /api/v1/records */
export async function apiRecords(
  em: EntityManager,
  clock: Clock,
  token: string | null,
  body: unknown,
): Promise<Reply> {
  const request = RecordsRequest.safeParse(body);
  if (!request.success)
    return refuse(token === null ? noToken() : badRequest(firstIssue(request.error)));
  const asked = await readAsked(em, clock, token, request.data);
  if ("status" in asked) return asked;
  const { report, desk } = asked;
  const { group = [], split, offset, limit, measure } = request.data;
  const showing =
    report.kind === "list" && report.showing.length ? report.showing : defaultShowing(report);
  const sorts = report.kind === "list" ? report.sorts : [];
  if (isHistory(report)) {
    const opened = {
      path: group.map(String),
      ...(split === undefined ? {} : { split: String(split) }),
    };
    return {
      status: 200,
      body: listBody(
        await answerRecords(em, report, { opened, showing, sorts, offset, limit }, desk.view),
        report,
        desk,
      ),
    };
  }
  if (report.kind === "list" || (group.length === 0 && split === undefined)) {
    return {
      status: 200,
      body: listBody(
        await answerRecords(
          em,
          report,
          {
            ...(measure === undefined ? {} : { opened: { path: [], measure } }),
            showing,
            sorts,
            offset,
            limit,
          },
          desk.view,
        ),
        report,
        desk,
      ),
    };
  }
  const opened = openedPart(await answerCount(em, report, desk.view), report, group, split);
  if (!opened) return refuse(badRequest("no row of the answer has these group values"));
  return {
    status: 200,
    body: listBody(
      await answerRecords(
        em,
        report,
        {
          opened: { ...opened, ...(measure === undefined ? {} : { measure }) },
          showing,
          sorts,
          offset,
          limit,
        },
        desk.view,
      ),
      report,
      desk,
    ),
  };
}

const firstIssue = (error: {
  issues: readonly { path: PropertyKey[]; message: string }[];
}): string => {
  const { path, message } = error.issues[0];
  return path.length ? `${path.map(String).join(".")}: ${message}` : message;
};

/** Finds the keys of a row from its group values, as `answer` gave them. */
function openedPart(
  answer: CountAnswer,
  report: CountReport,
  group: readonly GroupValue[],
  split: GroupValue | undefined,
): { path: Key[]; split?: Key } | null {
  const matches = (head: Head, value: GroupValue, folds: number): boolean => {
    if (value === null) return head.key === NONE;
    if (typeof value === "object") return head.key === REST;
    const fold = Array.from({ length: folds }, (_, i) => foldKey(i)).includes(head.key);
    return (
      head.key !== NONE &&
      head.key !== REST &&
      head.name === String(value) &&
      (fold || head.kind === "value" || head.kind === "range" || head.kind === "case")
    );
  };
  if (group.length > report.by.length) return null;
  const rows =
    group.length === report.by.length ? answer.rows : (answer.tiers[group.length - 1] ?? []);
  const row =
    group.length === 0
      ? { path: [] as readonly Head[] }
      : rows.find(({ path }) =>
          path.every((head, i) => matches(head, group[i], report.by[i].folds?.length ?? 0)),
        );
  const part =
    split === undefined
      ? undefined
      : answer.split.find((head) => matches(head, split, report.split?.folds?.length ?? 0));
  if (!row || (split !== undefined && !part)) return null;
  return { path: row.path.map((head) => head.key), ...(part ? { split: part.key } : {}) };
}
