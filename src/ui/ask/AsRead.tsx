import type { ReadingLine } from "@/contract/questions";
import { Brackets } from "./askStyle";
import { stretchesOf } from "./stretches";

/** How each stretch of a question was read: sure, doubtful, or left out. */
export const AsRead = ({ question, reading }: { question: string; reading: ReadingLine }) => (
  <Brackets aria-label="How it was read">
    {stretchesOf(question, reading).map(({ words, state, means, rule }, i) => (
      <li key={i} className={state}>
        <span>{words}</span>
        <b>{means}</b>
        {rule && <small>{rule}</small>}
      </li>
    ))}
  </Brackets>
);
