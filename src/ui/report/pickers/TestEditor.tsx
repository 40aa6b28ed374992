"use client";
import type { Report } from "@/core/kinds";
import { useState } from "react";
import { isDate, lastOf, type AskContext } from "@/core/catalog";

import { OPERATOR_IDS, operators, type Leaf } from "@/core/filter";
import { leafText } from "@/core/sentence";
import { Button, Checkbox, Choose, type Option } from "../../kit";
import { fieldOptions } from "./fields";
import { Foot } from "./parts";
import { LinkEditor } from "./LinkEditor";
import { OwesEditor } from "./OwesEditor";
import { FieldEditor } from "./FieldEditor";

export interface EditorProps {
  readonly context: AskContext;
  /** Whose records values are counted among, without the condition at `except`. */
  readonly report: Report;
  readonly except: number | null;
  readonly leaf: Leaf | null;
  /** A leaf that can be asked: called at each choice where there was one before, else when done. */
  readonly onLeaf: (leaf: Leaf) => void;
  readonly onTakeOut?: () => void;
  readonly onDone: () => void;
  readonly readers?: { readonly chosen: boolean; readonly onChange: (chosen: boolean) => void };
  readonly onOff?: () => void;
  readonly onGroups?: () => void;
}

type Begin =
  | { readonly kind: "field"; readonly ids: readonly string[] }
  | { readonly kind: "link" }
  | { readonly kind: "owes" }
  | { readonly kind: "filter"; readonly id: number };

const sameBegin = (a: Begin, b: Begin): boolean => JSON.stringify(a) === JSON.stringify(b);

/** One condition: what it is on, how it is tested, against what. */
export function TestEditor(props: EditorProps) {
  const { context, report, leaf, onLeaf, onDone } = props;
  const [draft, setDraft] = useState<Leaf | null>(leaf);
  const subject = report.subject.id;
  const set = (next: Leaf) => {
    setDraft(next);
    if (leaf !== null && isWhole(next)) onLeaf(next);
  };
  if (!draft) {
    const { catalog } = context;
    const options: Option<Begin>[] = [
      ...catalog.filters
        .filter((filter) => filter.subject.id === subject)
        .map((filter) => ({
          value: { kind: "filter" as const, id: filter.id },
          label: `in filter ${filter.name}`,
          about: filter.purpose.slice(0, 40),
          group: "Saved filters",
        })),
      ...fieldOptions(catalog, subject, () => true).map((option) => ({
        ...option,
        value: { kind: "field" as const, ids: option.value },
      })),
      ...(subject === "items"
        ? [
            {
              value: { kind: "link" as const },
              label: "link",
              about: "to another item",
              group: "Links",
            },
          ]
        : []),
      ...(subject === "projects"
        ? [
            {
              value: { kind: "owes" as const },
              label: "owes a weekly word",
              about: "for weeks that are over",
              group: "Weekly words",
            },
          ]
        : []),
    ];
    const begin = (chosen: Begin) => {
      if (chosen.kind === "filter") {
        onLeaf({ kind: "filter", filter: chosen.id });
        onDone();
      } else if (chosen.kind === "link") setDraft({ kind: "link", link: catalog.links[0] });
      else if (chosen.kind === "owes")
        setDraft({ kind: "owes", during: { kind: "unit", which: "last", unit: "week" } });
      else {
        const field = lastOf(catalog.findPath(subject, chosen.ids)!);
        setDraft({
          kind: "test",
          field: [...chosen.ids],
          operator: isDate(field)
            ? "during"
            : OPERATOR_IDS.find((id) => operators[id].fits(field))!,
          values: [],
        });
      }
    };
    return (
      <>
        <Choose<Begin>
          label="Where which field"
          options={options}
          chosen={[]}
          same={sameBegin}
          onChoose={begin}
        />
        {props.onGroups && (
          <Foot>
            <Button $small onPress={props.onGroups}>
              Conditions in groups
            </Button>
          </Foot>
        )}
      </>
    );
  }
  const finish = () => {
    if (leaf === null && isWhole(draft)) onLeaf(draft);
    onDone();
  };
  return (
    <>
      {draft.kind === "link" ? (
        <LinkEditor context={context} leaf={draft} onSet={set} />
      ) : draft.kind === "owes" ? (
        <OwesEditor context={context} leaf={draft} onSet={set} />
      ) : draft.kind === "filter" ? (
        <p style={{ padding: "14px 16px", maxWidth: 380, font: "400 17px/24px var(--serif)" }}>
          {leafText(draft, context.catalog, subject)}
        </p>
      ) : (
        <FieldEditor {...props} leaf={draft} onSet={set} />
      )}
      {props.readers && (
        <div style={{ padding: "2px 14px 6px" }}>
          <Checkbox isSelected={props.readers.chosen} onChange={props.readers.onChange}>
            Readers may change it
          </Checkbox>
        </div>
      )}
      <Foot>
        {props.onTakeOut && (
          <Button $small onPress={props.onTakeOut}>
            Take out
          </Button>
        )}
        {props.onOff && (
          <Button $small onPress={props.onOff}>
            Switch off
          </Button>
        )}
        {props.onGroups && (
          <Button $small onPress={props.onGroups}>
            In groups
          </Button>
        )}
        <Button $small $look="solid" isDisabled={!isWhole(draft)} onPress={finish}>
          Done
        </Button>
      </Foot>
    </>
  );
}

export function isWhole(leaf: Leaf): boolean {
  if (leaf.kind !== "test") return true;
  const { takes } = operators[leaf.operator];
  return (
    takes === "nothing" || leaf.values.length >= (takes === "numbers" || takes === "days" ? 2 : 1)
  );
}
