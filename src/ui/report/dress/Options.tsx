"use client";
import type { Report } from "@/core/kinds";
import { X } from "lucide-react";
import { useState } from "react";
import type { Dress } from "@/core/definition";
import { Button, Checkbox, Choice, Field } from "../../kit";
import { type DressProps, ColorChoice } from "./Colours";
import { TextOption } from "./Titles";
import { withText } from "./titleTexts";

export const LABELS: Record<Dress["labels"], string> = {
  none: "none",
  value: "value",
  percent: "percent",
  both: "value and percent",
};

/** A number of a dress; what is no number is said, and nothing is lost. */
export function NumberOption({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
}) {
  const [text, setText] = useState(value === undefined ? "" : String(value));
  const bad = text.trim() !== "" && !Number.isFinite(Number(text));
  return (
    <Field
      label={label}
      value={text}
      onChange={(next) => {
        setText(next);
        if (next.trim() === "") onChange(undefined);
        else if (Number.isFinite(Number(next))) onChange(Number(next));
      }}
      error={bad ? `"${text}" is not a number.` : null}
    />
  );
}

type Numbers = "low" | "high" | "target" | "axisFrom" | "axisTo";
function withNumber(dress: Dress, name: Numbers, value: number | undefined): Dress {
  const { [name]: _old, ...rest } = dress;
  return { ...rest, ...(value === undefined ? {} : { [name]: value }) } as Dress;
}

export function Labels({
  dress,
  onDress,
  report,
  isAdditive,
  hasGroups,
}: DressProps & { report: Report; isAdditive: boolean; hasGroups: boolean }) {
  const isLined = report.shape === "line" || report.shape === "columnsWithLine";
  return (
    <>
      <Choice
        label="At each part"
        value={dress.labels}
        options={Object.entries(LABELS) as [Dress["labels"], string][]}
        onChange={(labels) => onDress({ ...dress, labels })}
      />
      <Choice
        label="Size"
        value={dress.labelSize}
        options={[
          ["small", "small"],
          ["usual", "usual"],
          ["large", "large"],
        ]}
        onChange={(labelSize) => onDress({ ...dress, labelSize })}
      />
      <Choice
        label="Decimals of values"
        value={dress.valueDecimals === undefined ? "" : String(dress.valueDecimals)}
        options={[["", "as needed"], ...["0", "1", "2", "3", "4"].map((n) => [n, n] as const)]}
        onChange={(n) => {
          const { valueDecimals: _v, ...rest } = dress;
          onDress(n === "" ? rest : { ...rest, valueDecimals: Number(n) });
        }}
      />
      {isAdditive && (
        <Choice
          label="Percent of"
          value={dress.base}
          options={[
            ["all", "all records"],
            ["shown", "shown groups"],
            ...(report.kind === "count" && report.split
              ? ([
                  ["own row", "their own bar"],
                  ["own column", "their own part"],
                ] as const)
              : []),
          ]}
          onChange={(base) => onDress({ ...dress, base })}
        />
      )}
      {isAdditive && (
        <Choice
          label="Decimals of percent"
          value={String(dress.decimals)}
          options={["0", "1", "2", "3", "4"].map((n) => [n, n] as const)}
          onChange={(n) => onDress({ ...dress, decimals: Number(n) })}
        />
      )}
      {!isAdditive && hasGroups && (
        <p className="note">This measure does not add up, so it has no percentages.</p>
      )}
      {isLined && (
        <>
          <Checkbox isSelected={dress.marks} onChange={(marks) => onDress({ ...dress, marks })}>
            Marks on the line
          </Checkbox>
          <Choice
            label="Line"
            value={dress.weight}
            options={[
              ["thin", "thin"],
              ["usual", "usual"],
              ["bold", "bold"],
            ]}
            onChange={(weight) => onDress({ ...dress, weight })}
          />
        </>
      )}
      <TextOption
        label="Unit in words"
        placeholder="faults, hours …"
        value={dress.unitWords}
        most={30}
        onChange={(text) => onDress(withText(dress, "unitWords", text))}
      />
      <TextOption
        label="Said on hover, before the value"
        value={dress.hover}
        most={200}
        onChange={(text) => onDress(withText(dress, "hover", text))}
      />
    </>
  );
}

export function LegendAndTable({ dress, onDress, figure }: DressProps) {
  const toggle = (column: "value" | "percent" | "second", on: boolean) =>
    onDress({
      ...dress,
      legendColumns: on
        ? [...dress.legendColumns, column]
        : dress.legendColumns.filter((one) => one !== column),
    });
  return (
    <>
      <Choice
        label="Legend"
        value={dress.legend}
        options={[
          ["above", "above"],
          ["right", "at the right"],
          ["below", "below"],
          ["none", "none"],
        ]}
        onChange={(legend) => onDress({ ...dress, legend })}
      />
      <Checkbox
        isSelected={dress.legendTable}
        onChange={(legendTable) => onDress({ ...dress, legendTable })}
      >
        As a table
      </Checkbox>
      {dress.legendTable && (
        <div style={{ paddingLeft: 22, display: "grid" }}>
          <Checkbox
            isSelected={dress.legendColumns.includes("value")}
            onChange={(on) => toggle("value", on)}
          >
            with the value
          </Checkbox>
          <Checkbox
            isSelected={dress.legendColumns.includes("percent")}
            onChange={(on) => toggle("percent", on)}
          >
            with the percentage
          </Checkbox>
          {(figure?.measures.length ?? 0) > 1 && (
            <Checkbox
              isSelected={dress.legendColumns.includes("second")}
              onChange={(on) => toggle("second", on)}
            >
              with the second measure
            </Checkbox>
          )}
          <Checkbox
            isSelected={dress.legendTotal}
            onChange={(legendTotal) => onDress({ ...dress, legendTotal })}
          >
            with a total
          </Checkbox>
        </div>
      )}
      <Choice
        label="The figure’s table"
        value={dress.table}
        options={[
          ["none", "on demand"],
          ["beside", "beside it"],
          ["below", "below it"],
        ]}
        onChange={(table) => onDress({ ...dress, table })}
      />
    </>
  );
}

export function Axis({ dress, onDress, figure }: DressProps) {
  return (
    <>
      <TextOption
        label="Title of the value axis"
        value={dress.axisTitle}
        most={100}
        onChange={(text) => onDress(withText(dress, "axisTitle", text))}
      />
      <TextOption
        label="Title of the groups"
        value={dress.groupTitle}
        most={100}
        onChange={(text) => onDress(withText(dress, "groupTitle", text))}
      />
      <NumberOption
        label="From (0, if empty)"
        value={dress.axisFrom}
        onChange={(value) => onDress(withNumber(dress, "axisFrom", value))}
      />
      <NumberOption
        label="To at least"
        value={dress.axisTo}
        onChange={(value) => onDress(withNumber(dress, "axisTo", value))}
      />
      <Checkbox isSelected={dress.slider} onChange={(slider) => onDress({ ...dress, slider })}>
        A slider for long axes
      </Checkbox>
      {figure?.isTime && (
        <Checkbox
          isSelected={dress.dayNotes}
          onChange={(dayNotes) => onDress({ ...dress, dayNotes })}
        >
          Day notes
        </Checkbox>
      )}
      <p className="note">Bars always begin at 0 unless values lie below it.</p>
    </>
  );
}

/** The range, the target and the zones of a gauge; zones cover the range without gap or overlap. */
export function GaugeOptions({ dress, onDress }: DressProps) {
  const wrong = dress.low !== undefined && dress.high !== undefined && dress.low >= dress.high;
  const put = (i: number, more: object) =>
    onDress({
      ...dress,
      zones: dress.zones.map((one, at) => (at === i ? { ...one, ...more } : one)),
    });
  return (
    <>
      <NumberOption
        label="From"
        value={dress.low}
        onChange={(value) => onDress(withNumber(dress, "low", value))}
      />
      <NumberOption
        label="To"
        value={dress.high}
        onChange={(value) => onDress(withNumber(dress, "high", value))}
      />
      {wrong && (
        <p className="note" role="alert" style={{ color: "var(--alarm)" }}>
          The range must rise.
        </p>
      )}
      <NumberOption
        label="Target"
        value={dress.target}
        onChange={(value) => onDress(withNumber(dress, "target", value))}
      />
      {dress.zones.map((zone, i) => (
        <div
          key={i}
          style={{ background: "var(--salt)", padding: "6px 8px", display: "grid", gap: 4 }}
        >
          <div style={{ display: "flex", gap: 6, alignItems: "flex-end" }}>
            <div style={{ flex: 1 }}>
              <Field
                label={`Zone ${i + 1}`}
                value={zone.name}
                onChange={(name) => name.trim() && put(i, { name: name.slice(0, 60) })}
              />
            </div>
            <Button
              $small
              $icon
              aria-label="Take the zone out"
              onPress={() => onDress({ ...dress, zones: dress.zones.filter((_, at) => at !== i) })}
            >
              <X aria-hidden />
            </Button>
          </div>
          <NumberOption
            label="Up to (empty: the end)"
            value={zone.to ?? undefined}
            onChange={(to) => put(i, { to: to ?? null })}
          />
          {zone.to !== null &&
            i > 0 &&
            dress.zones[i - 1].to !== null &&
            zone.to <= dress.zones[i - 1].to! && (
              <p className="note" role="alert" style={{ color: "var(--alarm)" }}>
                It ends before the zone above it does.
              </p>
            )}
          <ColorChoice
            hideLabel
            label={`Colour of zone ${i + 1}`}
            value={zone.color ?? "c2"}
            onChange={(color) => put(i, { color })}
          />
        </div>
      ))}
      {dress.zones.length < 6 && (
        <Button
          $small
          $look="line"
          onPress={() =>
            onDress({
              ...dress,
              zones: [
                ...dress.zones,
                {
                  name:
                    ["calm", "choppy", "high water", "storm"][dress.zones.length] ??
                    `zone ${dress.zones.length + 1}`,
                  to: null,
                },
              ],
            })
          }
        >
          + Zone
        </Button>
      )}
    </>
  );
}
