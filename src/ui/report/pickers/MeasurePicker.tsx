"use client";
import type { CountReport, Report } from "@/core/kinds";
import { useState } from "react";
import { UNITS, type AskContext, type Unit } from "@/core/catalog";
import {
  findPlainMeasure,
  type Measure,
  type PlainMeasure,
  type SimpleMeasure,
} from "@/core/definition";
import { MEASURE_IDS, measures } from "@/core/measure";
import { conditionText, measureText, parseConditionText } from "@/core/sentence";
import { ask, AskProblem, Button, Checkbox, Choice, Field, tell, Choose } from "../../kit";
import type { PickerProps } from "./context";
import { fieldOptions, lastField, samePath } from "./fields";
import { Foot, Halves } from "./parts";

type Kind = SimpleMeasure["measure"] | "named";

/** How it is measured: the measure, its field and unit, conditions of its own, and what it is measured per. */
export function MeasurePicker({
  context,
  report,
  index,
  onChange,
  onDone,
}: PickerProps & { report: CountReport; index: number }) {
  const given = report.measures[index];
  const plain = findPlainMeasure(given, context.catalog) ?? { measure: "count" as const };
  const named = context.catalog.measures.filter((one) => one.subject === report.subject.id);
  const [names, setNames] = useState(false);
  const put = (next: Measure) =>
    onChange({ ...report, measures: report.measures.map((one, i) => (i === index ? next : one)) });
  const set = (next: SimpleMeasure) => put({ ...next, ...(plain.per ? { per: plain.per } : {}) });
  const kind: Kind = "named" in given ? "named" : plain.measure;
  const choose = (id: Kind) =>
    id === "named"
      ? named[0] && put({ named: named[0].id })
      : set(withKind(plain, id, context, report));
  if (names)
    return (
      <NameIt
        context={context}
        report={report}
        measure={plain}
        onNamed={(id) => {
          put({ named: id });
          onDone();
        }}
        onBack={() => setNames(false)}
      />
    );
  return (
    <>
      <Halves>
        <div className="left">
          <Choose<Kind>
            label="Measure"
            options={[
              ...(named.length ? [{ value: "named" as Kind, label: "a named one" }] : []),
              ...MEASURE_IDS.map((id) => ({ value: id as Kind, label: measures[id].words })),
            ]}
            chosen={[kind]}
            onChoose={choose}
          />
        </div>
        {kind === "named" ? (
          <Choose
            label="Named measures"
            options={named.map((one) => ({ value: one.id, label: one.name, about: one.means }))}
            chosen={"named" in given ? [given.named] : []}
            onChoose={(id) => put({ named: id })}
          />
        ) : (
          <Of context={context} report={report} measure={plain} onSet={set} />
        )}
      </Halves>
      {kind !== "named" && (
        <div
          style={{
            padding: "4px 14px 8px",
            display: "grid",
            gap: 6,
            borderTop: "1px solid var(--line)",
          }}
        >
          <OwnConditions
            context={context}
            report={report}
            measure={plain}
            label="Only where (empty: all of them)"
            onSet={set}
          />
          <Checkbox
            isSelected={plain.per !== undefined}
            onChange={(on) => {
              const { per: _per, ...top } = plain;
              put(on ? { ...top, per: { measure: "count" } } : top);
            }}
          >
            Per …, as a ratio
          </Checkbox>
          {plain.per && (
            <Per
              context={context}
              report={report}
              per={plain.per}
              onSet={(per) => put({ ...plain, per })}
            />
          )}
        </div>
      )}
      <Foot>
        {report.measures.length > 1 && (
          <Button
            $small
            onPress={() => {
              onChange({ ...report, measures: report.measures.filter((_, i) => i !== index) });
              onDone();
            }}
          >
            Take out
          </Button>
        )}
        {kind !== "named" && (plain.field || plain.where || plain.per) && (
          <Button $small onPress={() => setNames(true)}>
            Give it a name
          </Button>
        )}
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </Foot>
    </>
  );
}

function withKind<M extends SimpleMeasure>(
  measure: M,
  id: SimpleMeasure["measure"],
  context: AskContext,
  report: Report,
): SimpleMeasure {
  const where = measure.where ? { where: measure.where } : {};
  if (!measures[id].needsField) return { measure: id, ...where };
  const fits = fieldOptions(context.catalog, report.subject.id, measures[id].fits);
  const kept = measure.field && fits.find((option) => samePath(option.value, measure.field!));
  const field = kept?.value ?? fits[0]?.value;
  return field
    ? {
        measure: id,
        field: [...field],
        ...(kept && measure.unit ? { unit: measure.unit } : {}),
        ...where,
      }
    : measure;
}

function Of({
  context,
  report,
  measure,
  onSet,
}: {
  context: AskContext;
  report: Report;
  measure: SimpleMeasure;
  onSet: (measure: SimpleMeasure) => void;
}) {
  const path = measure.field && context.catalog.findPath(report.subject.id, measure.field);
  const field = path && lastField(path);
  const simple: SimpleMeasure = {
    measure: measure.measure,
    ...(measure.field ? { field: measure.field } : {}),
    ...(measure.unit ? { unit: measure.unit } : {}),
    ...(measure.working ? { working: measure.working } : {}),
    ...(measure.where ? { where: measure.where } : {}),
  };
  if (!measures[measure.measure].needsField) return <p className="says">How many there are.</p>;
  return (
    <div>
      <Choose
        label="Of which field"
        options={fieldOptions(context.catalog, report.subject.id, measures[measure.measure].fits)}
        chosen={measure.field ? [measure.field] : []}
        same={samePath}
        onChoose={(ids) =>
          onSet({
            measure: measure.measure,
            field: [...ids],
            ...(measure.where ? { where: measure.where } : {}),
          })
        }
      />
      {field?.type === "duration" && measure.measure !== "distinct" && (
        <div style={{ padding: "4px 12px" }}>
          <Choice<Unit>
            label="In"
            value={measure.unit ?? field.unit ?? "minutes"}
            options={UNITS.map((unit) => [unit, unit] as const)}
            onChange={(unit) => onSet({ ...simple, unit })}
          />
          {field.timed && (
            <Checkbox
              isSelected={measure.working === true}
              onChange={(on) => {
                const { working: _w, ...rest } = simple;
                onSet(
                  on
                    ? { ...rest, unit: measure.unit ?? field.unit ?? "hours", working: true }
                    : rest,
                );
              }}
            >
              Working time
            </Checkbox>
          )}
        </div>
      )}
    </div>
  );
}

/** Conditions of a measure's own, in the words of the sentence. */
function OwnConditions({
  context,
  report,
  measure,
  label,
  onSet,
}: {
  context: AskContext;
  report: Report;
  measure: SimpleMeasure;
  label: string;
  onSet: (measure: SimpleMeasure) => void;
}) {
  const [text, setText] = useState(
    measure.where ? conditionText(measure.where, context.catalog, report.subject.id) : "",
  );
  const read = text.trim() ? parseConditionText(text, report.subject.id, context) : null;
  const change = (next: string) => {
    setText(next);
    const { where: _where, ...rest } = measure;
    if (!next.trim()) return onSet(rest);
    const parsed = parseConditionText(next, report.subject.id, context);
    if (parsed.ok) onSet({ ...rest, where: parsed.value });
  };
  const problem = read && !read.ok ? read.problems[0] : null;
  return (
    <Field
      label={label}
      value={text}
      placeholder="created during this month"
      onChange={change}
      error={
        problem
          ? `${problem.message}${problem.nearest?.length ? `; did you mean ${problem.nearest[0]}?` : ""}`
          : null
      }
    />
  );
}

function Per({
  context,
  report,
  per,
  onSet,
}: {
  context: AskContext;
  report: Report;
  per: SimpleMeasure;
  onSet: (per: SimpleMeasure) => void;
}) {
  const fields = fieldOptions(context.catalog, report.subject.id, measures[per.measure].fits);
  return (
    <div style={{ display: "grid", gap: 6, paddingLeft: 22 }}>
      <Choice
        label="Per"
        value={per.measure}
        options={MEASURE_IDS.map((id) => [id, measures[id].words] as const)}
        onChange={(id) => onSet(withKind(per, id, context, report))}
      />
      {measures[per.measure].needsField && (
        <Choice
          label="Field"
          value={per.field?.join("/") ?? ""}
          options={fields.map((option) => [option.value.join("/"), option.label] as const)}
          onChange={(ids) => onSet({ ...per, field: ids.split("/") })}
        />
      )}
      <OwnConditions
        context={context}
        report={report}
        measure={per}
        label="Only where"
        onSet={onSet}
      />
    </div>
  );
}

function NameIt({
  context,
  report,
  measure,
  onNamed,
  onBack,
}: {
  context: AskContext;
  report: Report;
  measure: PlainMeasure;
  onNamed: (id: number) => void;
  onBack: () => void;
}) {
  const [name, setName] = useState("");
  const [means, setMeans] = useState("");
  const [error, setError] = useState<{ path?: string; message: string } | null>(null);
  const save = async () => {
    try {
      const id = await ask("saveMeasure", {
        name,
        means,
        subject: report.subject.id,
        measure,
      });
      tell(`${name} can be measured by its name now.`);
      onNamed(id);
      location.reload();
    } catch (problem) {
      const [first] = problem instanceof AskProblem ? problem.problems : [];
      setError({
        message: (problem as Error).message,
        ...(first?.path ? { path: first.path } : {}),
      });
    }
  };
  return (
    <div style={{ padding: 14, display: "grid", gap: 10, width: 380 }}>
      <p style={{ font: "400 17px/24px var(--serif)" }}>
        {measureText(measure, context.catalog, report.subject.id)}
      </p>
      <Field
        label="Name"
        value={name}
        onChange={setName}
        error={error && error.path !== "means" ? error.message : null}
        autoFocus
      />
      <Field
        label="What it means, in one line"
        value={means}
        onChange={setMeans}
        error={error?.path === "means" ? error.message : null}
      />
      <Foot>
        <Button $small onPress={onBack}>
          Leave it
        </Button>
        <Button $small $look="solid" onPress={() => void save()}>
          Name it
        </Button>
      </Foot>
    </div>
  );
}
