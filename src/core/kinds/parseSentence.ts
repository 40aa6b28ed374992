import { fine, refused, type Result } from "../base";
import type { AskContext } from "../catalog";
import { Cursor, lex, LONGEST, parseClauses, Stop, type Expected } from "../sentence";
import { conflictsIn } from "./conflicts";
import { kindOf, kinds, type Report } from "./registry";

/**
 * Reads a sentence into a report.
 * @returns the report, or the first problem with its place and the nearest known words
 */
export const parseSentence = (text: string, context: AskContext): Result<Report> =>
  read(text, context).result;

/** What may stand at the end of an unfinished sentence. */
export const expectedAfter = (text: string, context: AskContext): readonly Expected[] =>
  read(text, context).cursor?.expectedAtEnd() ?? [];

function read(text: string, context: AskContext): { result: Result<Report>; cursor?: Cursor } {
  if (text.length > LONGEST)
    return {
      result: refused({
        code: "sentence.long",
        message: `a sentence has at most ${LONGEST} characters; this one has ${text.length}`,
      }),
    };
  const { tokens, problem } = lex(text);
  if (problem) return { result: refused(problem) };
  const cursor = new Cursor(text, tokens, context.meanings);
  try {
    return { result: fine(parseReport(cursor, context)), cursor };
  } catch (stop) {
    if (!(stop instanceof Stop)) throw stop;
    return { result: refused(stop.problem), cursor };
  }
}

function parseReport(cursor: Cursor, context: AskContext): Report {
  const report = beginReport(cursor, context);
  const kind = kindOf(report);
  const starts = parseClauses(cursor, context, report, kind.clauses(report), kind.needed(report));
  for (const { clause, problem } of conflictsIn(report, context)) {
    const at = starts.get(clause) ?? 0;
    cursor.stop(problem, at, at + 1);
  }
  return report;
}

/** The opening words of each kind are tried in the order of the kinds; what begins with none of them is a count. */
function beginReport(cursor: Cursor, context: AskContext): Report {
  for (const kind of Object.values(kinds)) {
    const opening = kind.opens.find((phrase) => cursor.phrase(phrase, "keyword", phrase));
    if (opening !== undefined) return kind.begin(cursor, context, opening);
  }
  return kinds.count.begin(cursor, context, "");
}
