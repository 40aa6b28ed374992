import { fine, refused, type Result } from "@/core/base";
import { parseSentence } from "@/core/kinds";
import { readQuestion } from "@/core/plain";
import {
  doubtedQuestions,
  forgetWords,
  keepDoubted,
  taughtFor,
  teachWords,
  type EntityManager,
} from "@/data";
import type { TaughtLine, WordsShown } from "@/contract/questions";
import { mayBuild } from "../library/kept";
import type { Desk } from "../viewer/viewpoint";

/**
 * What words mean to whoever asks. What names something that they may not know is not theirs to see, and reads as nothing:
 * the same as what is gone.
 */
export async function taughtTo(em: EntityManager, desk: Desk): Promise<TaughtLine[]> {
  const taught = await taughtFor(em, desk.viewer.person);
  return taught.filter(({ means }) => conditionOf(means, desk).ok);
}

const conditionOf = (means: string, { view }: Desk) =>
  parseSentence(`list items where ${means}`, view);

/** Says what words of the desk mean: a condition over items, for oneself or, where one may build, for everyone. */
export async function teach(
  em: EntityManager,
  desk: Desk,
  given: { words: string; means: string; forAll: boolean },
): Promise<Result<number>> {
  if (given.forAll && !mayBuild(desk.viewer))
    return refused({
      code: "words.right",
      message: "Only builders say what words mean for everyone; you can for yourself.",
    });
  const parsed = conditionOf(given.means, desk);
  if (!parsed.ok || parsed.value.kind !== "list" || !parsed.value.where)
    return refused({
      code: "words.means",
      message: parsed.ok
        ? "Say a condition, such as priority is P1."
        : `Say a condition, such as priority is P1: ${parsed.problems[0].message}.`,
      path: "means",
    });
  return fine(await teachWords(em, desk.viewer, { ...given, isForAll: given.forAll }));
}

export const forget = async (em: EntityManager, desk: Desk, id: number): Promise<Result<true>> =>
  (await forgetWords(em, desk.viewer, id, mayBuild(desk.viewer)))
    ? fine(true as const)
    : refused({ code: "words.gone", message: "There is no such word, or it is everyone's." });

/** Keeps a question that is not understood for sure, with what was opened in its place; one that is sure is not kept. */
export async function noteDoubted(
  em: EntityManager,
  desk: Desk,
  question: string,
  chosen: string | null,
): Promise<void> {
  const asked = question.trim();
  const [best] = readQuestion(asked, desk.view, await taughtTo(em, desk));
  if (asked && !best?.isSure) await keepDoubted(em, desk.viewer, asked, chosen);
}

/** What words mean to whoever asks; the questions that were doubted are for administrators. */
export async function wordsShown(em: EntityManager, desk: Desk): Promise<WordsShown> {
  return {
    taught: await taughtTo(em, desk),
    doubted: desk.viewer.role === "administrator" ? await doubtedQuestions(em) : [],
  };
}
