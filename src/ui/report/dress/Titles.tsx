"use client";

import { nameKey } from "@/core/figure";
import { Field } from "../../kit";
import type { DressProps } from "./Colours";
import { withText, type TitleText } from "./titleTexts";

/** A text of a dress; empty takes it out. */
export function TextOption({
  label,
  placeholder,
  value,
  most,
  onChange,
}: {
  label: string;
  placeholder?: string;
  value: string | undefined;
  most: number;
  onChange: (text: string | undefined) => void;
}) {
  return (
    <Field
      label={label}
      {...(placeholder ? { placeholder } : {})}
      value={value ?? ""}
      onChange={(text) => onChange(text.trim() ? text.slice(0, most) : undefined)}
    />
  );
}

export function Titles({ dress, onDress, title }: DressProps & { title: string }) {
  const put = (name: TitleText) => (text: string | undefined) =>
    onDress(withText(dress, name, text));
  return (
    <>
      <TextOption
        label="Title (the report’s name, if empty)"
        placeholder={title}
        value={dress.title}
        most={200}
        onChange={put("title")}
      />
      <TextOption label="Subtitle" value={dress.subtitle} most={300} onChange={put("subtitle")} />
      <TextOption label="Footnote" value={dress.footnote} most={500} onChange={put("footnote")} />
      <label style={{ fontSize: 12.5, color: "var(--ink-2)" }}>
        What it is for, and what it takes for granted
        <textarea
          value={dress.description ?? ""}
          maxLength={4000}
          onChange={(event) => put("description")(event.target.value || undefined)}
          style={{
            width: "100%",
            minHeight: 72,
            border: 0,
            background: "var(--salt)",
            boxShadow: "inset 0 -2px 0 var(--plum)",
            padding: "5px 10px",
            font: "inherit",
            color: "var(--ink)",
          }}
        />
      </label>
    </>
  );
}

export function Names({ dress, onDress, figure }: DressProps) {
  const marks = figure?.measures ?? [];
  const measures =
    marks.length > 1
      ? marks.map((mark, i) => ({
          key: nameKey("measure", String(i)),
          label: mark.label,
        }))
      : [];
  const heads = [
    ...measures,
    ...(figure?.rows ?? [])
      .filter((row) => row.path.length === 1 && !figure?.isTime)
      .map((row) => ({ key: nameKey(0, row.path[0]), label: row.label })),
    ...(figure?.series ?? [])
      .filter((one) => !/^m\d/.test(one.key))
      .map(({ key, label }) => ({ key: nameKey("split", key), label })),
  ].slice(0, 40);
  const rename = (key: string, name: string) => {
    const { [key]: _old, ...rest } = dress.names;
    onDress({ ...dress, names: name.trim() ? { ...rest, [key]: name.slice(0, 200) } : rest });
  };
  return (
    <>
      {heads.map(({ key, label }) => (
        <Field
          key={key}
          label={dress.names[key] ? "Called" : label}
          value={dress.names[key] ?? ""}
          placeholder={label}
          onChange={(name) => rename(key, name)}
        />
      ))}
      <p className="note">
        Names change what is read, never what is counted. Empty takes the own name back.
      </p>
    </>
  );
}
