import { fine, refused, type Result } from "../base";
import type { AskContext, SubjectId } from "../catalog";
import type { Condition } from "../filter";
import { parseCondition } from "./conditions";
import { Cursor, Stop } from "./cursor";
import { lex } from "./lex";

/** Reads a condition alone: "status is open and not (tags include parked)". */
export function parseConditionText(
  text: string,
  subject: SubjectId,
  context: AskContext,
): Result<Condition> {
  const { tokens, problem } = lex(text);
  if (problem) return refused(problem);
  const cursor = new Cursor(text, tokens, context.meanings);
  try {
    const condition = parseCondition(cursor, context, subject);
    if (!cursor.done) cursor.unexpected();
    return fine(condition);
  } catch (stop) {
    if (!(stop instanceof Stop)) throw stop;
    return refused(stop.problem);
  }
}
