"use client";
import type { Report } from "@/core/kinds";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { useState } from "react";
import { type AskContext } from "@/core/catalog";
import type { Group } from "@/core/definition";
import { conditionText, parseConditionText } from "@/core/sentence";
import { Button, Field } from "../../kit";

/** Cases: named conditions in order; a record belongs to the first that fits. */
export function Cases({
  context,
  report,
  group,
  onGroup,
}: {
  context: AskContext;
  report: Report;
  group: Group;
  onGroup: (group: Group) => void;
}) {
  const [lines, setLines] = useState(() =>
    group.cases!.map((one) => ({
      name: one.name,
      text: conditionText(one.where, context.catalog, report.subject.id),
    })),
  );
  const put = (next: typeof lines) => {
    setLines(next);
    const parsed = next.map((line) => parseConditionText(line.text, report.subject.id, context));
    const names = new Set(next.map((line) => line.name.trim()));
    if (parsed.every((one) => one.ok) && names.size === next.length && !names.has(""))
      onGroup({
        ...group,
        cases: next.map((line, i) => {
          const one = parsed[i];
          return { name: line.name.trim(), where: one.ok ? one.value : group.cases![0].where };
        }),
      });
  };
  const move = (i: number, by: number) => {
    const next = [...lines];
    [next[i], next[i + by]] = [next[i + by], next[i]];
    put(next);
  };
  return (
    <div
      style={{ padding: "8px 12px", display: "grid", gap: 8, borderTop: "1px solid var(--line)" }}
    >
      {lines.map((line, i) => {
        const parsed = line.text.trim()
          ? parseConditionText(line.text, report.subject.id, context)
          : null;
        return (
          <div
            key={i}
            style={{
              display: "grid",
              gridTemplateColumns: "minmax(0, 1fr) auto",
              gap: "2px 6px",
              background: "var(--mallow)",
              padding: 8,
            }}
          >
            <Field
              hideLabel
              label={`Name of case ${i + 1}`}
              value={line.name}
              onChange={(name) => put(lines.map((one, n) => (n === i ? { ...one, name } : one)))}
              error={
                !line.name.trim()
                  ? "A case needs a name."
                  : lines.some((one, n) => n < i && one.name.trim() === line.name.trim())
                    ? "Two cases have this name."
                    : null
              }
            />
            <span style={{ display: "flex" }}>
              <Button $small $icon aria-label="Up" isDisabled={i === 0} onPress={() => move(i, -1)}>
                <ArrowUp aria-hidden />
              </Button>
              <Button
                $small
                $icon
                aria-label="Down"
                isDisabled={i === lines.length - 1}
                onPress={() => move(i, 1)}
              >
                <ArrowDown aria-hidden />
              </Button>
              <Button
                $small
                $icon
                aria-label="Take it out"
                isDisabled={lines.length === 1}
                onPress={() => put(lines.filter((_, n) => n !== i))}
              >
                <X aria-hidden />
              </Button>
            </span>
            <Field
              hideLabel
              label={`Condition of ${line.name || `case ${i + 1}`}`}
              value={line.text}
              placeholder="priority is P1 and due before today"
              onChange={(text) => put(lines.map((one, n) => (n === i ? { ...one, text } : one)))}
              error={!parsed ? "Say which ones." : parsed.ok ? null : parsed.problems[0].message}
            />
          </div>
        );
      })}
      <Button
        $small
        onPress={() => setLines([...lines, { name: `Case ${lines.length + 1}`, text: "" }])}
      >
        + Case
      </Button>
      <p style={{ color: "var(--ink-2)", fontSize: 12.5 }}>
        The first case that fits takes a record; all others are the rest.
      </p>
    </div>
  );
}
