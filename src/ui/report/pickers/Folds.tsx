"use client";
import type { Report } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { lastOf, type AskContext } from "@/core/catalog";
import type { Group } from "@/core/definition";
import type { Value } from "@/core/filter";
import { valueText } from "@/core/sentence";
import { ask, Button, Field, Choose } from "../../kit";
import { nameableValues, sameValue, withAlways } from "./values";

/** Folds, and the values that are in none of them with their counts. */
export function Folds({
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
  const [picked, setPicked] = useState<readonly Value[]>([]);
  const [name, setName] = useState("");
  const list: Report = {
    kind: "list",
    subject: report.subject,
    showing: [],
    sorts: [],
    ...(report.where ? { where: report.where } : {}),
  };
  const { data } = useQuery({
    queryKey: ["values", list, group.field, null, ""],
    queryFn: ({ signal }) => ask("values", { definition: list, field: group.field }, signal),
  });
  const path = context.catalog.findPath(report.subject.id, group.field);
  const folds = group.folds ?? [];
  const without = group.without ?? [];
  const always = group.always ?? [];
  const counted = data ?? [];
  const unused = path
    ? nameableValues(lastOf(path), context.catalog).filter(
        (line) => !counted.some((one) => sameValue(one.value, line.value)),
      )
    : [];
  const free = [...counted, ...(data ? unused : [])].filter(
    (line) =>
      !folds.some((fold) => fold.values.some((value) => sameValue(value, line.value))) &&
      !without.some((value) => sameValue(value, line.value)),
  );
  const set = (next: typeof folds) => {
    const { folds: _f, ...rest } = group;
    onGroup(next.length ? { ...rest, folds: next } : rest);
  };
  const hide = (next: readonly Value[]) => {
    const { without: _w, ...rest } = group;
    onGroup(next.length ? { ...rest, without: [...next] } : rest);
  };
  const add = () => {
    if (!name.trim() || picked.length === 0) return;
    const same = folds.findIndex((fold) => fold.name === name.trim());
    set(
      same >= 0
        ? folds.map((fold, i) =>
            i === same ? { ...fold, values: [...fold.values, ...picked] } : fold,
          )
        : [...folds, { name: name.trim(), values: [...picked] }],
    );
    setPicked([]);
    setName("");
  };
  return (
    <div style={{ display: "grid", gap: 6 }}>
      {folds.map((fold, i) => (
        <div key={fold.name} style={{ background: "var(--mallow)", padding: "6px 8px" }}>
          <b style={{ fontWeight: 650 }}>{fold.name}</b>{" "}
          <span style={{ color: "var(--ink-2)" }}>
            {fold.values.map((value) => valueText(value, context.catalog, path)).join(", ")}
          </span>{" "}
          <Button $small onPress={() => set(folds.filter((_, n) => n !== i))}>
            Unfold
          </Button>
        </div>
      ))}
      {without.length > 0 && (
        <div style={{ color: "var(--ink-2)" }}>
          Never shown: {without.map((value) => valueText(value, context.catalog, path)).join(", ")}{" "}
          <Button $small onPress={() => hide([])}>
            Show them
          </Button>
        </div>
      )}
      {always.length > 0 && (
        <div style={{ color: "var(--ink-2)" }}>
          Shown without records, too:{" "}
          {always.map((value) => valueText(value, context.catalog, path)).join(", ")}{" "}
          <Button $small onPress={() => onGroup(withAlways(group, []))}>
            Only with records
          </Button>
        </div>
      )}
      {free.length > 0 && (
        <Choose<Value>
          label={folds.length ? "In no fold" : "Fold several into one"}
          options={free.map((line) => ({
            value: line.value,
            label: line.label,
            about: String(line.count),
          }))}
          chosen={picked}
          many
          same={sameValue}
          onChoose={(value) =>
            setPicked(
              picked.some((one) => sameValue(one, value))
                ? picked.filter((one) => !sameValue(one, value))
                : [...picked, value],
            )
          }
        />
      )}
      {picked.length > 0 && (
        <div style={{ display: "flex", gap: 6, alignItems: "flex-end" }}>
          <div style={{ flex: 1 }}>
            <Field
              label={`Fold ${picked.length === 1 ? "it" : `these ${picked.length}`} as`}
              value={name}
              onChange={setName}
            />
          </div>
          <Button $small $look="solid" isDisabled={!name.trim()} onPress={add}>
            Fold
          </Button>
          {!group.top && !group.withEmptyGroups && (
            <Button
              $small
              onPress={() => {
                onGroup(
                  withAlways(group, [
                    ...always,
                    ...picked.filter((value) => !always.some((one) => sameValue(one, value))),
                  ]),
                );
                setPicked([]);
              }}
            >
              Always show
            </Button>
          )}
          <Button
            $small
            onPress={() => {
              hide([...without, ...picked]);
              setPicked([]);
            }}
          >
            Never show
          </Button>
        </div>
      )}
    </div>
  );
}
