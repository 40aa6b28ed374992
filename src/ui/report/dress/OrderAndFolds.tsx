"use client";
import type { CountReport } from "@/core/kinds";
import { Eye, EyeOff } from "lucide-react";
import { useState } from "react";
import { lastOf, typeOf, type AskContext } from "@/core/catalog";
import type { Dress, Group } from "@/core/definition";
import { keyOfPath, type Figure, type FigureRow } from "@/core/figure";
import type { Value } from "@/core/filter";
import { Button, Choice, Field, tell } from "../../kit";
import { sameValue, withAlways } from "../pickers/values";
import { moved, PartRows } from "./PartRows";

export const ORDERS: Record<Dress["order"], string> = {
  natural: "in their own order",
  largest: "largest first",
  smallest: "smallest first",
  name: "by name",
  hand: "by hand",
};

/** How many parts can be placed by hand. */
const DRAWN = 40;

export interface PartProps {
  readonly context: AskContext;
  readonly report: CountReport;
  readonly onReport: (report: CountReport) => void;
  readonly dress: Dress;
  readonly onDress: (dress: Dress) => void;
  readonly figure: Figure | null;
}

/** Order of the bars and of the parts of a bar, by hand too; folds, and what is never shown. */
export function OrderAndFolds({ context, report, onReport, dress, onDress, figure }: PartProps) {
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [name, setName] = useState("");
  const rows = figure?.rows ?? [];
  const group = report.by[report.by.length - 1];
  const values = (row: FigureRow): Value[] | null =>
    valuesOf(row.path[row.path.length - 1], group, context, report);
  const put = (next: Group) =>
    onReport({
      ...report,
      by: report.by.map((one, i) => (i === report.by.length - 1 ? next : one)),
    });
  const isPlain = report.by.length === 1 && !group.grain && !group.cases && !group.ranges;
  const placeAt = (from: number, to: number) =>
    onDress({
      ...dress,
      order: "hand",
      byHand: moved(
        rows.map((row) => keyOfPath(row.path)),
        from,
        to,
      ),
    });
  const fold = () => {
    const chosen = rows.filter((row) => picked.includes(keyOfPath(row.path)));
    const folded = chosen.flatMap((row) => values(row) ?? []);
    if (!name.trim() || folded.length < 2) return tell("Say what the fold is called.");
    const kept = (group.folds ?? []).filter(
      (_, i) => !chosen.some((row) => row.path[row.path.length - 1] === `f${i}`),
    );
    put({ ...group, folds: [...kept, { name: name.trim(), values: folded }] });
    setPicked([]);
    setName("");
  };
  const hide = (row: FigureRow) => {
    const hidden = values(row);
    if (hidden) put({ ...group, without: [...(group.without ?? []), ...hidden] });
  };
  const isKept = (row: FigureRow) =>
    (values(row) ?? []).every((value) => group.always?.some((one) => sameValue(one, value)));
  const keep = (row: FigureRow) => {
    const own = values(row) ?? [];
    const others = (group.always ?? []).filter(
      (one) => !own.some((value) => sameValue(one, value)),
    );
    put(withAlways(group, isKept(row) ? others : [...others, ...own]));
  };
  const series = (figure?.series ?? []).filter((one) => !/^m\d/.test(one.key));
  const placeSeries = (from: number, to: number) =>
    onDress({
      ...dress,
      splitOrder: moved(
        series.map((one) => one.key),
        from,
        to,
      ),
    });
  const actsOf = (row: FigureRow) =>
    values(row) && (
      <>
        {!group.top && !group.withEmptyGroups && (
          <Button
            $small
            $icon
            aria-pressed={isKept(row)}
            aria-label={`Show ${row.label} even without records`}
            style={{ color: isKept(row) ? "var(--plum)" : "var(--ink-3)" }}
            onPress={() => keep(row)}
          >
            <Eye aria-hidden />
          </Button>
        )}
        <Button $small $icon aria-label={`Leave out ${row.label}`} onPress={() => hide(row)}>
          <EyeOff aria-hidden />
        </Button>
      </>
    );
  return (
    <>
      {!figure?.isTime && (
        <Choice
          label="Order"
          value={dress.order}
          options={Object.entries(ORDERS) as [Dress["order"], string][]}
          onChange={(order) =>
            onDress({
              ...dress,
              order,
              ...(order === "hand" ? { byHand: rows.map((row) => keyOfPath(row.path)) } : {}),
            })
          }
        />
      )}
      <PartRows
        label="Parts"
        rows={rows.slice(0, DRAWN).map((row) => ({
          id: keyOfPath(row.path),
          label: row.label,
          words: row.words,
          color: row.color,
          isPickable: isPlain && values(row) !== null,
        }))}
        picked={picked}
        onPick={setPicked}
        {...(figure?.isTime ? {} : { onPlace: placeAt })}
        hasArrows={dress.order === "hand"}
        acts={(i) => isPlain && actsOf(rows[i])}
      />
      {group.top && isPlain && (
        <Choice
          label="The rest"
          value={dress.rest}
          options={[
            ["usual", "a line, if it is the largest"],
            ["drawn", "drawn as a part"],
            ["aside", "a line of its own"],
          ]}
          onChange={(rest) => onDress({ ...dress, rest })}
        />
      )}
      {rows.length > DRAWN && <p className="note">and {rows.length - DRAWN} more</p>}
      {picked.length > 1 && (
        <div className="fold">
          <Field label={`Fold these ${picked.length} as`} value={name} onChange={setName} />
          <Button $small $look="solid" onPress={fold}>
            Fold
          </Button>
        </div>
      )}
      {(group.folds?.length || group.without?.length) && (
        <div style={{ display: "flex", gap: 6, flexWrap: "wrap", paddingTop: 4 }}>
          {group.folds?.map((one, i) => (
            <Button
              key={one.name}
              $small
              $look="line"
              onPress={() => {
                const folds = group.folds!.filter((_, at) => at !== i);
                const { folds: _f, ...rest } = group;
                put(folds.length ? { ...rest, folds } : rest);
              }}
            >
              Unfold {one.name}
            </Button>
          ))}
          {group.without?.length ? (
            <Button
              $small
              $look="line"
              onPress={() => {
                const { without: _w, ...rest } = group;
                put(rest);
              }}
            >
              Show {group.without.length} left out
            </Button>
          ) : null}
        </div>
      )}
      {series.length > 1 && (
        <>
          <p className="note" style={{ paddingTop: 8 }}>
            Parts of a bar
          </p>
          <PartRows
            label="Parts of a bar"
            rows={series.slice(0, 20).map((one) => ({
              id: one.key,
              label: one.label,
              words: one.total,
              color: one.color,
              isPickable: false,
            }))}
            onPlace={placeSeries}
            hasArrows
          />
        </>
      )}
      <p className="note">
        The open eye keeps a part in sight when it has no records, the struck one never shows it.
        Both, and folds, change the sentence; order does not.
      </p>
    </>
  );
}

/** The values that a group's key stands for; null for what cannot be folded or left out. */
function valuesOf(
  key: string,
  group: Group,
  context: AskContext,
  report: CountReport,
): Value[] | null {
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
  return kept === "number"
    ? [{ kind: "number", number: value }]
    : kept === "flag"
      ? [{ kind: "flag", yes: value === "true" }]
      : [{ kind: "text", text: value }];
}
