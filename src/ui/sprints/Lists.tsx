"use client";
import type { ShownSprint } from "@/contract/figures";
import Link from "next/link";
import type { ReactNode } from "react";
import { Exact } from "@/core/base";
import type { WorkUnit } from "@/core/definition";

import { Below } from "./sprintStyle";

const MOST = 7;
const LISTS = [
  ["finished", "Finished", "Nothing is finished yet."],
  ["open", "Still open", "Nothing is open any more."],
  ["out", "Taken out", "Nothing was taken out."],
] as const;

/** Where the items of a sprint stand, and beside them when it may be done. */
export function Lists({
  sprint,
  words,
  unit,
  onAll,
  children,
}: {
  sprint: ShownSprint;
  words: (amount: string | null) => string;
  unit: WorkUnit;
  onAll: (path: string, title: string) => void;
  children: ReactNode;
}) {
  const unitWords = unit === "points" ? " points" : "";
  return (
    <Below>
      {LISTS.map(([id, title, none]) => {
        const items = sprint[id];
        const weight = items
          .reduce((sum, item) => sum.plus(item.amount ?? 0), new Exact(0))
          .toFixed();
        const missing = items.filter((item) => item.amount === null).length;
        return (
          <section key={id} aria-label={title}>
            <div className="head">
              <h2>{title}</h2>
              <small>
                {items.length === 1 ? "1 item" : `${items.length} items`}
                {unit === "count" ? "" : `, ${words(weight)}${unitWords}`}
              </small>
            </div>
            {items.length === 0 ? (
              <p className="none">{none}</p>
            ) : (
              <ul>
                {items.slice(0, MOST).map((item) => (
                  <li key={item.key}>
                    <Link
                      href={`/items/${item.key}`}
                      title={item.assignee ? `${item.title} (${item.assignee})` : item.title}
                    >
                      <b>{item.key}</b>
                      <span>{item.title}</span>
                    </Link>
                    {unit !== "count" && <b>{words(item.amount)}</b>}
                  </li>
                ))}
              </ul>
            )}
            {items.length > 0 && (
              <button className="more" onClick={() => onAll(id, `${title} in this sprint`)}>
                {items.length > MOST ? `${items.length - MOST} more` : "Open them"}
                {missing > 0 && unit !== "count" ? `, ${missing} not estimated` : ""}
              </button>
            )}
          </section>
        );
      })}
      {children}
    </Below>
  );
}
