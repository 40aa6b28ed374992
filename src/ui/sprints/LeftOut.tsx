"use client";
import { type LevelReport, answerOf } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { PLAIN_DRESS } from "@/core/definition";
import { ask, Checkbox } from "../kit";
import { type contextOf } from "../report";

/** Statuses that the flow leaves out. */
export function LeftOut({
  context,
  report,
  without,
  onWithout,
}: {
  context: ReturnType<typeof contextOf>;
  report: LevelReport;
  without: readonly number[];
  onWithout: (ids: readonly number[]) => void;
}) {
  const { data } = useQuery({
    queryKey: ["figure", { ...report, split: { field: ["status"] } }],
    queryFn: ({ signal }) =>
      ask(
        "figure",
        { definition: { ...report, split: { field: ["status"] } }, dress: PLAIN_DRESS },
        signal,
      ),
  });
  const keys =
    answerOf("level", data)
      ?.split.map((head) => Number(head.key.slice(1)))
      .filter(Number.isFinite) ?? [];
  return (
    <fieldset
      aria-label="Statuses in the flow"
      style={{ border: 0, padding: 0, display: "flex", gap: "2px 14px", flexWrap: "wrap" }}
    >
      {keys.map((id) => (
        <Checkbox
          key={id}
          isSelected={!without.includes(id)}
          onChange={(on) => onWithout(on ? without.filter((one) => one !== id) : [...without, id])}
        >
          {context.catalog.names.find("status", id)?.label ?? String(id)}
        </Checkbox>
      ))}
    </fieldset>
  );
}
