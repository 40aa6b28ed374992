"use client";
import { X } from "lucide-react";
import type { Dress, Rule } from "@/core/definition";
import { fittingColor, nameKey, type Color, type Figure } from "@/core/figure";
import { Button, Checkbox, Choice, Field } from "../../kit";
import { Swatch } from "../../charts";

const PALETTE = [
  "c1",
  "c2",
  "c3",
  "c4",
  "c5",
  "c6",
  "c7",
  "c8",
  "r1",
  "r2",
  "r3",
  "r4",
  "g1",
  "g2",
  "g3",
  "ghost",
  "ink-3",
] as const;
const NAMES: Readonly<Record<string, string>> = {
  c1: "deepwater",
  c2: "slip",
  c3: "lichen",
  c4: "thrift",
  c5: "fjord",
  c6: "tar",
  c7: "heather",
  c8: "pitch",
  r1: "rank 1",
  r2: "rank 2",
  r3: "rank 3",
  r4: "rank 4",
  g1: "good",
  g2: "near",
  g3: "bad",
  ghost: "ghost",
  "ink-3": "grey",
};

export interface DressProps {
  readonly dress: Dress;
  readonly onDress: (dress: Dress) => void;
  readonly figure: Figure | null;
}

export function ColorChoice({
  label,
  value,
  onChange,
  hideLabel,
}: {
  label: string;
  value: string;
  onChange: (color: string) => void;
  hideLabel?: boolean;
}) {
  return (
    <span style={{ display: "flex", alignItems: "center", gap: 6 }}>
      <Swatch color={value as Color} />
      <Choice
        label={label}
        {...(hideLabel ? { hideLabel } : {})}
        value={value}
        options={[
          ...(value && (PALETTE as readonly string[]).includes(value)
            ? []
            : [[value, "own"] as const]),
          ...PALETTE.map((color) => [color, NAMES[color]] as const),
        ]}
        onChange={onChange}
      />
    </span>
  );
}

/** One colour or many, a colour for a value, colours by rules, textures. */
export function Colours({ dress, onDress, figure }: DressProps) {
  const heads = [
    ...(figure?.series ?? []).map((one) => ({
      key: /^m\d/.test(one.key) ? nameKey("measure", one.key.slice(1)) : nameKey("split", one.key),
      label: one.label,
      color: one.color,
    })),
    ...(figure && figure.series.length === 0 && !figure.isTime
      ? figure.rows
          .filter((row) => row.path.length > 0)
          .map((row) => ({
            key: nameKey(row.path.length - 1, row.path[row.path.length - 1]),
            label: row.label,
            color: row.color,
          }))
      : []),
  ].slice(0, 30);
  const fitting = heads.flatMap(({ key, label }) => {
    const color = fittingColor(label);
    return color ? [[key, color] as const] : [];
  });
  return (
    <>
      <Choice
        label="Colours"
        value={dress.coloring}
        options={[
          ["own", "the workspace’s"],
          ["one", "one for all"],
          ["each", "one for each"],
          ["rules", "by rules"],
        ]}
        onChange={(coloring) => onDress({ ...dress, coloring })}
      />
      {dress.coloring === "one" && (
        <ColorChoice
          label="Colour"
          value={dress.oneColor}
          onChange={(oneColor) => onDress({ ...dress, oneColor })}
        />
      )}
      {dress.coloring === "rules" && (
        <Rules dress={dress} onDress={onDress} measures={figure?.measures.length ?? 1} />
      )}
      {dress.coloring !== "one" &&
        heads.map(({ key, label, color }) => (
          <div key={key} className="line">
            <span className="name">{label}</span>
            <span style={{ marginLeft: "auto" }}>
              <ColorChoice
                hideLabel
                label={`Colour of ${label}`}
                value={dress.colors[key] ?? color}
                onChange={(next) => onDress({ ...dress, colors: { ...dress.colors, [key]: next } })}
              />
            </span>
          </div>
        ))}
      <div style={{ display: "flex", gap: 6, flexWrap: "wrap" }}>
        {fitting.length > 0 && (
          <Button
            $small
            $look="line"
            onPress={() =>
              onDress({ ...dress, colors: { ...dress.colors, ...Object.fromEntries(fitting) } })
            }
          >
            Fit to their names
          </Button>
        )}
        {Object.keys(dress.colors).length > 0 && (
          <Button $small onPress={() => onDress({ ...dress, colors: {} })}>
            Own colours again
          </Button>
        )}
      </div>
      <Checkbox
        isSelected={dress.textures}
        onChange={(textures) => onDress({ ...dress, textures })}
      >
        Textures, too
      </Checkbox>
    </>
  );
}

/** Rules that tone cells or colour marks: over, under, or the largest share. */
export function Rules({
  dress,
  onDress,
  measures,
}: {
  dress: Dress;
  onDress: (dress: Dress) => void;
  measures: number;
}) {
  const put = (i: number, more: Partial<Rule>) =>
    onDress({
      ...dress,
      rules: dress.rules.map((one, at) => (at === i ? { ...one, ...more } : one)),
    });
  return (
    <>
      {dress.rules.map((rule, i) => (
        <div
          key={i}
          style={{ background: "var(--salt)", padding: "6px 8px", display: "grid", gap: 4 }}
        >
          <div style={{ display: "flex", gap: 6, alignItems: "center" }}>
            <Choice
              hideLabel
              label={`Rule ${i + 1}`}
              value={rule.kind}
              options={[
                ["over", "over"],
                ["under", "under"],
                ["top share", "the largest … %"],
              ]}
              onChange={(kind) => put(i, { kind })}
            />
            <input
              aria-label={`Value of rule ${i + 1}`}
              type="number"
              value={rule.value}
              onChange={(event) =>
                Number.isFinite(event.target.valueAsNumber) &&
                put(i, { value: event.target.valueAsNumber })
              }
              style={{
                width: 74,
                height: 28,
                border: 0,
                boxShadow: "inset 0 -2px 0 var(--plum)",
                background: "var(--salt)",
                color: "inherit",
              }}
            />
            <Button
              $small
              $icon
              aria-label="Take the rule out"
              onPress={() => onDress({ ...dress, rules: dress.rules.filter((_, at) => at !== i) })}
            >
              <X aria-hidden />
            </Button>
          </div>
          <ColorChoice
            hideLabel
            label={`Colour of rule ${i + 1}`}
            value={rule.color}
            onChange={(color) => put(i, { color })}
          />
          {measures > 1 && (
            <Choice
              label="Of measure"
              value={String(rule.measure)}
              options={Array.from(
                { length: measures },
                (_, n) => [String(n), String(n + 1)] as const,
              )}
              onChange={(n) => put(i, { measure: Number(n) })}
            />
          )}
          <Field
            hideLabel
            label={`Name of rule ${i + 1}`}
            placeholder="what it is called"
            value={rule.name}
            onChange={(name) => put(i, { name: name.slice(0, 60) })}
          />
        </div>
      ))}
      {dress.rules.length < 12 && (
        <Button
          $small
          $look="line"
          onPress={() =>
            onDress({
              ...dress,
              rules: [
                ...dress.rules,
                { kind: "over", value: 10, measure: 0, color: "c4", name: "" },
              ],
            })
          }
        >
          + Rule
        </Button>
      )}
    </>
  );
}
