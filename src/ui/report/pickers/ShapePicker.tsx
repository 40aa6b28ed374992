"use client";
import { shapeInput, type Report } from "@/core/kinds";

import { SHAPE_IDS, shapes, whyNot, type ShapeId } from "@/core/shapes";
import { Button, Choose } from "../../kit";
import type { PickerProps } from "./context";
import { Foot } from "./parts";

/** The pictures; one that cannot show this says why. */
export function ShapePicker({ context, report, onChange, onDone }: PickerProps) {
  const input = shapeInput(report, context.catalog);
  const options = SHAPE_IDS.map((id) => {
    const why = whyNot(shapes[id], input);
    return {
      value: id,
      label: shapes[id].words,
      about: why ?? shapes[id].goodFor,
      isDisabled: why !== null,
    };
  }).sort((a, b) => Number(a.isDisabled) - Number(b.isDisabled));
  const without = () => {
    const { shape: _shape, ...rest } = report;
    onChange(rest as Report);
    onDone();
  };
  return (
    <div style={{ width: 420, maxWidth: "100%" }}>
      <Choose<ShapeId>
        label="As which picture"
        options={options}
        chosen={report.shape ? [report.shape] : []}
        onChoose={(shape) => onChange({ ...report, shape } as Report)}
      />
      <Foot>
        {report.shape && (
          <Button $small onPress={without}>
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
