"use client";
import { ArrowDown, ArrowUp, ChevronDown, ChevronRight, EyeOff } from "lucide-react";
import { useState, type ReactNode } from "react";
import styled from "styled-components";
import { lastOf, typeOf, type AskContext } from "@/core/catalog";
import { PLAIN_DRESS, type CountReport, type Dress as DressOptions, type Group, type Report } from "@/core/definition";
import { keyOfPath, nameKey, type Figure, type FigureRow } from "@/core/figure";
import type { Value } from "@/core/filter";
import { Button, Checkbox, Choice, Field, tell } from "../kit";
import { fill } from "../charts";

const Panel = styled.aside`
  background: var(--mallow); padding: 12px 16px 20px; overflow: auto; min-width: 0;
  h2 { font: 560 22px/32px var(--serif); } .top { display: flex; justify-content: space-between; align-items: center; margin-bottom: 4px; }
  .group { width: 100%; display: flex; align-items: center; gap: 8px; height: 31px; font-weight: 650; } .group svg { width: 16px; height: 16px; color: var(--plum); } .group em { margin-left: auto; font: 400 12.5px/16px var(--sans); color: var(--ink-2); white-space: nowrap; overflow: hidden; text-overflow: ellipsis; max-width: 130px; }
  .inside { padding: 2px 0 10px; display: grid; gap: 3px; }
  .line { display: flex; align-items: center; gap: 8px; background: var(--salt); padding: 0 6px 0 8px; min-height: 30px; } .line i { width: 13px; height: 13px; flex: none; } .line .n { margin-left: auto; color: var(--ink-2); } .line .name { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; min-width: 0; } .line.picked { background: var(--mallow-2); }
  .note { color: var(--ink-2); font-size: 12.5px; line-height: 17px; padding-top: 4px; } .fold { display: flex; gap: 6px; background: var(--mallow-2); padding: 8px; align-items: flex-end; } .fold > :first-child { flex: 1; }
`;

interface DressProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly onReport: (report: Report) => void;
  readonly dress: DressOptions;
  readonly onDress: (dress: DressOptions) => void;
  readonly figure: Figure | null;
  readonly title: string;
}

const ORDERS: Record<DressOptions["order"], string> = { natural: "in their own order", largest: "largest first", smallest: "smallest first", name: "by name", hand: "by hand" };
const LABELS: Record<DressOptions["labels"], string> = { none: "none", value: "value", percent: "percent", both: "value and percent" };

/** How the figure looks: order and folds, names, labels, title. One group is open at a time; each says its present state. */
export function Dress({ context, report, onReport, dress, onDress, figure, title }: DressProps) {
  const [open, setOpen] = useState<string | null>("order");
  const part = (id: string, words: string, state: string, inside: ReactNode) => (
    <section>
      <button className="group" aria-expanded={open === id} onClick={() => setOpen(open === id ? null : id)}>{open === id ? <ChevronDown aria-hidden /> : <ChevronRight aria-hidden />}{words}<em>{state}</em></button>
      {open === id && <div className="inside">{inside}</div>}
    </section>
  );
  const rows = figure?.rows ?? [];
  const isCount = report.kind === "count";
  const hasGroups = isCount && report.by.length > 0;
  const isAdditive = rows.some((row) => row.percent !== null);
  const named = Object.keys(dress.names).length;
  return (
    <Panel aria-label="Dress">
      <div className="top"><h2>Dress</h2><Button $small onPress={() => onDress(PLAIN_DRESS)} isDisabled={JSON.stringify(dress) === JSON.stringify(PLAIN_DRESS)}>Reset</Button></div>
      {hasGroups && part("order", "Order and folds", figure?.isTime ? "by time" : ORDERS[dress.order], <Order {...{ context, report: report as CountReport, onReport, dress, onDress, figure }} />)}
      {hasGroups && part("names", "Names", named ? `${named} renamed` : "as they are", <Names {...{ dress, onDress, figure }} />)}
      {isCount && part("labels", "Labels", LABELS[dress.labels], (
        <>
          <Choice label="At each part" value={dress.labels} options={Object.entries(LABELS) as [DressOptions["labels"], string][]} onChange={(labels) => onDress({ ...dress, labels })} />
          {isAdditive && <Choice label="Percent of" value={dress.base} options={[["all", "all records"], ["shown", "shown groups"], ...(report.split ? ([["own row", "their own bar"], ["own column", "their own part"]] as const) : [])]} onChange={(base) => onDress({ ...dress, base })} />}
          {isAdditive && <Choice label="Decimals" value={String(dress.decimals)} options={["0", "1", "2", "3", "4"].map((n) => [n, n] as const)} onChange={(n) => onDress({ ...dress, decimals: Number(n) })} />}
          {!isAdditive && hasGroups && <p className="note">This measure does not add up, so it has no percentages.</p>}
        </>
      ))}
      {part("title", "Title", dress.title ? "your own" : "the name", <Field label="Title (the report's name, if empty)" value={dress.title ?? ""} placeholder={title} onChange={(text) => { const { title: _t, ...rest } = dress; onDress(text.trim() ? { ...rest, title: text.slice(0, 200) } : rest); }} />)}
      {!hasGroups && isCount && <p className="note">Group by something to order and name its parts.</p>}
    </Panel>
  );
}

type OrderProps = Pick<DressProps, "context" | "onReport" | "dress" | "onDress" | "figure"> & { report: CountReport };

function Order({ context, report, onReport, dress, onDress, figure }: OrderProps) {
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [name, setName] = useState("");
  const rows = figure?.rows ?? [];
  const group = report.by[report.by.length - 1];
  const values = (row: FigureRow): Value[] | null => valuesOf(row.path[row.path.length - 1], group, context, report);
  const put = (next: Group) => onReport({ ...report, by: report.by.map((one, i) => (i === report.by.length - 1 ? next : one)) });
  const isPlain = report.by.length === 1 && !group.grain;
  const move = (at: number, by: number) => {
    const keys = rows.map((row) => keyOfPath(row.path));
    const [key] = keys.splice(at, 1);
    keys.splice(at + by, 0, key);
    onDress({ ...dress, order: "hand", byHand: keys });
  };
  const fold = () => {
    const chosen = rows.filter((row) => picked.includes(keyOfPath(row.path)));
    const folded = chosen.flatMap((row) => values(row) ?? []);
    if (!name.trim() || folded.length < 2) return tell("Say what the fold is called.");
    const kept = (group.folds ?? []).filter((_, i) => !chosen.some((row) => row.path[row.path.length - 1] === `f${i}`));
    put({ ...group, folds: [...kept, { name: name.trim(), values: folded }] });
    setPicked([]);
    setName("");
  };
  const hide = (row: FigureRow) => {
    const hidden = values(row);
    if (hidden) put({ ...group, without: [...(group.without ?? []), ...hidden] });
  };
  return (
    <>
      {!figure?.isTime && <Choice label="Order" value={dress.order} options={Object.entries(ORDERS) as [DressOptions["order"], string][]} onChange={(order) => onDress({ ...dress, order, ...(order === "hand" ? { byHand: rows.map((row) => keyOfPath(row.path)) } : {}) })} />}
      {rows.slice(0, 40).map((row, i) => {
        const key = keyOfPath(row.path);
        const isPicked = picked.includes(key);
        return (
          <div key={key} className={`line${isPicked ? " picked" : ""}`}>
            {isPlain && values(row) && <Checkbox aria-label={`Pick ${row.label}`} isSelected={isPicked} onChange={(on) => setPicked(on ? [...picked, key] : picked.filter((one) => one !== key))} />}
            <i style={{ background: fill(row.color) }} /><span className="name">{row.label}</span><span className="n">{row.words}</span>
            {dress.order === "hand" && <><Button $small $icon aria-label={`${row.label} up`} isDisabled={i === 0} onPress={() => move(i, -1)}><ArrowUp aria-hidden /></Button><Button $small $icon aria-label={`${row.label} down`} isDisabled={i === rows.length - 1} onPress={() => move(i, 1)}><ArrowDown aria-hidden /></Button></>}
            {isPlain && dress.order !== "hand" && values(row) && <Button $small $icon aria-label={`Leave out ${row.label}`} onPress={() => hide(row)}><EyeOff aria-hidden /></Button>}
          </div>
        );
      })}
      {rows.length > 40 && <p className="note">and {rows.length - 40} more</p>}
      {picked.length > 1 && <div className="fold"><Field label={`Fold these ${picked.length} as`} value={name} onChange={setName} /><Button $small $look="solid" onPress={fold}>Fold</Button></div>}
      {(group.folds?.length || group.without?.length) && (
        <div style={{ display: "flex", gap: 6, flexWrap: "wrap", paddingTop: 4 }}>
          {group.folds?.map((one, i) => <Button key={one.name} $small $look="line" onPress={() => { const folds = group.folds!.filter((_, at) => at !== i); const { folds: _f, ...rest } = group; put(folds.length ? { ...rest, folds } : rest); }}>Unfold {one.name}</Button>)}
          {group.without?.length ? <Button $small $look="line" onPress={() => { const { without: _w, ...rest } = group; put(rest); }}>Show {group.without.length} left out</Button> : null}
        </div>
      )}
      <p className="note">A fold or a part left out changes the sentence; order does not.</p>
    </>
  );
}

/** The values that a group's key stands for; null for what cannot be folded or left out. */
function valuesOf(key: string, group: Group, context: AskContext, report: CountReport): Value[] | null {
  if (key === "n") return [{ kind: "unset" }];
  if (key.startsWith("f")) return group.folds?.[Number(key.slice(1))]?.values ?? null;
  if (!key.startsWith("v")) return null;
  const path = context.catalog.findPath(report.subject.id, group.field);
  if (!path) return null;
  const field = lastOf(path);
  const value = key.slice(1);
  if (field.thing) return [{ kind: "thing", thing: field.thing, id: Number(value) }];
  if (field.id === "stage") return [{ kind: "stage", stage: value as "waiting" }];
  const { kept } = typeOf(field);
  return kept === "number" ? [{ kind: "number", number: value }] : kept === "flag" ? [{ kind: "flag", yes: value === "true" }] : [{ kind: "text", text: value }];
}

function Names({ dress, onDress, figure }: Pick<DressProps, "dress" | "onDress" | "figure">) {
  const heads = [...(figure?.rows ?? []).filter((row) => row.path.length === 1).map((row) => ({ key: nameKey(0, row.path[0]), label: row.label })), ...(figure?.series ?? []).filter((one) => !one.key.startsWith("m")).map(({ key, label }) => ({ key: nameKey("split", key), label }))].slice(0, 30);
  const rename = (key: string, name: string) => {
    const { [key]: _old, ...rest } = dress.names;
    onDress({ ...dress, names: name.trim() ? { ...rest, [key]: name.slice(0, 200) } : rest });
  };
  return (
    <>
      {heads.map(({ key, label }) => <Field key={key} label={dress.names[key] ? "Called" : label} value={dress.names[key] ?? ""} placeholder={label} onChange={(name) => rename(key, name)} />)}
      <p className="note">Names change what is read, never what is counted. Empty takes the own name back.</p>
    </>
  );
}
