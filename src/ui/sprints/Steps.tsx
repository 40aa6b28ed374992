"use client";
import type { ShownSprint } from "@/contract/figures";
import Link from "next/link";
import { useState } from "react";
import type { WorkUnit } from "@/core/definition";
import { clockText } from "@/core/time";

import { amountWords, shortDay, signedWords } from "./accountLines";
import { StepTable } from "./stepStyle";

const FIRST = 10;

/** Every step of the account, the latest first, with what remained after it: the first row is the figure of the chart. */
export function Steps({
  sprint: { steps },
  unit,
  zone,
}: {
  sprint: ShownSprint;
  unit: WorkUnit;
  zone: string;
}) {
  const [all, setAll] = useState(false);
  const latest = [...steps].reverse();
  return (
    <section className="steps" aria-label="Step by step">
      <h2>Step by step</h2>
      {steps.length === 0 ? (
        <p className="none">Nothing came in, went out or was finished since it began.</p>
      ) : (
        <StepTable>
          <thead>
            <tr>
              <th scope="col">when</th>
              <th scope="col">step</th>
              <th scope="col">item</th>
              <th scope="col">by</th>
              <th scope="col" className="number">
                changes it by
              </th>
              <th scope="col" className="number">
                left after it
              </th>
            </tr>
          </thead>
          <tbody>
            {(all ? latest : latest.slice(0, FIRST)).map((step, place) => (
              <tr key={`${step.key} ${step.at} ${place}`}>
                <td>
                  {shortDay(step.at, zone)}, {clockText(step.at, zone)}
                </td>
                <td>{step.cause}</td>
                <td className="item">
                  <Link href={`/items/${step.key}`} title={step.title}>
                    <b>{step.key}</b> {step.title}
                  </Link>
                </td>
                <td>{step.by ?? "–"}</td>
                <td className="number">{signedWords(step.cause, step.amount, unit)}</td>
                <td className="number">{amountWords(step.remaining, unit)}</td>
              </tr>
            ))}
          </tbody>
        </StepTable>
      )}
      {steps.length > FIRST && (
        <button className="more" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "Only the latest" : `All ${steps.length} steps`}
        </button>
      )}
    </section>
  );
}
