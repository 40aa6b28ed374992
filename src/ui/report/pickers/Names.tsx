"use client";
import { asList, type Report, isHistory } from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { type Field } from "@/core/catalog";

import { VIEWER_WORDS, type Value } from "@/core/filter";
import { ask, Choose, type Option } from "../../kit";
import { sameValue } from "./values";

const WORDS_OF = {
  me: "person",
  "my team": "team",
  "my teams": "team",
  "my projects": "project",
} as const;

/** The values of a field with what each would give; those beyond the first are looked for on the server. */
export function Names({
  report,
  except,
  field,
  ids,
  chosen,
  many,
  more = [],
  onChoose,
}: {
  report: Report;
  except: number | null;
  field: Field;
  ids: readonly string[];
  chosen: readonly Value[];
  many?: boolean;
  more?: readonly Option<Value>[];
  onChoose: (value: Value) => void;
}) {
  const [words, setWords] = useState("");
  const counted = asList(isHistory(report) ? { subject: report.subject } : report);
  const { data, isError } = useQuery({
    queryKey: ["values", counted, ids, except, words],
    queryFn: ({ signal }) =>
      ask(
        "values",
        {
          definition: counted,
          field: ids,
          ...(except === null ? {} : { except }),
          ...(words.trim() ? { words } : {}),
        },
        signal,
      ),
    placeholderData: keepPreviousData,
  });
  const said: Option<Value>[] = [
    ...(field.thing
      ? VIEWER_WORDS.filter((word) => WORDS_OF[word] === field.thing).map((word) => ({
          value: { kind: "viewer" as const, word },
          label: word,
          group: "Whoever is looking",
        }))
      : []),
    ...(field.thing === "status" || field.id === "stage"
      ? [
          {
            value: { kind: "stage" as const, stage: "open" as const },
            label: "open",
            about: "waiting or under way",
            group: "Stages",
          },
          ...(field.thing
            ? [
                {
                  value: { kind: "stage" as const, stage: "finished" as const },
                  label: "finished",
                  group: "Stages",
                },
              ]
            : []),
        ]
      : []),
    ...(field.thing === "sprint"
      ? [
          {
            value: { kind: "current" as const },
            label: "current",
            about: "begun, not closed",
            group: "Now",
          },
        ]
      : []),
    ...more,
  ];
  const listed: Option<Value>[] = (data ?? []).map((line) => ({
    value: line.value,
    label: line.label,
    about: `${line.about ? `${line.about} · ` : ""}${line.count}`,
    group: "Values",
  }));
  const unlisted = chosen
    .filter(
      (value) => value.kind === "text" && !listed.some((option) => sameValue(option.value, value)),
    )
    .map((value) => ({ value, label: value.kind === "text" ? value.text : "", group: "Values" }));
  const typed: Option<Value>[] =
    field.type === "text" && words.trim() && !listed.some((option) => option.label === words.trim())
      ? [
          {
            value: { kind: "text", text: words.trim() },
            label: words.trim(),
            about: "as typed",
            group: "Values",
          },
        ]
      : [];
  if (!data && !isError)
    return (
      <p className="says" role="status">
        Counting what each would give …
      </p>
    );
  return (
    <Choose<Value>
      label={`Find a ${field.words}`}
      options={[...said, ...unlisted, ...typed, ...listed]}
      chosen={chosen}
      many={many}
      same={sameValue}
      onChoose={onChoose}
      onFind={setWords}
    />
  );
}
