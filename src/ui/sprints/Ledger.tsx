"use client";
import type { ShownSprint } from "@/contract/figures";
import Link from "next/link";
import { useState } from "react";
import { CAUSES, type Cause } from "@/core/history";
import { clockText, dayText, localDay, weekdayOf, WEEKDAYS } from "@/core/time";

import { Sand } from "./sprintStyle";

const SIGNS: Readonly<Record<Cause, "+" | "−" | "">> = {
  added: "+",
  removed: "−",
  finished: "−",
  reopened: "+",
  "re-estimated": "",
};
const FIRST = 4;

/** What was committed, each cause that changed it, and what is left: an account that adds up; then every change with its hour and who made it. */
export function Ledger({
  sprint,
  words,
  zone,
}: {
  sprint: ShownSprint;
  words: (amount: string | null) => string;
  zone: string;
}) {
  const [all, setAll] = useState(false);
  const { answer } = sprint.shown;
  if (answer.kind !== "burndown" || !answer.burndown)
    return (
      <Sand aria-label="Scope ledger">
        <h2>Scope ledger</h2>
        <p style={{ color: "var(--ink-2)" }}>It opens when the sprint begins.</p>
      </Sand>
    );
  const { burndown, span } = answer;
  const day = (at: number) => {
    const local = localDay(at, zone);
    return `${WEEKDAYS[weekdayOf(local) - 1].slice(0, 3)} ${dayText(local).replace(/ \d{4}$/, "")}`;
  };
  const shown = all ? sprint.ledger : sprint.ledger.slice(0, FIRST);
  const signed = (cause: Cause, amount: string) =>
    cause === "re-estimated"
      ? `${amount.startsWith("-") ? "− " : "+ "}${words(amount.replace("-", ""))}`
      : `${SIGNS[cause]} ${words(amount)}`;
  return (
    <Sand aria-label="Scope ledger">
      <h2>Scope ledger</h2>
      <dl>
        <dt>committed on {day(burndown.start)}</dt>
        <dd>{words(burndown.committed)}</dd>
        {CAUSES.filter((cause) => cause !== "re-estimated" || burndown.totals[cause] !== "0").map(
          (cause) => (
            <LedgerLine
              key={cause}
              name={cause}
              value={burndown.totals[cause] === "0" ? "0" : signed(cause, burndown.totals[cause])}
            />
          ),
        )}
        <dt className="sum">
          left{" "}
          {span?.closed === null ? `at ${clockText(burndown.until, zone)}` : "when it was closed"}
        </dt>
        <dd className="sum">{words(burndown.remaining)}</dd>
      </dl>
      <ol aria-label="Changes of scope, the latest first">
        {shown.map((change, i) => (
          <li key={`${change.key} ${change.at} ${i}`}>
            <small>
              {day(change.at)}
              <br />
              {clockText(change.at, zone)}
            </small>
            <span style={{ minWidth: 0 }}>
              <Link href={`/items/${change.key}`} title={change.title}>
                {change.title || change.key}
              </Link>
              <small>
                {change.cause}
                {change.by ? ` by ${change.by}` : ""}
              </small>
            </span>
            <b>{signed(change.cause, change.amount)}</b>
          </li>
        ))}
      </ol>
      {sprint.ledger.length === 0 && (
        <p style={{ color: "var(--ink-2)", paddingTop: 8 }}>
          Nothing came in or went out since it began.
        </p>
      )}
      {sprint.ledger.length > FIRST && (
        <button className="more" aria-expanded={all} onClick={() => setAll(!all)}>
          {all
            ? "Only the latest"
            : `${sprint.ledger.length - FIRST} more change${sprint.ledger.length - FIRST === 1 ? "" : "s"} of scope`}
        </button>
      )}
    </Sand>
  );
}

const LedgerLine = ({ name, value }: { name: string; value: string }) => (
  <>
    <dt>{name}</dt>
    <dd>{value}</dd>
  </>
);
