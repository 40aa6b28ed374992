import type { Problem } from "@/core/base";
import type { ProblemDetails } from "@/contract/api";

/** What goes wrong at the door for programs, one function each; `type` is a path of docs/api.md. */
const details = (status: number, slug: string, title: string, detail: string): ProblemDetails => ({
  type: `/problems/${slug}`,
  title,
  status,
  detail,
});

export const noToken = (): ProblemDetails =>
  details(
    401,
    "no-token",
    "A token is needed",
    "Send the token that bin/token made as Authorization: Bearer …",
  );
export const notAllowed = (detail: string): ProblemDetails =>
  details(403, "not-allowed", "Not for this token", detail);
export const badRequest = (detail: string): ProblemDetails =>
  details(400, "bad-request", "The request is not understood", detail);
export const badSentence = (problem: Problem): ProblemDetails => ({
  ...details(
    422,
    "sentence",
    "The sentence cannot be answered",
    problem.hint ? `${problem.message}; ${problem.hint}` : problem.message,
  ),
  ...(problem.at ? { at: problem.at } : {}),
  ...(problem.nearest ? { nearest: problem.nearest } : {}),
  ...(problem.expected ? { expected: problem.expected } : {}),
});
export const badDefinition = (problem: Problem): ProblemDetails =>
  details(
    422,
    "definition",
    "The definition cannot be answered",
    `${problem.path ? `${problem.path}: ` : ""}${problem.message}`,
  );
/** A question that is not understood for sure, with how it could be read. */
export const doubtful = (
  readings: readonly object[],
  doubts: readonly string[],
): ProblemDetails => ({
  ...details(
    422,
    "doubtful",
    "The question is not understood for sure",
    doubts.length ? doubts.join("; ") : "Nothing in it can be asked",
  ),
  readings,
});
export const tooSlow = (): ProblemDetails =>
  details(
    503,
    "too-slow",
    "The answer takes too long",
    "It was stopped after 30 seconds; ask for less at once",
  );
export const unreachable = (): ProblemDetails =>
  details(
    503,
    "unavailable",
    "The records cannot be reached just now",
    "Nothing is lost; try again in a moment",
  );
export const ourBug = (): ProblemDetails =>
  details(
    500,
    "internal",
    "Something went wrong on our side",
    "It has been noted; the same question may work later",
  );
