"use client";
import type { Report } from "@/core/kinds";
import { RotateCcw } from "lucide-react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import { topParts, type Test } from "@/core/filter";
import { conditionText, fieldText, parseConditionText } from "@/core/sentence";
import { Button, Opens } from "../kit";
import { isOn, type Chosen } from "./asRead";
import { TestEditor } from "./later";

const Strip = styled.section`
  background: var(--sand);
  padding: 8px 32px 9px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  font: 470 19px/28px var(--serif);
  i {
    font-weight: 400;
    color: var(--ink-3);
  }
  .choice {
    font: inherit;
    color: var(--ink);
    background: var(--salt);
    box-shadow: inset 0 -2px 0 var(--plum);
    padding: 0 10px;
    min-height: 30px;
    height: auto;
  }
  small {
    font: 400 12px/16px var(--sans);
    color: var(--ink-2);
  }
  @media (max-width: 900px) {
    padding: 8px 16px;
  }
`;

/** Inputs above the figure for the conditions that readers may change, each with the builder's value to go back to. */
export function Readers({
  context,
  report,
  dress,
  chosen,
  onChoose,
}: {
  context: AskContext;
  report: Report;
  dress: Dress;
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
}) {
  const shown = dress.readers.flatMap((reader) => {
    const index = topParts(report.where).findIndex((part) => isOn(part, reader.field));
    return index < 0 ? [] : [{ ...reader, index, own: topParts(report.where)[index] as Test }];
  });
  if (shown.length === 0) return null;
  const put = (field: string, text: string | null) => {
    const { [field]: _old, ...rest } = chosen;
    onChoose(text === null ? rest : { ...rest, [field]: text });
  };
  const changed = shown.filter(({ field }) => chosen[field] !== undefined).length;
  return (
    <Strip aria-label="Your choice">
      <i>where</i>
      {shown.map(({ field, label, own, index }, i) => {
        const read =
          chosen[field] === undefined
            ? null
            : parseConditionText(chosen[field], report.subject.id, context);
        const now = read?.ok && read.value.kind === "test" ? read.value : own;
        const words = conditionText(now, context.catalog, report.subject.id);
        const name = label ?? fieldText(context.catalog, report.subject.id, field.split("/"));
        return (
          <span
            key={field}
            style={{ display: "inline-flex", gap: 6, alignItems: "baseline", flexWrap: "wrap" }}
          >
            {i > 0 && <i>and</i>}
            <Opens
              label={name}
              placement="bottom start"
              button={
                <Button className="choice" aria-label={`${name}: ${words}. Change it`}>
                  {label ? `${label}: ${words}` : words}
                </Button>
              }
            >
              {(close) => (
                <TestEditor
                  context={context}
                  report={report}
                  except={index}
                  leaf={now}
                  onLeaf={(leaf) =>
                    put(field, conditionText(leaf, context.catalog, report.subject.id))
                  }
                  onDone={close}
                />
              )}
            </Opens>
            {chosen[field] !== undefined && (
              <>
                <Button
                  $small
                  $icon
                  aria-label={`${name} as its builder said`}
                  onPress={() => put(field, null)}
                >
                  <RotateCcw aria-hidden />
                </Button>
                <small>{read && !read.ok ? "does not read; as built" : "set by you"}</small>
              </>
            )}
          </span>
        );
      })}
      {changed > 1 && (
        <Button $small onPress={() => onChoose({})}>
          Clear all
        </Button>
      )}
    </Strip>
  );
}
