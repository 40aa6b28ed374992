"use client";
import { typeOf } from "@/core/catalog";
import type { CountReport, ListReport, Report } from "@/core/definition";
import { parsePeriod, periodDatesText, periodText, PERIOD_EXAMPLES, resolvePeriod } from "@/core/time";
import { useState } from "react";
import { Button, Field } from "../../kit";
import { Choose } from "./Choose";
import type { PickerProps } from "./context";
import { fieldOptions, lastField, samePath } from "./fields";
import { Foot } from "./parts";

/** The columns of a list, in the order in which they are ticked. */
export function ShowingPicker({ context, report, onChange, onDone }: PickerProps & { report: ListReport }) {
  const toggle = (ids: readonly string[]) => onChange({ ...report, showing: report.showing.some((one) => samePath(one, ids)) ? report.showing.filter((one) => !samePath(one, ids)) : [...report.showing, [...ids]] });
  return (
    <>
      <Choose label="Columns" options={fieldOptions(context.catalog, report.subject.id, () => true)} chosen={report.showing} many same={samePath} onChoose={toggle} />
      <Foot><Button $small $look="solid" onPress={onDone}>Done</Button></Foot>
    </>
  );
}

/** By what a list is sorted: one field, either way. */
export function SortPicker({ context, report, onChange, onDone }: PickerProps & { report: ListReport }) {
  const [first] = report.sorts;
  const set = (field: readonly string[], descending: boolean) => onChange({ ...report, sorts: [{ field: [...field], ...(descending ? { descending: true as const } : {}) }, ...report.sorts.slice(1).filter((sort) => !samePath(sort.field, field))] });
  const isNumber = first && typeOf(lastField(context.catalog.findPath(report.subject.id, first.field)!)).kept === "number";
  return (
    <>
      <Choose label="Sorted by" options={fieldOptions(context.catalog, report.subject.id, (field) => !field.many)} chosen={first ? [first.field] : []} same={samePath} onChoose={(ids) => set(ids, false)} />
      <Foot>
        <Button $small onPress={() => { onChange({ ...report, sorts: [] }); onDone(); }}>Take out</Button>
        {first && <Button $small $look="line" onPress={() => set(first.field, !first.descending)}>{first.descending ? (isNumber ? "Smallest first" : "First first") : isNumber ? "Largest first" : "Last first"}</Button>}
        <Button $small $look="solid" onPress={onDone}>Done</Button>
      </Foot>
    </>
  );
}

/** The period of the time axis. */
export function PeriodPicker({ context, report, onChange, onDone }: PickerProps & { report: CountReport }) {
  const [text, setText] = useState(report.period ? periodText(report.period) : "");
  const parsed = parsePeriod(text);
  const meant = (words: string) => { const read = parsePeriod(words); return read.ok ? periodDatesText(resolvePeriod(read.value, context.now, context.calendar)) : ""; };
  const set = (words: string) => {
    setText(words);
    const read = parsePeriod(words);
    if (read.ok) onChange({ ...report, period: read.value });
  };
  return (
    <div style={{ width: 360, maxWidth: "100%" }}>
      <div style={{ padding: "12px 12px 4px" }}><Field label="For which period" value={text} onChange={set} error={text && !parsed.ok ? parsed.problems[0].message : null} autoFocus /></div>
      <Choose label="A period" options={PERIOD_EXAMPLES.map((words) => ({ value: words, label: words, about: meant(words) }))} chosen={[text]} onChoose={set} />
      <Foot><Button $small onPress={() => { const { period: _p, runningTotal: _r, ...rest } = report; onChange(rest); onDone(); }}>Take out</Button><Button $small $look="solid" onPress={onDone}>Done</Button></Foot>
    </div>
  );
}

/** As of which earlier day. */
export function StoodPicker({ report, onChange, onDone }: PickerProps) {
  const [text, setText] = useState(report.stood ?? "");
  const isDay = /^\d{4}-\d\d-\d\d$/.test(text);
  return (
    <div style={{ width: 300 }}>
      <div style={{ padding: 12 }}><Field label="As it stood at the end of" type="date" value={isDay ? text : ""} onChange={(next) => { setText(next); if (next) onChange({ ...report, stood: next } as Report); }} autoFocus /></div>
      <Foot><Button $small onPress={() => { const { stood: _s, ...rest } = report; onChange(rest as Report); onDone(); }}>Take out</Button><Button $small $look="solid" onPress={onDone}>Done</Button></Foot>
    </div>
  );
}
