"use client";
import type { ItemChange, ItemsChanged } from "@/contract/items";
import { useQueryClient } from "@tanstack/react-query";
import { Plus, X } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import type { AskContext, ThingType } from "@/core/catalog";

import { ask, Button, Choice, DayField, tell } from "../kit";

const Bar = styled.section`
  background: var(--mallow);
  border-top: 3px solid var(--plum);
  padding: 8px 20px 8px 22px;
  flex: none;
  font: italic 400 18px/30px var(--serif);
  color: var(--ink-3);
  .say {
    display: flex;
    gap: 8px;
    align-items: center;
    flex-wrap: wrap;
  }
  .acts {
    margin-left: auto;
    display: flex;
    gap: 8px;
  }
  p {
    font: 400 12.5px/17px var(--sans);
    color: var(--ink-2);
    padding-top: 3px;
  }
  b {
    font-style: normal;
    color: var(--ink);
    font-weight: 560;
  }
`;

const FIELDS: readonly (readonly [string, ThingType | null])[] = [
  ["assignee", "person"],
  ["status", "status"],
  ["priority", "priority"],
  ["team", "team"],
  ["due", null],
];
/** What an item never is without. */
const NEEDED = new Set(["status", "priority"]);

interface Setting {
  readonly field: string;
  readonly to: string | null;
}

/** Sends changes of items; says what came of it, with an undo that writes the opposite moves. */
export async function sendChanges(
  changes: readonly ItemChange[],
  after: () => void,
): Promise<ItemsChanged | null> {
  try {
    const told = await ask("changeItems", { changes });
    after();
    const undo = () =>
      void ask("changeItems", {
        changes: told.changed.map(({ key, field, from, to }) => ({
          key,
          field,
          to: from,
          expected: to,
        })),
      }).then(
        (back) => {
          after();
          tell(
            back.left.length
              ? `${back.left.length} could not be put back: ${back.left[0].why}.`
              : "Put back, by the opposite moves.",
          );
        },
        (error: Error) => tell(error.message),
      );
    const left = told.left.length
      ? ` ${told.left[0].key} was left: ${told.left[0].why}${told.left.length > 1 ? `, and ${told.left.length - 1} more` : ""}.`
      : "";
    if (told.changed.length)
      tell(
        `${told.changed.length === 1 ? "1 change" : `${told.changed.length} changes`} made.${left}`,
        { words: "Undo", run: undo },
      );
    else tell(left.trim() || "Nothing had to change.");
    return told;
  } catch (error) {
    tell((error as Error).message);
    return null;
  }
}

/** Changes of one or many items as a sentence: set this to that for the picked. */
export function ChangeMany({
  context,
  picked,
  onDone,
}: {
  context: AskContext;
  picked: ReadonlySet<string>;
  onDone: () => void;
}) {
  const [settings, setSettings] = useState<readonly Setting[]>([{ field: "assignee", to: null }]);
  const client = useQueryClient();
  const put = (i: number, next: Setting) =>
    setSettings(settings.map((one, at) => (at === i ? next : one)));
  const whole = settings.filter(
    (one) =>
      one.to !== null || one.field === "assignee" || one.field === "team" || one.field === "due",
  );
  const send = async () => {
    const changes = [...picked].flatMap((key) =>
      whole.map(({ field, to }) => ({ key, field, to })),
    );
    const told = await sendChanges(changes, () => void client.invalidateQueries());
    if (told?.changed.length) onDone();
  };
  return (
    <Bar aria-label="Change the picked items">
      <div className="say">
        Set
        {settings.map((setting, i) => {
          const type = FIELDS.find(([field]) => field === setting.field)![1];
          return (
            <span key={i} style={{ display: "inline-flex", gap: 8, alignItems: "center" }}>
              {i > 0 && "and"}
              <Choice
                said
                hideLabel
                label="Which field"
                value={setting.field}
                options={FIELDS.map(([field]) => [field, field] as const)}
                disabled={settings.filter((_, at) => at !== i).map((one) => one.field)}
                onChange={(field) => put(i, { field, to: null })}
              />
              to
              {type === null ? (
                <DayField
                  said
                  hideLabel
                  label="Due date"
                  value={setting.to ?? ""}
                  none="no day"
                  back="No day"
                  onChange={(day) => put(i, { ...setting, to: day || null })}
                />
              ) : (
                <Choice
                  said
                  hideLabel
                  label={`New ${setting.field}`}
                  value={setting.to ?? ""}
                  options={[
                    ["", NEEDED.has(setting.field) ? "choose …" : "not set"],
                    ...context.catalog.names
                      .list(type)
                      .map((thing) => [String(thing.id), thing.label] as const),
                  ]}
                  onChange={(id) => put(i, { ...setting, to: id || null })}
                />
              )}
              {settings.length > 1 && (
                <Button
                  $small
                  $icon
                  aria-label="Leave this out"
                  onPress={() => setSettings(settings.filter((_, at) => at !== i))}
                >
                  <X aria-hidden />
                </Button>
              )}
            </span>
          );
        })}
        {settings.length < FIELDS.length && (
          <Button
            $small
            $icon
            $look="line"
            aria-label="And another field"
            onPress={() =>
              setSettings([
                ...settings,
                {
                  field: FIELDS.find(([field]) => !settings.some((one) => one.field === field))![0],
                  to: null,
                },
              ])
            }
          >
            <Plus aria-hidden />
          </Button>
        )}
        for the <b>{picked.size}</b> picked
        <span className="acts">
          <Button onPress={onDone}>Pick none</Button>
          <Button $look="solid" isDisabled={whole.length === 0} onPress={() => void send()}>
            Change {picked.size}
          </Button>
        </span>
      </div>
      <p>
        Each change is a move in the item’s history; what you may not change is left, and said. Undo
        writes the opposite move.
      </p>
    </Bar>
  );
}
