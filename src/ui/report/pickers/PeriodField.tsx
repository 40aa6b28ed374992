"use client";
import { useState } from "react";
import { type AskContext } from "@/core/catalog";

import { parsePeriod, periodDatesText, periodText, resolvePeriod, type Period } from "@/core/time";
import { Field as TextField } from "../../kit";

/** A period or a date, with the dates it means beside it. */
export function PeriodField({
  context,
  label,
  period,
  onPeriod,
}: {
  context: AskContext;
  label: string;
  period: Period | undefined;
  onPeriod: (period: Period | undefined) => void;
}) {
  const [text, setText] = useState(period ? periodText(period) : "");
  const parsed = parsePeriod(text);
  const change = (next: string) => {
    setText(next);
    const read = parsePeriod(next);
    if (!next.trim()) onPeriod(undefined);
    else if (read.ok) onPeriod(read.value);
  };
  return (
    <div>
      <TextField
        label={label}
        value={text}
        onChange={change}
        error={text.trim() && !parsed.ok ? parsed.problems[0].message : null}
      />
      {parsed.ok && text.trim() && (
        <small style={{ color: "var(--ink-2)" }}>
          {periodDatesText(resolvePeriod(parsed.value, context.now, context.calendar))}
        </small>
      )}
    </div>
  );
}
