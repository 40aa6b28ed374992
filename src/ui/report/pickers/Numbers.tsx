"use client";
import { useState } from "react";
import { UNITS, type Field, type Unit } from "@/core/catalog";

import { type Test } from "@/core/filter";
import { Checkbox, Choice, Field as TextField } from "../../kit";

const NUMBER = /^-?\d+(\.\d+)?$/;

export function Numbers({
  field,
  draft,
  count,
  onSet,
}: {
  field: Field;
  draft: Test;
  count: number;
  onSet: (test: Test) => void;
}) {
  const [texts, setTexts] = useState(() =>
    Array.from({ length: count }, (_, i) => {
      const value = draft.values[i];
      return value?.kind === "number" ? value.number : "";
    }),
  );
  const first = draft.values.find((value) => value.kind === "number");
  const unit = (first?.kind === "number" ? first.unit : undefined) ?? field.unit ?? "minutes";
  const [working, setWorking] = useState(first?.kind === "number" && first.working === true);
  const set = (next: readonly string[], inUnit: Unit, inWorking: boolean) =>
    onSet({
      ...draft,
      values: next.every((text) => NUMBER.test(text))
        ? next.map((number) => ({
            kind: "number",
            number,
            ...(field.type === "duration" ? { unit: inUnit } : {}),
            ...(inWorking ? { working: true as const } : {}),
          }))
        : [],
    });
  const change = (i: number, text: string) => {
    const next = texts.map((one, at) => (at === i ? text.trim() : one));
    setTexts(next);
    set(next, unit, working);
  };
  return (
    <div style={{ padding: 12, display: "grid", gap: 10 }}>
      {texts.slice(0, count).map((text, i) => (
        <TextField
          key={i}
          label={count === 2 ? ["From", "To"][i] : "Number"}
          value={text}
          onChange={(next) => change(i, next)}
          error={text !== "" && !NUMBER.test(text) ? `"${text}" is not a number` : null}
          autoFocus={i === 0}
        />
      ))}
      {field.type === "duration" && (
        <Choice<Unit>
          label="In"
          value={unit}
          options={UNITS.map((one) => [one, one] as const)}
          onChange={(next) => set(texts, next, working)}
        />
      )}
      {field.timed && (
        <Checkbox
          isSelected={working}
          onChange={(on) => {
            setWorking(on);
            set(texts, unit, on);
          }}
        >
          Working time
        </Checkbox>
      )}
    </div>
  );
}
