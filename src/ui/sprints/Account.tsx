"use client";
import type { ShownSprint, SprintEntry } from "@/contract/figures";
import { ChevronRight } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { WorkUnit } from "@/core/definition";
import type { AccountLine } from "@/core/history";

import { countWords, lineName, shortDay, signedWords, sumOf } from "./accountLines";
import { Sand } from "./accountStyle";

const FIRST = 8;

interface AccountProps {
  readonly sprint: ShownSprint;
  readonly unit: WorkUnit;
  readonly zone: string;
  /** Opens a line as records. */
  readonly onRecords: (line: AccountLine, title: string) => void;
}

/** What was committed, each cause that changed it and what is left, as an account that adds up; each line opens in its place to its items. */
export function Account({ sprint, unit, zone, onRecords }: AccountProps) {
  const [opened, setOpened] = useState<AccountLine | null>(null);
  return (
    <Sand aria-label="Scope ledger">
      <h2>Scope ledger</h2>
      {sprint.account.length === 0 && <p className="quiet">It opens when the sprint begins.</p>}
      {sprint.account
        .filter(({ line, entries }) => entries.length > 0 || line !== "finished before")
        .map(({ line, entries }) => {
          const name = lineName(line, sprint, zone);
          const isOpen = opened === line;
          return (
            <section key={line} className={line.replace(" ", "-")}>
              <button
                aria-expanded={isOpen}
                disabled={entries.length === 0}
                onClick={() => setOpened(isOpen ? null : line)}
              >
                <ChevronRight size={15} aria-hidden />
                <span className="name">
                  {name} {entries.length > 0 && <small>{countWords(entries, unit)}</small>}
                </span>
                <b>{signedWords(line, sumOf(entries), unit)}</b>
              </button>
              {isOpen && (
                <Entries
                  line={line}
                  name={name}
                  entries={entries}
                  unit={unit}
                  zone={zone}
                  onRecords={onRecords}
                />
              )}
            </section>
          );
        })}
    </Sand>
  );
}

interface EntriesProps extends Pick<AccountProps, "unit" | "zone" | "onRecords"> {
  readonly line: AccountLine;
  readonly name: string;
  readonly entries: readonly SprintEntry[];
}

/** The items of one line: with what each weighs, when it came or went and by whom. */
function Entries({ line, name, entries, unit, zone, onRecords }: EntriesProps) {
  const [all, setAll] = useState(false);
  const shown = all ? entries : entries.slice(0, FIRST);
  return (
    <>
      <ul aria-label={name}>
        {shown.map((entry, place) => (
          <li key={`${entry.key} ${place}`}>
            <Link href={`/items/${entry.key}`} title={entry.title}>
              <b>{entry.key}</b> {entry.title}
            </Link>
            <b>{signedWords(line, entry.amount, unit)}</b>
            <small>{aboutEntry(entry, line, zone)}</small>
          </li>
        ))}
      </ul>
      <div className="more">
        {entries.length > FIRST && (
          <button onClick={() => setAll(!all)}>
            {all ? `Only the first ${FIRST}` : `All ${entries.length}`}
          </button>
        )}
        <button onClick={() => onRecords(line, `${name}, ${countWords(entries, unit)}`)}>
          As records
        </button>
      </div>
    </>
  );
}

function aboutEntry({ at, by, assignee, isCarried }: SprintEntry, line: AccountLine, zone: string) {
  if (at !== null) return [shortDay(at, zone), by && `by ${by}`].filter(Boolean).join(" ");
  const who = assignee ?? "nobody";
  return isCarried && line === "remaining" ? `${who}, carried over` : who;
}
