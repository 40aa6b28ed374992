import type { DoubtedLine, TaughtLine } from "@/contract/questions";
import { fresh, unitOfWork, type EntityManager } from "../database";
import { DoubtedQuestion, TaughtWord } from "../entities";
import { isoText } from "./instants";
import type { Viewer } from "./names";

const lineOf = (word: {
  id: number;
  words: string;
  means: string;
  person?: { id: number } | null;
  by?: { name: string } | null;
}): TaughtLine => ({
  id: word.id,
  words: word.words,
  means: word.means,
  isForAll: !word.person,
  by: word.by?.name ?? null,
});

/** What words mean to somebody: what they chose themselves, and before it nothing; then what is so for everyone. */
export async function taughtFor(em: EntityManager, person: number): Promise<TaughtLine[]> {
  const words = await fresh(em).find(
    TaughtWord,
    { $or: [{ person }, { person: null }] },
    { populate: ["by"], orderBy: { words: "asc" } },
  );
  const own = new Set(words.flatMap((one) => (one.person ? [one.words.toLowerCase()] : [])));
  return words.filter((one) => one.person || !own.has(one.words.toLowerCase())).map(lineOf);
}

/** Says what words mean, in place of what was said before. */
export const teachWords = (
  em: EntityManager,
  viewer: Viewer,
  given: { readonly words: string; readonly means: string; readonly isForAll: boolean },
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    const person = given.isForAll ? null : viewer.person;
    const kept = (await unit.find(TaughtWord, { person })).find(
      ({ words }) => words.toLowerCase() === given.words.toLowerCase(),
    );
    const { words, means } = given;
    const taught = kept
      ? Object.assign(kept, { words, means, by: viewer.person })
      : unit.create(TaughtWord, { words, means, person, by: viewer.person });
    await unit.flush();
    return taught.id;
  });

/** @returns whether there was one that is theirs, or everyone's where they may change that */
export const forgetWords = (
  em: EntityManager,
  viewer: Viewer,
  id: number,
  mayForAll: boolean,
): Promise<boolean> =>
  unitOfWork(em, async (unit) => {
    const kept = await unit.findOne(TaughtWord, id);
    const isTheirs = kept?.person ? kept.person.id === viewer.person : mayForAll;
    if (kept && isTheirs) unit.remove(kept);
    return kept !== null && isTheirs;
  });

export const keepDoubted = (
  em: EntityManager,
  viewer: Viewer,
  question: string,
  chosen: string | null,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    unit.create(DoubtedQuestion, { question, person: viewer.person, chosen });
  });

const MOST_DOUBTED = 100;

/** The questions that were not understood for sure, the newest first. */
export async function doubtedQuestions(em: EntityManager): Promise<DoubtedLine[]> {
  const kept = await fresh(em).find(
    DoubtedQuestion,
    {},
    { populate: ["person"], orderBy: { id: "desc" }, limit: MOST_DOUBTED },
  );
  return kept.map(({ id, question, person, chosen, at }) => ({
    id,
    question,
    by: person.name,
    chosen: chosen ?? null,
    at: isoText(at),
  }));
}
