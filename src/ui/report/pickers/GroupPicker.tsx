"use client";
import { isDate, isNumeric, lastOf, type Field as CatalogField, type Unit } from "@/core/catalog";
import type { Group } from "@/core/definition";
import { GRAINS, type Grain } from "@/core/time";
import { Button, Checkbox, Choice, Field, Choose, type Option } from "../../kit";
import type { PickerProps } from "./context";
import { fieldOptions, samePath } from "./fields";
import { Foot } from "./parts";
import { Ranges } from "./Ranges";
import { Cases } from "./Cases";
import { Folds } from "./Folds";

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
