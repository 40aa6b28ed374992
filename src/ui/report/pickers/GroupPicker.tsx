"use client";
import { isDate } from "@/core/catalog";
import type { Group } from "@/core/definition";
import { GRAINS, type Grain } from "@/core/time";
import { Button, Checkbox, Choice, Field } from "../../kit";
import { Choose } from "./Choose";
import type { PickerProps } from "./context";
import { fieldOptions, lastField, samePath } from "./fields";
import { Foot } from "./parts";

/** A group or a split: its field, the stretch of a date, how many are kept. */
export function GroupPicker({ context, report, group, onGroup, onTakeOut, onDone }: Omit<PickerProps, "onChange"> & { group: Group | null; onGroup: (group: Group) => void; onTakeOut?: () => void }) {
  const { catalog } = context;
  const subject = report.subject.id;
  const options = fieldOptions(catalog, subject, (field) => !["title", "description", "key"].includes(field.id));
  const path = group && catalog.findPath(subject, group.field);
  const choose = (ids: readonly string[]) => {
    const field = lastField(catalog.findPath(subject, ids)!);
    onGroup({ field: [...ids], ...(isDate(field) ? { grain: group?.grain ?? "month" } : {}) });
  };
  return (
    <div style={{ width: 340, maxWidth: "100%" }}>
      <Choose label="By which field" options={options} chosen={group ? [group.field] : []} same={samePath} onChoose={choose} />
      {group && path && (
        <div style={{ padding: "6px 12px 10px", display: "grid", gap: 8, borderTop: "1px solid var(--line)" }}>
          {isDate(lastField(path)) && <Choice<Grain> label="By" value={group.grain ?? "month"} options={GRAINS.map((grain) => [grain, grain] as const)} onChange={(grain) => onGroup({ ...group, grain })} />}
          {!isDate(lastField(path)) && <Field label="Only the largest (a number; empty for all)" value={group.top ? String(group.top.count) : ""} onChange={(text) => { const { top, ...rest } = group; const n = Number(text); onGroup(/^\d+$/.test(text) && n >= 1 && n <= 1000 ? { ...rest, top: { ...top, count: n } } : rest); }} />}
          {!isDate(lastField(path)) && <Checkbox isSelected={group.withEmptyGroups === true} onChange={(on) => { const { withEmptyGroups: _w, ...rest } = group; onGroup(on ? { ...rest, withEmptyGroups: true } : rest); }}>Show groups without records</Checkbox>}
        </div>
      )}
      <Foot>
        {onTakeOut && <Button $small onPress={onTakeOut}>Take out</Button>}
        <Button $small $look="solid" onPress={onDone}>Done</Button>
      </Foot>
    </div>
  );
}
