"use client";
import { lastOf, type AskContext, type SubjectId } from "@/core/catalog";

import {
  OPERATOR_IDS,
  operators,
  type Became,
  type Leaf,
  type OperatorId,
  type Test,
} from "@/core/filter";
import { isMoved, isOfItem } from "@/core/sentence";
import { Checkbox, Choose, type Option } from "../../kit";
import { Halves } from "./parts";
import { PeriodField } from "./PeriodField";
import { Operand, keptValues } from "./Operand";
import { BecameEditor } from "./BecameEditor";
import { type EditorProps } from "./TestEditor";

/** How a field is tested: its value now, its value at the end of a day, or that it became one. */
export type How = OperatorId | "became";

export function FieldEditor({
  context,
  report,
  except,
  leaf,
  onSet,
}: Omit<EditorProps, "leaf"> & { leaf: Test | Became; onSet: (leaf: Leaf) => void }) {
  const subject: SubjectId = report.subject.id;
  const path = context.catalog.findPath(subject, leaf.field);
  if (!path) return <p style={{ padding: 14 }}>This field is gone; take the condition out.</p>;
  const field = lastOf(path);
  const how: How = leaf.kind === "became" ? "became" : leaf.operator;
  const fitting = OPERATOR_IDS.filter((id) => operators[id].fits(field));
  const options: Option<How>[] = [
    ...fitting.map((id) => ({ value: id as How, label: operators[id].words })),
    ...(isMoved(path, subject) ? [{ value: "became" as How, label: "became" }] : []),
  ];
  const choose = (next: How) => {
    if (next === "became")
      onSet({
        kind: "became",
        field: [...leaf.field],
        to: (leaf.kind === "test" ? leaf.values[0] : leaf.to) ?? { kind: "unset" },
      });
    else
      onSet(
        leaf.kind === "became"
          ? { kind: "test", field: leaf.field, operator: next, values: [] }
          : { ...leaf, operator: next, values: keptValues(leaf, next) },
      );
  };
  return (
    <>
      <Halves>
        <div className="left">
          <Choose<How> label={field.words} options={options} chosen={[how]} onChoose={choose} />
        </div>
        {leaf.kind === "became" ? (
          <BecameEditor {...{ context, report, except, leaf, field, onSet }} />
        ) : (
          <Operand
            context={context}
            report={report}
            except={except}
            path={path}
            draft={leaf}
            onSet={onSet}
          />
        )}
      </Halves>
      {leaf.kind === "test" && isOfItem(path, subject) && (
        <AsOf context={context} leaf={leaf} onSet={onSet} />
      )}
    </>
  );
}

function AsOf({
  context,
  leaf,
  onSet,
}: {
  context: AskContext;
  leaf: Test;
  onSet: (leaf: Leaf) => void;
}) {
  const { asOf, ...now } = leaf;
  return (
    <div style={{ padding: "4px 14px", display: "flex", gap: 10, alignItems: "flex-end" }}>
      <Checkbox
        isSelected={asOf !== undefined}
        onChange={(on) => onSet(on ? { ...leaf, asOf: { kind: "day", which: "yesterday" } } : now)}
      >
        As of an earlier date
      </Checkbox>
      {asOf && (
        <PeriodField
          context={context}
          label="Its value at the end of"
          period={asOf}
          onPeriod={(period) => period && onSet({ ...leaf, asOf: period })}
        />
      )}
    </div>
  );
}
