"use client";
import type { ItemField, ItemPage } from "@/contract/items";
import { useRouter } from "next/navigation";
import { Button as AriaButton } from "react-aria-components";
import { ask, tell, Opens, Choose } from "../kit";

export interface Choice {
  readonly id: number;
  readonly label: string;
  readonly stage: string | null;
}

/** An upright word of the item's sentence: choosing another value is one move; undo is the opposite one. */
export function Change({
  item,
  field,
  options,
  current,
  empty,
}: {
  item: ItemPage;
  field: string;
  options: readonly Choice[];
  current: ItemField;
  empty?: string;
}) {
  const router = useRouter();
  const move = async (to: string | null, expected: string | null, isUndo = false) => {
    if (to === expected) return;
    try {
      const told = await ask("changeItems", {
        changes: [{ key: item.key, field, to, expected }],
      });
      if (told.left.length) {
        tell(`${item.key} was left as it is: ${told.left[0].why}.`);
        return router.refresh();
      }
      const words =
        to === null
          ? (empty ?? "not set")
          : (options.find((option) => String(option.id) === to)?.label ?? to);
      tell(
        `${field} is ${words} now.`,
        isUndo ? undefined : { words: "Undo", run: () => void move(expected, to, true) },
      );
    } catch (error) {
      tell((error as Error).message);
    }
    router.refresh();
  };
  if (!item.mayChange) return <span>{current.label ?? empty}</span>;
  return (
    <Opens
      label={`Change the ${field}`}
      placement="bottom start"
      maxHeight={340}
      button={
        <AriaButton
          className="part"
          aria-label={`${field}: ${current.label ?? empty ?? "not set"}. Change it`}
        >
          {current.label ?? empty}
        </AriaButton>
      }
    >
      {(close) => (
        <Choose<string | null>
          label={`Find a ${field}`}
          options={[
            ...(field === "status" ? [] : [{ value: null, label: empty ?? "not set" }]),
            ...options.map((option) => ({
              value: String(option.id),
              label: option.label,
              about: option.stage ?? "",
            })),
          ]}
          chosen={[current.value]}
          onChoose={(to) => {
            close();
            void move(to, current.value);
          }}
        />
      )}
    </Opens>
  );
}
