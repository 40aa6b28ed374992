"use client";
import type { Report } from "@/core/kinds";
import { lastOf, type AskContext, type FieldPath } from "@/core/catalog";

import { operators, type OperatorId, type Test, type Value } from "@/core/filter";
import { Field as TextField } from "../../kit";
import { sameValue } from "./values";
import { Names } from "./Names";
import { Numbers } from "./Numbers";
import { Periods } from "./Periods";

/** Values that still make sense under another operator. */
export function keptValues(test: Test, operator: OperatorId): readonly Value[] {
  const [before, next] = [operators[test.operator].takes, operators[operator].takes];
  const family = {
    value: "names",
    values: "names",
    day: "time",
    period: "time",
    number: "number",
    text: "text",
  } as Partial<Record<typeof next, string>>;
  if (!family[before] || family[before] !== family[next]) return [];
  return next === "value" ? test.values.slice(0, 1) : test.values;
}

export function Operand({
  context,
  report,
  except,
  path,
  draft,
  onSet,
}: {
  context: AskContext;
  report: Report;
  except: number | null;
  path: FieldPath;
  draft: Test;
  onSet: (test: Test) => void;
}) {
  const field = lastOf(path);
  const { takes } = operators[draft.operator];
  if (takes === "nothing")
    return <p className="says">{field.words} has nothing more to say here.</p>;
  if (takes === "text")
    return (
      <div style={{ padding: 12 }}>
        <TextField
          label="Text"
          value={draft.values[0]?.kind === "text" ? draft.values[0].text : ""}
          onChange={(text) => onSet({ ...draft, values: text ? [{ kind: "text", text }] : [] })}
          autoFocus
        />
      </div>
    );
  if (takes === "number" || takes === "numbers")
    return (
      <Numbers field={field} draft={draft} count={takes === "numbers" ? 2 : 1} onSet={onSet} />
    );
  if (takes === "day" || takes === "period" || takes === "days")
    return (
      <Periods context={context} draft={draft} count={takes === "days" ? 2 : 1} onSet={onSet} />
    );
  const many = takes === "values";
  const choose = (value: Value) => {
    const has = draft.values.some((one) => sameValue(one, value));
    onSet({
      ...draft,
      values: !many
        ? [value]
        : has
          ? draft.values.filter((one) => !sameValue(one, value))
          : [...draft.values, value],
    });
  };
  return (
    <Names
      report={report}
      except={except}
      field={field}
      ids={draft.field}
      chosen={draft.values}
      many={many}
      onChoose={choose}
    />
  );
}
