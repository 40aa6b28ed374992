"use client";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import {
  ComboBox,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  type Key,
} from "react-aria-components";
import styled from "styled-components";
import type { Bookable } from "@/contract/hours";
import { ask, Checkbox } from "../kit";

const Line = styled.div`
  padding: 4px 32px 24px;
  display: flex;
  gap: 8px 18px;
  align-items: end;
  flex-wrap: wrap;
  > div label {
    display: block;
    font-size: 12.5px;
    color: var(--ink-2);
  }
  input[role="combobox"] {
    width: 380px;
    max-width: 100%;
    height: 34px;
    padding: 0 10px;
    border: 0;
    background: var(--salt);
    box-shadow: inset 0 -2px 0 var(--plum);
  }
  @media (max-width: 700px) {
    padding: 4px 16px 80px;
  }
`;
const List = styled(Popover)`
  background: var(--salt);
  box-shadow: var(--shade);
  width: 460px;
  max-width: 92vw;
  max-height: 320px;
  overflow: auto;
  [role="option"] {
    padding: 7px 12px;
    cursor: pointer;
    outline: none;
  }
  [role="option"][data-focused] {
    background: var(--mallow-2);
  }
  b {
    font-weight: 620;
  }
  small {
    color: var(--ink-2);
  }
`;

const idOf = ({ item, project }: Bookable): string =>
  item ? `item ${item.key}` : `project ${project?.id}`;

/** Names an item or a project: a line of the week more. */
export function AddLine({ onAdd }: { onAdd: (what: Bookable, billable: boolean) => void }) {
  const [words, setWords] = useState("");
  const [billable, setBillable] = useState(true);
  /** Counts lines that were added: after each the field begins anew, ready for the next. */
  const [added, setAdded] = useState(0);
  const { data = [] } = useQuery({
    queryKey: ["bookable", words.trim()],
    queryFn: ({ signal }) => ask("bookable", { words }, signal),
    enabled: words.trim().length > 1,
  });
  const choose = (key: Key | null) => {
    const found = data.find((one) => idOf(one) === key);
    if (!found) return;
    onAdd(found, billable);
    setWords("");
    setAdded(added + 1);
  };
  return (
    <Line>
      <ComboBox
        key={added}
        autoFocus={added > 0}
        items={data.map((one) => ({ ...one, id: idOf(one) }))}
        inputValue={words}
        onInputChange={setWords}
        selectedKey={null}
        onSelectionChange={choose}
        menuTrigger="input"
        allowsEmptyCollection
      >
        <Label>Another line: an item by key or title, or a project</Label>
        <Input placeholder="engine bed" />
        <List>
          <ListBox
            renderEmptyState={() => (
              <div role="option" aria-selected="false" aria-disabled="true">
                {words.trim().length > 1 ? "Nothing is called so." : "Two letters at least."}
              </div>
            )}
          >
            {(one: Bookable & { id: string }) => (
              <ListBoxItem id={one.id} textValue={one.item?.title ?? one.project?.name ?? ""}>
                {one.item ? (
                  <>
                    <b>{one.item.key}</b> {one.item.title}{" "}
                    <small>{one.project?.name ?? "of no project"}</small>
                  </>
                ) : (
                  <>
                    <b>{one.project?.name}</b> <small>the project itself</small>
                  </>
                )}
              </ListBoxItem>
            )}
          </ListBox>
        </List>
      </ComboBox>
      <Checkbox isSelected={billable} onChange={setBillable}>
        billable
      </Checkbox>
    </Line>
  );
}
