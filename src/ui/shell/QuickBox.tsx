"use client";
import { useQuery } from "@tanstack/react-query";
import { Calculator, LayoutDashboard, ScrollText, Ticket } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { Autocomplete, Input, ListBox, ListBoxItem, TextField } from "react-aria-components";
import styled from "styled-components";

import { ask, Dialog } from "../kit";
import { takeTyped } from "./typedAhead";

const ICONS = {
  item: Ticket,
  report: ScrollText,
  dashboard: LayoutDashboard,
  sentence: Calculator,
} as const;
const Box = styled.div`
  margin: -20px -24px -22px;
  input {
    width: 100%;
    border: 0;
    background: var(--salt);
    font: italic 400 22px/30px var(--serif);
    padding: 16px 22px;
    color: var(--ink);
    outline: none;
    box-shadow: inset 0 -2px 0 var(--plum) !important;
  }
  .found {
    max-height: 46vh;
    overflow: auto;
    padding: 6px 0;
    outline: none;
    box-shadow: none !important;
  }
  .one {
    outline: none;
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 7px 22px;
    cursor: pointer;
  }
  .one svg {
    width: 16px;
    height: 16px;
    color: var(--plum);
    flex: none;
  }
  .one[data-focused] {
    background: var(--mallow-2);
    box-shadow: inset 3px 0 0 var(--plum) !important;
  }
  .one span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .one em {
    margin-left: auto;
    font-style: normal;
    color: var(--ink-3);
    flex: none;
  }
  p {
    padding: 14px 22px 18px;
    color: var(--ink-2);
  }
`;

/** Takes a sentence, a name or an item key, from anywhere. */
export const QuickBox = ({ onClose }: { onClose: () => void }) => (
  <Dialog label="Say or find" isOpen onOpenChange={onClose}>
    <Finder onClose={onClose} />
  </Dialog>
);

function Finder({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState("");
  const [asked, setAsked] = useState("");
  useEffect(() => setWords((now) => now + takeTyped()), []);
  const router = useRouter();
  useEffect(() => {
    const timer = setTimeout(() => setAsked(words), 120);
    return () => clearTimeout(timer);
  }, [words]);
  const { data: found = [], isFetching } = useQuery({
    queryKey: ["find", asked],
    queryFn: ({ signal }) => ask("find", { words: asked }, signal),
    enabled: asked.trim() !== "",
  });
  const go = (href: string) => {
    onClose();
    router.push(href);
  };
  const list = asked.trim() ? found : [];
  const hasNone = words.trim() !== "" && list.length === 0 && !isFetching && asked === words;
  return (
    <Box>
      <Autocomplete inputValue={words} onInputChange={setWords}>
        <TextField aria-label="Say what to count, or find something" autoFocus>
          <Input
            placeholder="count faults by service, a name, or D1204"
            maxLength={10_000}
            onKeyDown={(event) => {
              if (event.key !== "Enter") return;
              // What is listed belongs to other words as long as these have not been asked.
              if (asked !== words) setAsked(words);
              else if (list[0] && !event.currentTarget.getAttribute("aria-activedescendant"))
                go(list[0].href);
            }}
          />
        </TextField>
        <ListBox
          className="found"
          aria-label="Found"
          items={list.map((one) => ({ ...one, id: one.href }))}
          selectionMode="none"
          onAction={(href) => asked === words && go(String(href))}
        >
          {(one) => {
            const Icon = ICONS[one.kind];
            return (
              <ListBoxItem className="one" textValue={one.words}>
                <Icon aria-hidden />
                <span>{one.words}</span>
                <em>{one.about}</em>
              </ListBoxItem>
            );
          }}
        </ListBox>
      </Autocomplete>
      {hasNone && <p role="status">Nothing is called that, and it is not a sentence.</p>}
    </Box>
  );
}
