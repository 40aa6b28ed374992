"use client";
import { UNITS, type Unit } from "@/core/catalog";
import type { CountReport, Measure } from "@/core/definition";
import { MEASURE_IDS, measures } from "@/core/measure";
import { Button, Choice } from "../../kit";
import { Choose } from "./Choose";
import type { PickerProps } from "./context";
import { fieldOptions, lastField, samePath } from "./fields";
import { Foot, Halves } from "./parts";

/** How it is measured: the measure, its field, its unit. */
export function MeasurePicker({ context, report, index, onChange, onDone }: PickerProps & { report: CountReport; index: number }) {
  const measure = report.measures[index];
  const set = (next: Measure) => onChange({ ...report, measures: report.measures.map((one, i) => (i === index ? next : one)) });
  const choose = (id: Measure["measure"]) => {
    if (!measures[id].needsField) return set({ measure: id });
    const fits = fieldOptions(context.catalog, report.subject.id, measures[id].fits);
    const kept = measure.field && fits.find((option) => samePath(option.value, measure.field!));
    const field = kept?.value ?? fits[0]?.value;
    if (field) set({ measure: id, field: [...field], ...(kept && measure.unit ? { unit: measure.unit } : {}) });
  };
  const path = measure.field && context.catalog.findPath(report.subject.id, measure.field);
  return (
    <>
      <Halves>
        <div className="left"><Choose label="Measure" options={MEASURE_IDS.map((id) => ({ value: id, label: measures[id].words }))} chosen={[measure.measure]} onChoose={choose} /></div>
        <div>
          {measures[measure.measure].needsField ? <Choose label="Of which field" options={fieldOptions(context.catalog, report.subject.id, measures[measure.measure].fits)} chosen={measure.field ? [measure.field] : []} same={samePath} onChoose={(field) => set({ measure: measure.measure, field: [...field] })} /> : <p className="says">How many there are.</p>}
          {path && lastField(path).type === "duration" && measure.measure !== "distinct" && <div style={{ padding: "4px 12px" }}><Choice<Unit> label="In" value={measure.unit ?? lastField(path).unit ?? "minutes"} options={UNITS.map((unit) => [unit, unit] as const)} onChange={(unit) => set({ ...measure, unit })} /></div>}
        </div>
      </Halves>
      <Foot>
        {report.measures.length > 1 && <Button $small onPress={() => { onChange({ ...report, measures: report.measures.filter((_, i) => i !== index) }); onDone(); }}>Take out</Button>}
        <Button $small $look="solid" onPress={onDone}>Done</Button>
      </Foot>
    </>
  );
}
