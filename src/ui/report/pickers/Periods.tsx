"use client";
import { useState } from "react";
import { type AskContext } from "@/core/catalog";

import { type Test } from "@/core/filter";

import {
  parsePeriod,
  periodDatesText,
  periodText,
  PERIOD_EXAMPLES,
  resolvePeriod,
} from "@/core/time";
import { DayField, Field as TextField, Choose } from "../../kit";

export function Periods({
  context,
  draft,
  count,
  onSet,
}: {
  context: AskContext;
  draft: Test;
  count: number;
  onSet: (test: Test) => void;
}) {
  const textAt = (i: number) => {
    const value = draft.values[i];
    return value?.kind === "period" ? periodText(value.period) : "";
  };
  const [texts, setTexts] = useState(() => Array.from({ length: count }, (_, i) => textAt(i)));
  const meant = (text: string) => {
    const parsed = parsePeriod(text);
    return parsed.ok
      ? periodDatesText(resolvePeriod(parsed.value, context.now, context.calendar))
      : null;
  };
  const change = (i: number, text: string) => {
    const next = texts.map((one, at) => (at === i ? text : one));
    setTexts(next);
    const parsed = next.map(parsePeriod);
    onSet({
      ...draft,
      values: parsed.every((one) => one.ok)
        ? parsed.map((one) => ({
            kind: "period",
            period: one.ok ? one.value : { kind: "day", which: "today" },
          }))
        : [],
    });
  };
  const isDay = /^\d{4}-\d\d-\d\d$/.test(texts[0]);
  return (
    <div>
      <div style={{ padding: "12px 12px 4px", display: "grid", gap: 8 }}>
        {texts.slice(0, count).map((text, i) => {
          const parsed = parsePeriod(text);
          return (
            <TextField
              key={i}
              label={count === 2 ? ["From", "Until"][i] : "A period, or a date as 2026-10-31"}
              value={text}
              onChange={(next) => change(i, next)}
              error={text && !parsed.ok ? parsed.problems[0].message : null}
              autoFocus={i === 0}
            />
          );
        })}
        {count === 1 && meant(texts[0]) && (
          <p style={{ color: "var(--ink-2)" }}>{meant(texts[0])}</p>
        )}
        {texts.slice(0, count).map((text, i) => (
          <DayField
            key={`day ${i}`}
            stacked
            label={
              count === 2
                ? ["From, by the calendar", "Until, by the calendar"][i]
                : "By the calendar"
            }
            value={isDay || count === 2 ? text : ""}
            onChange={(next) => change(i, next)}
          />
        ))}
      </div>
      {count === 1 && (
        <Choose
          label="A period"
          options={PERIOD_EXAMPLES.map((words) => ({
            value: words,
            label: words,
            about: meant(words) ?? "",
          }))}
          chosen={[texts[0]]}
          onChoose={(words) => change(0, words)}
        />
      )}
    </div>
  );
}
