"use client";
import type { Report } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { useState } from "react";
import {
  isDate,
  isNumeric,
  lastOf,
  type AskContext,
  type Field as CatalogField,
  type Unit,
} from "@/core/catalog";
import type { Group } from "@/core/definition";
import type { Value } from "@/core/filter";
import { conditionText, parseConditionText, valueText } from "@/core/sentence";
import { GRAINS, type Grain } from "@/core/time";

import { ask, Button, Checkbox, Choice, Field, Choose, type Option } from "../../kit";
import type { PickerProps } from "./context";
import { fieldOptions, samePath } from "./fields";
import { Foot } from "./parts";
import { nameableValues, sameValue, withAlways } from "./values";

type What = readonly string[];
const CASES: What = ["cases"];

interface GroupPickerProps extends Omit<PickerProps, "onChange"> {
  readonly group: Group | null;
  readonly onGroup: (group: Group) => void;
  readonly onTakeOut?: () => void;
}

/** A group or a split: its field, the stretch of a date, ranges of a number, cases, folds, how many are kept. */
export function GroupPicker({
  context,
  report,
  group,
  onGroup,
  onTakeOut,
  onDone,
}: GroupPickerProps) {
  const { catalog } = context;
  const subject = report.subject.id;
  const options: Option<What>[] = [
    { value: CASES, label: "cases", about: "groups by conditions", group: "By conditions" },
    ...fieldOptions(
      catalog,
      subject,
      (field) => !["title", "description", "key"].includes(field.id),
    ),
  ];
  const path = group && !group.cases ? catalog.findPath(subject, group.field) : undefined;
  const choose = (ids: What) => {
    if (ids === CASES)
      return onGroup({
        field: [],
        cases: [
          {
            name: "Late",
            where: {
              kind: "test",
              field: ["created"],
              operator: "before",
              values: [{ kind: "period", period: { kind: "day", which: "today" } }],
            },
          },
        ],
      });
    const field = lastOf(catalog.findPath(subject, ids)!);
    onGroup({ field: [...ids], ...stretchesOf(field, group) });
  };
  const field = path && lastOf(path);
  return (
    <div style={{ width: 400, maxWidth: "100%" }}>
      <Choose<What>
        label="By which field"
        options={options}
        chosen={group ? [group.cases ? CASES : group.field] : []}
        same={samePath}
        onChoose={choose}
      />
      {group?.cases && <Cases context={context} report={report} group={group} onGroup={onGroup} />}
      {group && field && (
        <div
          style={{
            padding: "6px 12px 10px",
            display: "grid",
            gap: 8,
            borderTop: "1px solid var(--line)",
          }}
        >
          {isDate(field) && (
            <Choice<Grain>
              label="By"
              value={group.grain ?? "month"}
              options={GRAINS.map((grain) => [grain, grain] as const)}
              onChange={(grain) => onGroup({ ...group, grain })}
            />
          )}
          {isNumeric(field) && !field.many && (
            <Ranges
              group={group}
              unit={field.type === "duration" ? (field.unit ?? "minutes") : null}
              onGroup={onGroup}
            />
          )}
          {!isDate(field) && !group.ranges && (
            <Folds context={context} report={report} group={group} onGroup={onGroup} />
          )}
        </div>
      )}
      {group && (
        <div style={{ padding: "4px 12px 10px", display: "grid", gap: 8 }}>
          {!group.grain && (
            <Field
              label="Only the largest (a number; empty for all)"
              value={group.top ? String(group.top.count) : ""}
              onChange={(text) => {
                const { top, withoutRest, ...rest } = group;
                const n = Number(text);
                onGroup(
                  /^\d+$/.test(text) && n >= 1 && n <= 1000
                    ? {
                        ...rest,
                        ...(withoutRest ? { withoutRest } : {}),
                        top: { ...top, count: n },
                      }
                    : rest,
                );
              }}
            />
          )}
          {group.top && (
            <Checkbox
              isSelected={group.withoutRest === true}
              onChange={(on) => {
                const { withoutRest: _r, ...rest } = group;
                onGroup(on ? { ...rest, withoutRest: true } : rest);
              }}
            >
              Leave out the rest
            </Checkbox>
          )}
          {!group.grain && (
            <Checkbox
              isSelected={group.withEmptyGroups === true}
              onChange={(on) => {
                const { withEmptyGroups: _w, ...rest } = group;
                onGroup(on ? { ...rest, withEmptyGroups: true } : rest);
              }}
            >
              Show groups without records
            </Checkbox>
          )}
        </div>
      )}
      <Foot>
        {onTakeOut && (
          <Button $small onPress={onTakeOut}>
            Take out
          </Button>
        )}
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </Foot>
    </div>
  );
}

/** Borders of the ranges in which durations are offered: a group for each minute says nothing. */
const RANGES: Readonly<Record<Unit, readonly string[]>> = {
  days: ["1", "7", "30", "90"],
  hours: ["1", "8", "24", "72"],
  minutes: ["30", "60", "240", "480"],
};

/** How the values of a field are put together when it is chosen: dates by month, durations in ranges. */
function stretchesOf(field: CatalogField, group: Group | null): Pick<Group, "grain" | "ranges"> {
  if (isDate(field)) return { grain: group?.grain ?? "month" };
  return field.type === "duration" ? { ranges: [...RANGES[field.unit ?? "minutes"]] } : {};
}

/** Ranges of a number: even ones, or borders of one's own. */
function Ranges({
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

/** Cases: named conditions in order; a record belongs to the first that fits. */
function Cases({
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

/** Folds, and the values that are in none of them with their counts. */
function Folds({
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
