import { ZxcvbnFactory } from "@zxcvbn-ts/core";
import { adjacencyGraphs, dictionary } from "@zxcvbn-ts/language-common";

const SHORTEST = 8;
const LONGEST = 200;
/** Of 0 to 4: below it some thousand or a million guesses are enough. */
const LEAST_SCORE = 2;

let guesses: ZxcvbnFactory | undefined;

/**
 * Why a password is not taken: too short, too long, or among what is guessed first (a list of common ones ships with it).
 * @param own words that others know of whoever chooses it: login, name
 */
export function passwordProblem(password: string, own: readonly string[] = []): string | null {
  if (password.length < SHORTEST) return `A password has at least ${SHORTEST} characters.`;
  if (password.length > LONGEST) return `A password has at most ${LONGEST} characters.`;
  guesses ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  const { score } = guesses.check(password, [...own, "grand tally", "grandtally"]);
  return score < LEAST_SCORE
    ? "This password is among the first that are guessed. Take a few words that do not belong together."
    : null;
}
