"use client";
import { useQueryClient } from "@tanstack/react-query";
import type { ReadingLine } from "@/contract/questions";
import { ask, Button, tell } from "../kit";
import { Brackets } from "./askStyle";
import { stretchesOf } from "./stretches";

/** How each stretch of a question was read: sure, doubtful, or left out; what was taught can be forgotten. */
export function AsRead({ reading }: { reading: ReadingLine }) {
  const client = useQueryClient();
  const forget = async (words: string) => {
    try {
      const { taught } = await ask("words", {});
      const same = taught.find((one) => one.words.toLowerCase() === words.toLowerCase());
      if (same) await ask("forget", { id: same.id });
      await client.invalidateQueries({ queryKey: ["readQuestion"] });
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <Brackets aria-label="How it was read">
      {stretchesOf(reading).map(({ words, state, means, rule, isTaught }, i) => (
        <li key={i} className={state}>
          <span>{words}</span>
          <b>{means}</b>
          {rule && <small>{rule}</small>}
          {isTaught && (
            <Button
              $small
              aria-label={`Forget what ${words} means`}
              onPress={() => void forget(words)}
            >
              Forget
            </Button>
          )}
        </li>
      ))}
    </Brackets>
  );
}
