"use client";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { isDate, UNITS, type Field, type FieldPath, type Unit } from "@/core/catalog";
import type { Report } from "@/core/definition";
import { allOfParts, OPERATOR_IDS, operators, topParts, VIEWER_WORDS, type OperatorId, type Test, type Value } from "@/core/filter";
import { conditionText } from "@/core/sentence";
import type { ValueLine } from "@/contract/room";
import { parsePeriod, periodDatesText, periodText, PERIOD_EXAMPLES, resolvePeriod } from "@/core/time";
import { ask, Button, Choice, Field as TextField } from "../../kit";
import { Choose, type Option } from "./Choose";
import type { PickerProps } from "./context";
import { fieldOptions, lastField, samePath } from "./fields";
import { Foot, Halves } from "./parts";

/** One condition: its field, its operator, its values. `index` null adds one. */
export function ConditionPicker({ context, report, index, onChange, onDone }: PickerProps & { index: number | null }) {
  const parts = topParts(report.where);
  const condition = index === null ? undefined : parts[index];
  const [draft, setDraft] = useState<Test | null>(condition?.kind === "test" ? condition : null);
  const put = (next: Test | null) => {
    const kept = parts.filter((_, i) => i !== index);
    const at = index ?? parts.length;
    const all = next ? [...kept.slice(0, at), next, ...kept.slice(at)] : kept;
    const { where: _where, ...rest } = report;
    const where = allOfParts(all);
    onChange({ ...rest, ...(where ? { where } : {}) } as Report);
  };
  if (condition && condition.kind !== "test") {
    return (
      <>
        <p style={{ padding: "14px 16px", maxWidth: 380, font: "400 17px/24px var(--serif)" }}>{conditionText(condition, context.catalog, report.subject.id)}</p>
        <p style={{ padding: "0 16px 12px", maxWidth: 380, color: "var(--ink-2)" }}>A group of conditions; type the sentence to change it.</p>
        <Foot><Button $small onPress={() => { put(null); onDone(); }}>Take out</Button><Button $small $look="solid" onPress={onDone}>Done</Button></Foot>
      </>
    );
  }
  if (!draft) {
    const begin = (ids: readonly string[]) => {
      const field = lastField(context.catalog.findPath(report.subject.id, ids)!);
      const operator = OPERATOR_IDS.find((id) => operators[id].fits(field))!;
      setDraft({ kind: "test", field: [...ids], operator: isDate(field) ? "during" : operator, values: [] });
    };
    return <Choose label="Where which field" options={fieldOptions(context.catalog, report.subject.id, () => true)} chosen={[]} same={samePath} onChoose={begin} />;
  }
  const path = context.catalog.findPath(report.subject.id, draft.field);
  if (!path) return <Foot><Button $small onPress={() => { put(null); onDone(); }}>This field is gone: take it out</Button></Foot>;
  const field = lastField(path);
  /** A condition that is there follows each choice; a new one comes in when it is done. */
  const set = (next: Test) => {
    setDraft(next);
    if (index !== null && isWhole(next)) put(next);
  };
  const finish = () => {
    if (index === null && isWhole(draft)) put(draft);
    onDone();
  };
  const fitting = OPERATOR_IDS.filter((id) => operators[id].fits(field));
  return (
    <>
      <Halves>
        <div className="left"><Choose label={field.words} options={fitting.map((id) => ({ value: id, label: operators[id].words }))} chosen={[draft.operator]} onChoose={(operator: OperatorId) => set({ ...draft, operator, values: keptValues(draft, operator) })} /></div>
        <Operand context={context} report={report} index={index} path={path} draft={draft} onSet={set} />
      </Halves>
      <Foot>
        {index !== null && <Button $small onPress={() => { put(null); onDone(); }}>Take out</Button>}
        <Button $small $look="solid" isDisabled={!isWhole(draft)} onPress={finish}>Done</Button>
      </Foot>
    </>
  );
}

function isWhole(test: Test): boolean {
  const { takes } = operators[test.operator];
  return takes === "nothing" || test.values.length >= (takes === "numbers" || takes === "days" ? 2 : 1);
}

/** Values that still make sense under another operator. */
function keptValues(test: Test, operator: OperatorId): readonly Value[] {
  const [before, next] = [operators[test.operator].takes, operators[operator].takes];
  const family = { value: "names", values: "names", day: "time", period: "time", number: "number", text: "text" } as Partial<Record<typeof next, string>>;
  if (!family[before] || family[before] !== family[next]) return [];
  return next === "value" ? test.values.slice(0, 1) : test.values;
}

function Operand({ context, report, index, path, draft, onSet }: { context: PickerProps["context"]; report: Report; index: number | null; path: FieldPath; draft: Test; onSet: (test: Test) => void }) {
  const field = lastField(path);
  const { takes } = operators[draft.operator];
  if (takes === "nothing") return <p className="says">{field.words} has nothing more to say here.</p>;
  if (takes === "text") return <div style={{ padding: 12 }}><TextField label="Text" value={draft.values[0]?.kind === "text" ? draft.values[0].text : ""} onChange={(text) => onSet({ ...draft, values: text ? [{ kind: "text", text }] : [] })} autoFocus /></div>;
  if (takes === "number" || takes === "numbers") return <Numbers field={field} draft={draft} count={takes === "numbers" ? 2 : 1} onSet={onSet} />;
  if (takes === "day" || takes === "period" || takes === "days") return <Periods context={context} draft={draft} count={takes === "days" ? 2 : 1} onSet={onSet} />;
  return <Names report={report} index={index} field={field} draft={draft} many={takes === "values"} onSet={onSet} />;
}

function Names({ report, index, field, draft, many, onSet }: { report: Report; index: number | null; field: Field; draft: Test; many: boolean; onSet: (test: Test) => void }) {
  const { data, isError } = useQuery({ queryKey: ["values", report, draft.field, index], queryFn: ({ signal }) => ask<ValueLine[]>("/api/room/values", { definition: report, field: draft.field, ...(index === null ? {} : { except: index }) }, signal) });
  const words: Option<Value>[] = [
    ...(field.thing ? VIEWER_WORDS.filter((word) => ({ me: "person", "my team": "team", "my teams": "team", "my projects": "project" })[word] === field.thing).map((word) => ({ value: { kind: "viewer" as const, word }, label: word, group: "Whoever is looking" })) : []),
    ...(field.thing === "status" || field.id === "stage" ? [{ value: { kind: "stage" as const, stage: "open" as const }, label: "open", about: "waiting or under way", group: "Stages" }, ...(field.thing ? [{ value: { kind: "stage" as const, stage: "finished" as const }, label: "finished", group: "Stages" }] : [])] : []),
    ...(field.thing === "sprint" ? [{ value: { kind: "current" as const }, label: "current", about: "begun, not closed", group: "Now" }] : []),
  ];
  const listed: Option<Value>[] = (data ?? []).map((line) => ({ value: line.value, label: line.label, about: String(line.count), group: "Values" }));
  const unlisted = draft.values.filter((value) => value.kind === "text" && !listed.some((option) => sameValue(option.value, value))).map((value) => ({ value, label: value.kind === "text" ? value.text : "", group: "Values" }));
  if (!data && !isError) return <p className="says" role="status">Counting what each would give …</p>;
  const choose = (value: Value) => {
    const has = draft.values.some((one) => sameValue(one, value));
    onSet({ ...draft, values: !many ? [value] : has ? draft.values.filter((one) => !sameValue(one, value)) : [...draft.values, value] });
  };
  return <Choose label={`Find a ${field.words}`} options={[...words, ...unlisted, ...listed]} chosen={draft.values} many={many} same={sameValue} onChoose={choose} />;
}

export const sameValue = (a: Value, b: Value): boolean => JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());

function Numbers({ field, draft, count, onSet }: { field: Field; draft: Test; count: number; onSet: (test: Test) => void }) {
  const [texts, setTexts] = useState(() => Array.from({ length: count }, (_, i) => { const value = draft.values[i]; return value?.kind === "number" ? value.number : ""; }));
  const unit = draft.values.map((value) => (value.kind === "number" ? value.unit : undefined)).find(Boolean) ?? field.unit ?? "minutes";
  const set = (next: readonly string[], inUnit: Unit) => onSet({ ...draft, values: next.every((text) => /^-?\d+(\.\d+)?$/.test(text)) ? next.map((number) => ({ kind: "number", number, ...(field.type === "duration" ? { unit: inUnit } : {}) })) : [] });
  const change = (i: number, text: string) => {
    const next = texts.map((one, at) => (at === i ? text.trim() : one));
    setTexts(next);
    set(next, unit);
  };
  return (
    <div style={{ padding: 12, display: "grid", gap: 10 }}>
      {texts.slice(0, count).map((text, i) => <TextField key={i} label={count === 2 ? ["From", "To"][i] : "Number"} value={text} onChange={(next) => change(i, next)} error={text !== "" && !/^-?\d+(\.\d+)?$/.test(text) ? `"${text}" is not a number` : null} autoFocus={i === 0} />)}
      {field.type === "duration" && <Choice<Unit> label="In" value={unit} options={UNITS.map((one) => [one, one] as const)} onChange={(next) => set(texts, next)} />}
    </div>
  );
}

function Periods({ context, draft, count, onSet }: { context: PickerProps["context"]; draft: Test; count: number; onSet: (test: Test) => void }) {
  const textAt = (i: number) => { const value = draft.values[i]; return value?.kind === "period" ? periodText(value.period) : ""; };
  const [texts, setTexts] = useState(() => Array.from({ length: count }, (_, i) => textAt(i)));
  const meant = (text: string) => { const parsed = parsePeriod(text); return parsed.ok ? periodDatesText(resolvePeriod(parsed.value, context.now, context.calendar)) : null; };
  const change = (i: number, text: string) => {
    const next = texts.map((one, at) => (at === i ? text : one));
    setTexts(next);
    const parsed = next.map(parsePeriod);
    onSet({ ...draft, values: parsed.every((one) => one.ok) ? parsed.map((one) => ({ kind: "period", period: one.ok ? one.value : { kind: "day", which: "today" } })) : [] });
  };
  return (
    <div>
      <div style={{ padding: "12px 12px 4px", display: "grid", gap: 8 }}>
        {texts.slice(0, count).map((text, i) => { const parsed = parsePeriod(text); return <TextField key={i} label={count === 2 ? ["From", "Until"][i] : "A period, or a date as 2026-10-31"} value={text} onChange={(next) => change(i, next)} error={text && !parsed.ok ? parsed.problems[0].message : null} autoFocus={i === 0} />; })}
        {count === 1 && meant(texts[0]) && <p style={{ color: "var(--ink-2)" }}>{meant(texts[0])}</p>}
      </div>
      {count === 1 && <Choose label="A period" options={PERIOD_EXAMPLES.map((words) => ({ value: words, label: words, about: meant(words) ?? "" }))} chosen={[texts[0]]} onChoose={(words) => change(0, words)} />}
    </div>
  );
}

