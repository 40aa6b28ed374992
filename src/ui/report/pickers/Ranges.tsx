"use client";
import { useState } from "react";
import type { Group } from "@/core/definition";
import { Button, Field } from "../../kit";

/** Ranges of a number: even ones, or borders of one's own. */
export function Ranges({
  group,
  unit,
  onGroup,
}: {
  group: Group;
  unit: string | null;
  onGroup: (group: Group) => void;
}) {
  const [text, setText] = useState(group.ranges?.join(", ") ?? "");
  const read = (words: string) => words.split(/[,;\s]+/).filter(Boolean);
  const isFine = (borders: readonly string[]) =>
    borders.every((one) => /^-?\d+(\.\d+)?$/.test(one)) &&
    borders.every((one, i) => i === 0 || Number(one) > Number(borders[i - 1]));
  const put = (words: string) => {
    setText(words);
    const borders = read(words);
    const { ranges: _r, folds: _f, without: _w, ...rest } = group;
    if (borders.length === 0) onGroup(rest);
    else if (isFine(borders) && borders.length <= 50) onGroup({ ...rest, ranges: borders });
  };
  const even = (step: number) =>
    put(Array.from({ length: 5 }, (_, i) => String(step * (i + 1))).join(", "));
  const borders = read(text);
  return (
    <div>
      <Field
        label={`In ranges with these borders${unit ? `, in ${unit}` : ""} (empty: each number)`}
        value={text}
        placeholder="2, 7, 30"
        onChange={put}
        error={
          borders.length && !isFine(borders) ? "Write numbers that rise, such as 2, 7, 30." : null
        }
      />
      <div style={{ display: "flex", gap: 4, paddingTop: 4 }}>
        <span style={{ color: "var(--ink-2)", fontSize: 12.5, alignSelf: "center" }}>Even:</span>
        {[1, 5, 10, 50].map((step) => (
          <Button key={step} $small onPress={() => even(step)}>
            by {step}
          </Button>
        ))}
      </div>
    </div>
  );
}
