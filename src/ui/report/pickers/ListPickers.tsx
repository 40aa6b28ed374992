"use client";
import type {
  CountReport,
  CrossingsReport,
  LevelReport,
  ListReport,
  Report,
  SCurveReport,
} from "@/core/kinds";
import { typeOf } from "@/core/catalog";

import { fieldText } from "@/core/sentence";
import { parsePeriod, periodDatesText, periodText, AXIS_PERIODS, resolvePeriod } from "@/core/time";
import { useState } from "react";
import { Button, DayField, Field, Choose } from "../../kit";
import type { PickerProps } from "./context";
import { fieldOptions, lastField, samePath } from "./fields";
import { Foot } from "./parts";

/** The columns of a list, in the order in which they are ticked. */
export function ShowingPicker({
  context,
  report,
  onChange,
  onDone,
}: PickerProps & { report: ListReport }) {
  const toggle = (ids: readonly string[]) =>
    onChange({
      ...report,
      showing: report.showing.some((one) => samePath(one, ids))
        ? report.showing.filter((one) => !samePath(one, ids))
        : [...report.showing, [...ids]],
    });
  return (
    <>
      <Choose
        label="Columns"
        options={fieldOptions(context.catalog, report.subject.id, () => true)}
        chosen={report.showing}
        many
        same={samePath}
        onChoose={toggle}
      />
      <Foot>
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </Foot>
    </>
  );
}

/** By what a list is sorted: several fields in order, each either way. */
export function SortPicker({
  context,
  report,
  onChange,
  onDone,
}: PickerProps & { report: ListReport }) {
  const put = (sorts: ListReport["sorts"]) => onChange({ ...report, sorts });
  const toggle = (ids: readonly string[]) =>
    put(
      report.sorts.some((sort) => samePath(sort.field, ids))
        ? report.sorts.filter((sort) => !samePath(sort.field, ids))
        : [...report.sorts, { field: [...ids] }].slice(-6),
    );
  const isNumber = (ids: readonly string[]) => {
    const path = context.catalog.findPath(report.subject.id, ids);
    return path && typeOf(lastField(path)).kept === "number";
  };
  return (
    <>
      <Choose
        label="Sorted by"
        options={fieldOptions(context.catalog, report.subject.id, (field) => !field.many)}
        chosen={report.sorts.map((sort) => sort.field)}
        many
        same={samePath}
        onChoose={toggle}
      />
      <div style={{ padding: "0 12px 6px" }}>
        {report.sorts.map((sort, i) => (
          <div key={sort.field.join("/")} style={{ display: "flex", gap: 6, alignItems: "center" }}>
            <b style={{ fontWeight: 650 }}>{i + 1}</b>{" "}
            {fieldText(context.catalog, report.subject.id, sort.field)}
            <Button
              $small
              style={{ marginLeft: "auto" }}
              onPress={() =>
                put(
                  report.sorts.map((one, n) =>
                    n === i
                      ? {
                          field: one.field,
                          ...(one.descending ? {} : { descending: true as const }),
                        }
                      : one,
                  ),
                )
              }
            >
              {sort.descending
                ? isNumber(sort.field)
                  ? "largest first"
                  : "last first"
                : isNumber(sort.field)
                  ? "smallest first"
                  : "first first"}
            </Button>
          </div>
        ))}
      </div>
      <Foot>
        <Button
          $small
          onPress={() => {
            put([]);
            onDone();
          }}
        >
          Take out
        </Button>
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </Foot>
    </>
  );
}

/** The period of the time axis. */
export function PeriodPicker({
  context,
  report,
  onChange,
  onDone,
  onTakeOut,
}: PickerProps & {
  report: CountReport | LevelReport | CrossingsReport | SCurveReport;
  /** Where a sentence can do without a period. */
  onTakeOut?: () => void;
}) {
  const [text, setText] = useState(report.period ? periodText(report.period) : "");
  const parsed = parsePeriod(text);
  const meant = (words: string) => {
    const read = parsePeriod(words);
    return read.ok ? periodDatesText(resolvePeriod(read.value, context.now, context.calendar)) : "";
  };
  const set = (words: string) => {
    setText(words);
    const read = parsePeriod(words);
    if (read.ok) onChange({ ...report, period: read.value } as Report);
  };
  return (
    <div style={{ width: 360, maxWidth: "100%" }}>
      <div style={{ padding: "12px 12px 4px" }}>
        <Field
          label="For which period"
          value={text}
          onChange={set}
          error={text && !parsed.ok ? parsed.problems[0].message : null}
          autoFocus
        />
      </div>
      <Choose
        label="A period"
        options={AXIS_PERIODS.map((words) => ({
          value: words,
          label: words,
          about: meant(words),
        }))}
        chosen={[text]}
        onChoose={set}
      />
      <Foot>
        {onTakeOut && (
          <Button $small onPress={onTakeOut}>
            Take out
          </Button>
        )}
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </Foot>
    </div>
  );
}

/** As of which earlier day. */
export function StoodPicker({ report, onChange, onDone }: PickerProps) {
  const [text, setText] = useState(report.stood ?? "");
  const isDay = /^\d{4}-\d\d-\d\d$/.test(text);
  return (
    <div style={{ width: 300 }}>
      <div style={{ padding: 12 }}>
        <DayField
          stacked
          label="As it stood at the end of"
          value={isDay ? text : ""}
          onChange={(next) => {
            setText(next);
            onChange({ ...report, stood: next } as Report);
          }}
        />
      </div>
      <Foot>
        <Button
          $small
          onPress={() => {
            const { stood: _s, ...rest } = report;
            onChange(rest as Report);
            onDone();
          }}
        >
          Take out
        </Button>
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </Foot>
    </div>
  );
}
