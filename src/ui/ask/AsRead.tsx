"use client";
import { useQuery } from "@tanstack/react-query";
import type { ReadingLine, TaughtLine } from "@/contract/questions";
import { ask, Button } from "../kit";
import { Brackets } from "./askStyle";
import { stretchesOf } from "./stretches";
import { useTeaching } from "./useTeaching";

interface AsReadProps {
  readonly reading: ReadingLine;
  /** Whoever builds may say what words mean for everyone. */
  readonly mayBuild: boolean;
  /** Something was forgotten or kept, and its key may be gone. */
  readonly onDone: () => void;
}

/** How each stretch of a question was read: sure, doubtful, or left out; what was taught can be forgotten, or kept for everyone. */
export function AsRead({ reading, ...keys }: AsReadProps) {
  const stretches = stretchesOf(reading);
  return (
    <Brackets aria-label="How it was read">
      {stretches.map(({ words, state, means, rule, isTaught }, i) => (
        <li key={i} className={state}>
          <span>{words}</span>
          <b>{means}</b>
          {rule && <small>{rule}</small>}
          {isTaught && <TaughtKeys words={words} {...keys} />}
        </li>
      ))}
    </Brackets>
  );
}

const isSame = (words: string) => (one: TaughtLine) =>
  one.words.toLowerCase() === words.toLowerCase();

/** What can be done with a word that somebody taught. */
function TaughtKeys({ words, mayBuild, onDone }: Omit<AsReadProps, "reading"> & { words: string }) {
  const { busy, forget, keepForAll } = useTeaching(onDone);
  const { data } = useQuery({
    queryKey: ["words"],
    queryFn: ({ signal }) => ask("words", {}, signal),
  });
  // One's own comes before everyone's.
  const same = data?.taught.filter(isSame(words)) ?? [];
  const taught = same.find(({ isForAll }) => !isForAll) ?? same[0];
  if (!taught) return null;
  return (
    <>
      {(!taught.isForAll || mayBuild) && (
        <Button
          $small
          isDisabled={busy}
          aria-label={`Forget what ${words} means`}
          onPress={() => void forget(taught.id)}
        >
          Forget
        </Button>
      )}
      {!taught.isForAll && mayBuild && (
        <Button
          $small
          isDisabled={busy}
          aria-label={`Keep what ${words} means for everyone`}
          onPress={() => void keepForAll([taught])}
        >
          For everyone
        </Button>
      )}
    </>
  );
}
