"use client";
import type { Dress } from "@/core/definition";
import { allOfParts, topParts, type Condition, type Leaf } from "@/core/filter";
import { conditionText } from "@/core/sentence";
import { Button } from "../../kit";
import type { PickerProps } from "./context";
import { Foot } from "./parts";
import { TestEditor } from "./TestEditor";
import { withWhere } from "./where";

export interface ConditionPickerProps extends PickerProps {
  /** null adds one. */
  readonly index: number | null;
  readonly dress?: Dress;
  readonly onDress?: (dress: Dress) => void;
  readonly onGroups?: () => void;
}

/** One of the conditions at the top; a group of them opens the builder. */
export function ConditionPicker({
  context,
  report,
  index,
  onChange,
  onDone,
  dress,
  onDress,
  onGroups,
}: ConditionPickerProps) {
  const parts = topParts(report.where);
  const condition = index === null ? undefined : parts[index];
  const put = (next: Condition | null) => {
    const kept = parts.filter((_, i) => i !== index);
    const at = index ?? parts.length;
    onChange(
      withWhere(report, allOfParts(next ? [...kept.slice(0, at), next, ...kept.slice(at)] : kept)),
    );
  };
  const off =
    dress && onDress && index !== null && condition
      ? () => {
          onDress({ ...dress, off: [...dress.off, { at: index, where: condition }] });
          put(null);
          onDone();
        }
      : undefined;
  if (
    condition &&
    (condition.kind === "all" || condition.kind === "any" || condition.kind === "not")
  ) {
    return (
      <>
        <p style={{ padding: "14px 16px", maxWidth: 420, font: "400 17px/24px var(--serif)" }}>
          {conditionText(condition, context.catalog, report.subject.id)}
        </p>
        <Foot>
          <Button
            $small
            onPress={() => {
              put(null);
              onDone();
            }}
          >
            Take out
          </Button>
          {off && (
            <Button $small onPress={off}>
              Switch off
            </Button>
          )}
          {onGroups && (
            <Button
              $small
              $look="solid"
              onPress={() => {
                onGroups();
                onDone();
              }}
            >
              Change the group
            </Button>
          )}
        </Foot>
      </>
    );
  }
  const field = condition?.kind === "test" ? condition.field.join("/") : null;
  const readers =
    dress && onDress && field
      ? {
          chosen: dress.readers.some((one) => one.field === field),
          onChange: (on: boolean) =>
            onDress({
              ...dress,
              readers: on
                ? [...dress.readers, { field }]
                : dress.readers.filter((one) => one.field !== field),
            }),
        }
      : undefined;
  return (
    <TestEditor
      context={context}
      report={report}
      except={index}
      leaf={(condition as Leaf | undefined) ?? null}
      onLeaf={put}
      {...(index === null
        ? {}
        : {
            onTakeOut: () => {
              put(null);
              onDone();
            },
          })}
      onDone={onDone}
      {...(readers ? { readers } : {})}
      {...(off ? { onOff: off } : {})}
      {...(onGroups
        ? {
            onGroups: () => {
              onGroups();
              onDone();
            },
          }
        : {})}
    />
  );
}
