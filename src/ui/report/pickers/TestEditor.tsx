"use client";
import type { Report } from "@/core/kinds";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import {
  isDate,
  lastOf,
  UNITS,
  type AskContext,
  type Field,
  type FieldPath,
  type SubjectId,
  type Unit,
} from "@/core/catalog";

import {
  OPERATOR_IDS,
  operators,
  VIEWER_WORDS,
  type Became,
  type Leaf,
  type LinkTest,
  type OperatorId,
  type Test,
  type Value,
} from "@/core/filter";
import { isMoved, isOfItem, leafText } from "@/core/sentence";

import {
  parsePeriod,
  periodDatesText,
  periodText,
  PERIOD_EXAMPLES,
  resolvePeriod,
  type Period,
} from "@/core/time";
import { ask, Button, Checkbox, Choice, Field as TextField } from "../../kit";
import { Choose, type Option } from "./Choose";
import { fieldOptions } from "./fields";
import { Foot, Halves } from "./parts";
import { sameValue } from "./values";

interface EditorProps {
  readonly context: AskContext;
  /** Whose records values are counted among, without the condition at `except`. */
  readonly report: Report;
  readonly except: number | null;
  readonly leaf: Leaf | null;
  /** A leaf that can be asked: called at each choice where there was one before, else when done. */
  readonly onLeaf: (leaf: Leaf) => void;
  readonly onTakeOut?: () => void;
  readonly onDone: () => void;
  readonly readers?: { readonly chosen: boolean; readonly onChange: (chosen: boolean) => void };
  readonly onOff?: () => void;
  readonly onGroups?: () => void;
}

type Begin =
  | { readonly kind: "field"; readonly ids: readonly string[] }
  | { readonly kind: "link" }
  | { readonly kind: "filter"; readonly id: number };
const sameBegin = (a: Begin, b: Begin): boolean => JSON.stringify(a) === JSON.stringify(b);

/** One condition: what it is on, how it is tested, against what. */
export function TestEditor(props: EditorProps) {
  const { context, report, leaf, onLeaf, onDone } = props;
  const [draft, setDraft] = useState<Leaf | null>(leaf);
  const subject = report.subject.id;
  const set = (next: Leaf) => {
    setDraft(next);
    if (leaf !== null && isWhole(next)) onLeaf(next);
  };
  if (!draft) {
    const { catalog } = context;
    const options: Option<Begin>[] = [
      ...catalog.filters
        .filter((filter) => filter.subject.id === subject)
        .map((filter) => ({
          value: { kind: "filter" as const, id: filter.id },
          label: `in filter ${filter.name}`,
          about: filter.purpose.slice(0, 40),
          group: "Saved filters",
        })),
      ...fieldOptions(catalog, subject, () => true).map((option) => ({
        ...option,
        value: { kind: "field" as const, ids: option.value },
      })),
      ...(subject === "items"
        ? [
            {
              value: { kind: "link" as const },
              label: "link",
              about: "to another item",
              group: "Links",
            },
          ]
        : []),
    ];
    const begin = (chosen: Begin) => {
      if (chosen.kind === "filter") {
        onLeaf({ kind: "filter", filter: chosen.id });
        onDone();
      } else if (chosen.kind === "link") setDraft({ kind: "link", link: catalog.links[0] });
      else {
        const field = lastOf(catalog.findPath(subject, chosen.ids)!);
        setDraft({
          kind: "test",
          field: [...chosen.ids],
          operator: isDate(field)
            ? "during"
            : OPERATOR_IDS.find((id) => operators[id].fits(field))!,
          values: [],
        });
      }
    };
    return (
      <>
        <Choose<Begin>
          label="Where which field"
          options={options}
          chosen={[]}
          same={sameBegin}
          onChoose={begin}
        />
        {props.onGroups && (
          <Foot>
            <Button $small onPress={props.onGroups}>
              Conditions in groups
            </Button>
          </Foot>
        )}
      </>
    );
  }
  const finish = () => {
    if (leaf === null && isWhole(draft)) onLeaf(draft);
    onDone();
  };
  return (
    <>
      {draft.kind === "link" ? (
        <LinkEditor context={context} leaf={draft} onSet={set} />
      ) : draft.kind === "filter" ? (
        <p style={{ padding: "14px 16px", maxWidth: 380, font: "400 17px/24px var(--serif)" }}>
          {leafText(draft, context.catalog, subject)}
        </p>
      ) : (
        <FieldEditor {...props} leaf={draft} onSet={set} />
      )}
      {props.readers && (
        <div style={{ padding: "2px 14px 6px" }}>
          <Checkbox isSelected={props.readers.chosen} onChange={props.readers.onChange}>
            Readers may change it
          </Checkbox>
        </div>
      )}
      <Foot>
        {props.onTakeOut && (
          <Button $small onPress={props.onTakeOut}>
            Take out
          </Button>
        )}
        {props.onOff && (
          <Button $small onPress={props.onOff}>
            Switch off
          </Button>
        )}
        {props.onGroups && (
          <Button $small onPress={props.onGroups}>
            In groups
          </Button>
        )}
        <Button $small $look="solid" isDisabled={!isWhole(draft)} onPress={finish}>
          Done
        </Button>
      </Foot>
    </>
  );
}

export function isWhole(leaf: Leaf): boolean {
  if (leaf.kind !== "test") return true;
  const { takes } = operators[leaf.operator];
  return (
    takes === "nothing" || leaf.values.length >= (takes === "numbers" || takes === "days" ? 2 : 1)
  );
}

function LinkEditor({
  context,
  leaf,
  onSet,
}: {
  context: AskContext;
  leaf: LinkTest;
  onSet: (leaf: Leaf) => void;
}) {
  const side = `${leaf.no ? "no " : ""}${leaf.toIt ? "to" : "from"}`;
  const put = (next: string) =>
    onSet({
      kind: "link",
      link: leaf.link,
      ...(next.endsWith("to") ? { toIt: true } : {}),
      ...(next.startsWith("no ") ? { no: true } : {}),
    });
  return (
    <Halves>
      <div className="left">
        <Choose
          label="How"
          options={[
            ["from", "it has such a link"],
            ["to", "such a link leads to it"],
            ["no from", "it has no such link"],
            ["no to", "no such link leads to it"],
          ].map(([value, label]) => ({ value, label }))}
          chosen={[side]}
          onChoose={put}
        />
      </div>
      <Choose
        label="Link"
        options={context.catalog.links.map((link) => ({ value: link, label: link }))}
        chosen={[leaf.link]}
        onChoose={(link) => onSet({ ...leaf, link })}
      />
    </Halves>
  );
}

/** How a field is tested: its value now, its value at the end of a day, or that it became one. */
type How = OperatorId | "became";

function FieldEditor({
  context,
  report,
  except,
  leaf,
  onSet,
}: Omit<EditorProps, "leaf"> & { leaf: Test | Became; onSet: (leaf: Leaf) => void }) {
  const subject: SubjectId = report.subject.id;
  const path = context.catalog.findPath(subject, leaf.field);
  if (!path) return <p style={{ padding: 14 }}>This field is gone; take the condition out.</p>;
  const field = lastOf(path);
  const how: How = leaf.kind === "became" ? "became" : leaf.operator;
  const fitting = OPERATOR_IDS.filter((id) => operators[id].fits(field));
  const options: Option<How>[] = [
    ...fitting.map((id) => ({ value: id as How, label: operators[id].words })),
    ...(isMoved(path, subject) ? [{ value: "became" as How, label: "became" }] : []),
  ];
  const choose = (next: How) => {
    if (next === "became")
      onSet({
        kind: "became",
        field: [...leaf.field],
        to: (leaf.kind === "test" ? leaf.values[0] : leaf.to) ?? { kind: "unset" },
      });
    else
      onSet(
        leaf.kind === "became"
          ? { kind: "test", field: leaf.field, operator: next, values: [] }
          : { ...leaf, operator: next, values: keptValues(leaf, next) },
      );
  };
  return (
    <>
      <Halves>
        <div className="left">
          <Choose<How> label={field.words} options={options} chosen={[how]} onChoose={choose} />
        </div>
        {leaf.kind === "became" ? (
          <BecameEditor {...{ context, report, except, leaf, field, onSet }} />
        ) : (
          <Operand
            context={context}
            report={report}
            except={except}
            path={path}
            draft={leaf}
            onSet={onSet}
          />
        )}
      </Halves>
      {leaf.kind === "test" && isOfItem(path, subject) && (
        <AsOf context={context} leaf={leaf} onSet={onSet} />
      )}
    </>
  );
}

function AsOf({
  context,
  leaf,
  onSet,
}: {
  context: AskContext;
  leaf: Test;
  onSet: (leaf: Leaf) => void;
}) {
  const { asOf, ...now } = leaf;
  return (
    <div style={{ padding: "4px 14px", display: "flex", gap: 10, alignItems: "flex-end" }}>
      <Checkbox
        isSelected={asOf !== undefined}
        onChange={(on) => onSet(on ? { ...leaf, asOf: { kind: "day", which: "yesterday" } } : now)}
      >
        As of an earlier date
      </Checkbox>
      {asOf && (
        <PeriodField
          context={context}
          label="Its value at the end of"
          period={asOf}
          onPeriod={(period) => period && onSet({ ...leaf, asOf: period })}
        />
      )}
    </div>
  );
}

function BecameEditor({
  context,
  report,
  except,
  leaf,
  field,
  onSet,
}: {
  context: AskContext;
  report: Report;
  except: number | null;
  leaf: Became;
  field: Field;
  onSet: (leaf: Leaf) => void;
}) {
  const { from, during, ...rest } = leaf;
  const unset: Option<Value> = { value: { kind: "unset" }, label: "not set" };
  return (
    <div>
      <Names
        report={report}
        except={except}
        field={field}
        ids={leaf.field}
        chosen={[leaf.to]}
        more={[unset]}
        onChoose={(to) => onSet({ ...leaf, to })}
      />
      <div style={{ padding: "2px 12px 8px", display: "grid", gap: 4 }}>
        <PeriodField
          context={context}
          label="During (empty: ever)"
          period={during}
          onPeriod={(period) =>
            onSet({ ...rest, ...(from ? { from } : {}), ...(period ? { during: period } : {}) })
          }
        />
        <Checkbox
          isSelected={from !== undefined}
          onChange={(on) =>
            onSet({
              ...rest,
              ...(during ? { during } : {}),
              ...(on ? { from: { kind: "unset" } } : {}),
            })
          }
        >
          After being …
        </Checkbox>
      </div>
      {from && (
        <Names
          report={report}
          except={except}
          field={field}
          ids={leaf.field}
          chosen={[from]}
          more={[unset]}
          onChoose={(value) => onSet({ ...leaf, from: value })}
        />
      )}
    </div>
  );
}

/** A period or a date, with the dates it means beside it. */
export function PeriodField({
  context,
  label,
  period,
  onPeriod,
}: {
  context: AskContext;
  label: string;
  period: Period | undefined;
  onPeriod: (period: Period | undefined) => void;
}) {
  const [text, setText] = useState(period ? periodText(period) : "");
  const parsed = parsePeriod(text);
  const change = (next: string) => {
    setText(next);
    const read = parsePeriod(next);
    if (!next.trim()) onPeriod(undefined);
    else if (read.ok) onPeriod(read.value);
  };
  return (
    <div>
      <TextField
        label={label}
        value={text}
        onChange={change}
        error={text.trim() && !parsed.ok ? parsed.problems[0].message : null}
      />
      {parsed.ok && text.trim() && (
        <small style={{ color: "var(--ink-2)" }}>
          {periodDatesText(resolvePeriod(parsed.value, context.now, context.calendar))}
        </small>
      )}
    </div>
  );
}

/** Values that still make sense under another operator. */
function keptValues(test: Test, operator: OperatorId): readonly Value[] {
  const [before, next] = [operators[test.operator].takes, operators[operator].takes];
  const family = {
    value: "names",
    values: "names",
    day: "time",
    period: "time",
    number: "number",
    text: "text",
  } as Partial<Record<typeof next, string>>;
  if (!family[before] || family[before] !== family[next]) return [];
  return next === "value" ? test.values.slice(0, 1) : test.values;
}

function Operand({
  context,
  report,
  except,
  path,
  draft,
  onSet,
}: {
  context: AskContext;
  report: Report;
  except: number | null;
  path: FieldPath;
  draft: Test;
  onSet: (test: Test) => void;
}) {
  const field = lastOf(path);
  const { takes } = operators[draft.operator];
  if (takes === "nothing")
    return <p className="says">{field.words} has nothing more to say here.</p>;
  if (takes === "text")
    return (
      <div style={{ padding: 12 }}>
        <TextField
          label="Text"
          value={draft.values[0]?.kind === "text" ? draft.values[0].text : ""}
          onChange={(text) => onSet({ ...draft, values: text ? [{ kind: "text", text }] : [] })}
          autoFocus
        />
      </div>
    );
  if (takes === "number" || takes === "numbers")
    return (
      <Numbers field={field} draft={draft} count={takes === "numbers" ? 2 : 1} onSet={onSet} />
    );
  if (takes === "day" || takes === "period" || takes === "days")
    return (
      <Periods context={context} draft={draft} count={takes === "days" ? 2 : 1} onSet={onSet} />
    );
  const many = takes === "values";
  const choose = (value: Value) => {
    const has = draft.values.some((one) => sameValue(one, value));
    onSet({
      ...draft,
      values: !many
        ? [value]
        : has
          ? draft.values.filter((one) => !sameValue(one, value))
          : [...draft.values, value],
    });
  };
  return (
    <Names
      report={report}
      except={except}
      field={field}
      ids={draft.field}
      chosen={draft.values}
      many={many}
      onChoose={choose}
    />
  );
}

const WORDS_OF = {
  me: "person",
  "my team": "team",
  "my teams": "team",
  "my projects": "project",
} as const;

/** The values of a field with what each would give; those beyond the first are looked for on the server. */
function Names({
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
  const counted: Report =
    report.kind === "count" || report.kind === "list"
      ? {
          kind: "list",
          subject: report.subject,
          showing: [],
          sorts: [],
          ...(report.where ? { where: report.where } : {}),
          ...(report.stood ? { stood: report.stood } : {}),
        }
      : { kind: "list", subject: report.subject, showing: [], sorts: [] };
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

const NUMBER = /^-?\d+(\.\d+)?$/;

function Numbers({
  field,
  draft,
  count,
  onSet,
}: {
  field: Field;
  draft: Test;
  count: number;
  onSet: (test: Test) => void;
}) {
  const [texts, setTexts] = useState(() =>
    Array.from({ length: count }, (_, i) => {
      const value = draft.values[i];
      return value?.kind === "number" ? value.number : "";
    }),
  );
  const first = draft.values.find((value) => value.kind === "number");
  const unit = (first?.kind === "number" ? first.unit : undefined) ?? field.unit ?? "minutes";
  const [working, setWorking] = useState(first?.kind === "number" && first.working === true);
  const set = (next: readonly string[], inUnit: Unit, inWorking: boolean) =>
    onSet({
      ...draft,
      values: next.every((text) => NUMBER.test(text))
        ? next.map((number) => ({
            kind: "number",
            number,
            ...(field.type === "duration" ? { unit: inUnit } : {}),
            ...(inWorking ? { working: true as const } : {}),
          }))
        : [],
    });
  const change = (i: number, text: string) => {
    const next = texts.map((one, at) => (at === i ? text.trim() : one));
    setTexts(next);
    set(next, unit, working);
  };
  return (
    <div style={{ padding: 12, display: "grid", gap: 10 }}>
      {texts.slice(0, count).map((text, i) => (
        <TextField
          key={i}
          label={count === 2 ? ["From", "To"][i] : "Number"}
          value={text}
          onChange={(next) => change(i, next)}
          error={text !== "" && !NUMBER.test(text) ? `"${text}" is not a number` : null}
          autoFocus={i === 0}
        />
      ))}
      {field.type === "duration" && (
        <Choice<Unit>
          label="In"
          value={unit}
          options={UNITS.map((one) => [one, one] as const)}
          onChange={(next) => set(texts, next, working)}
        />
      )}
      {field.timed && (
        <Checkbox
          isSelected={working}
          onChange={(on) => {
            setWorking(on);
            set(texts, unit, on);
          }}
        >
          Working time
        </Checkbox>
      )}
    </div>
  );
}

function Periods({
  context,
  draft,
  count,
  onSet,
}: {
  context: AskContext;
  draft: Test;
  count: number;
  onSet: (test: Test) => void;
}) {
  const textAt = (i: number) => {
    const value = draft.values[i];
    return value?.kind === "period" ? periodText(value.period) : "";
  };
  const [texts, setTexts] = useState(() => Array.from({ length: count }, (_, i) => textAt(i)));
  const meant = (text: string) => {
    const parsed = parsePeriod(text);
    return parsed.ok
      ? periodDatesText(resolvePeriod(parsed.value, context.now, context.calendar))
      : null;
  };
  const change = (i: number, text: string) => {
    const next = texts.map((one, at) => (at === i ? text : one));
    setTexts(next);
    const parsed = next.map(parsePeriod);
    onSet({
      ...draft,
      values: parsed.every((one) => one.ok)
        ? parsed.map((one) => ({
            kind: "period",
            period: one.ok ? one.value : { kind: "day", which: "today" },
          }))
        : [],
    });
  };
  const isDay = /^\d{4}-\d\d-\d\d$/.test(texts[0]);
  return (
    <div>
      <div style={{ padding: "12px 12px 4px", display: "grid", gap: 8 }}>
        {texts.slice(0, count).map((text, i) => {
          const parsed = parsePeriod(text);
          return (
            <TextField
              key={i}
              label={count === 2 ? ["From", "Until"][i] : "A period, or a date as 2026-10-31"}
              value={text}
              onChange={(next) => change(i, next)}
              error={text && !parsed.ok ? parsed.problems[0].message : null}
              autoFocus={i === 0}
            />
          );
        })}
        {count === 1 && meant(texts[0]) && (
          <p style={{ color: "var(--ink-2)" }}>{meant(texts[0])}</p>
        )}
        {texts.slice(0, count).map((text, i) => (
          <TextField
            key={`day ${i}`}
            type="date"
            label={
              count === 2
                ? ["From, by the calendar", "Until, by the calendar"][i]
                : "By the calendar"
            }
            value={isDay || count === 2 ? text : ""}
            onChange={(next) => next && change(i, next)}
          />
        ))}
      </div>
      {count === 1 && (
        <Choose
          label="A period"
          options={PERIOD_EXAMPLES.map((words) => ({
            value: words,
            label: words,
            about: meant(words) ?? "",
          }))}
          chosen={[texts[0]]}
          onChoose={(words) => change(0, words)}
        />
      )}
    </div>
  );
}
