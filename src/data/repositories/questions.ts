import type { DoubtedLine, TaughtLine } from "@/contract/questions";
import { fresh, LockMode, unitOfWork, type EntityManager } from "../database";
import { DoubtedQuestion, TaughtWord, Workspace } from "../entities";
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

/** Words that one person, or everyone, has at most: the oldest go. */
const MOST_WORDS = 300;

/** Says what words mean, in place of what was said before. */
export const teachWords = (
  em: EntityManager,
  viewer: Viewer,
  given: { readonly words: string; readonly means: string; readonly isForAll: boolean },
): Promise<number> =>
  unitOfWork(em, async (unit) => {
    // Two who say the same at once come one after the other.
    await unit.findOneOrFail(Workspace, 1, { lockMode: LockMode.PESSIMISTIC_WRITE });
    const person = given.isForAll ? null : viewer.person;
    // What is said for everyone holds for whoever says it, too.
    if (given.isForAll) {
      const own = await unit.find(TaughtWord, { person: viewer.person });
      own.filter(isCalled(given.words)).forEach((one) => unit.remove(one));
    }
    const said = await unit.find(TaughtWord, { person }, { orderBy: { id: "asc" } });
    const kept = said.find(isCalled(given.words));
    const { words, means } = given;
    const taught = kept
      ? Object.assign(kept, { words, means, by: viewer.person })
      : unit.create(TaughtWord, { words, means, person, by: viewer.person });
    if (!kept && said.length >= MOST_WORDS) unit.remove(said[0]);
    await unit.flush();
    return taught.id;
  });

const isCalled =
  (words: string) =>
  (taught: { words: string }): boolean =>
    taught.words.toLowerCase() === words.toLowerCase();

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

/** Questions in doubt that are kept of one person, and shown in all, at most. */
const MOST_DOUBTED = 100;

/** Keeps a question with what was opened in its place; the same again takes the place of the one before. */
export const keepDoubted = (
  em: EntityManager,
  viewer: Viewer,
  question: string,
  chosen: string | null,
): Promise<void> =>
  unitOfWork(em, async (unit) => {
    const { person } = viewer;
    await unit.nativeDelete(DoubtedQuestion, { person, question });
    unit.create(DoubtedQuestion, { question, person, chosen });
    await unit.flush();
    const kept = await unit.find(DoubtedQuestion, { person }, { orderBy: { id: "desc" } });
    for (const old of kept.slice(MOST_DOUBTED)) unit.remove(old);
  });

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
