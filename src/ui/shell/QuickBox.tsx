"use client";
import { useQuery } from "@tanstack/react-query";
import { Calculator, LayoutDashboard, ScrollText, Ticket } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useId, useState, type KeyboardEvent } from "react";
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
  ul {
    max-height: 46vh;
    overflow: auto;
    padding: 6px 0;
  }
  li {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 7px 22px;
    cursor: pointer;
  }
  li svg {
    width: 16px;
    height: 16px;
    color: var(--plum);
    flex: none;
  }
  li[aria-selected="true"] {
    background: var(--mallow-2);
    box-shadow: inset 3px 0 0 var(--plum);
  }
  li span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  li em {
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
  const [at, setAt] = useState(0);
  const router = useRouter();
  const id = useId();
  useEffect(() => {
    const timer = setTimeout(() => setAsked(words), 120);
    return () => clearTimeout(timer);
  }, [words]);
  const { data: found = [], isFetching } = useQuery({
    queryKey: ["find", asked],
    queryFn: ({ signal }) => ask("find", { words: asked }, signal),
    enabled: asked.trim() !== "",
  });
  useEffect(() => setAt(0), [found]);
  const go = (href: string) => {
    onClose();
    router.push(href);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      setAt((at + (event.key === "ArrowDown" ? 1 : -1) + found.length) % Math.max(found.length, 1));
    } else if (event.key === "Enter" && asked === words && found[at]) go(found[at].href);
    else if (event.key === "Enter") setAsked(words);
  };
  const list = asked.trim() ? found : [];
  return (
    <Box>
      <input
        autoFocus
        role="combobox"
        aria-expanded={list.length > 0}
        aria-controls={id}
        aria-activedescendant={list[at] ? `${id}-${at}` : undefined}
        aria-label="Say what to count, or find something"
        placeholder="count faults by service, a name, or D1204"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={onKeyDown}
        maxLength={10_000}
      />
      <ul id={id} role="listbox" aria-label="Found">
        {list.map((one, i) => {
          const Icon = ICONS[one.kind];
          return (
            <li
              key={one.href}
              id={`${id}-${i}`}
              role="option"
              aria-selected={i === at}
              onClick={() => go(one.href)}
              onMouseEnter={() => setAt(i)}
            >
              <Icon aria-hidden />
              <span>{one.words}</span>
              <em>{one.about}</em>
            </li>
          );
        })}
      </ul>
      {words.trim() !== "" && list.length === 0 && !isFetching && asked === words && (
        <p role="status">Nothing is called that, and it is not a sentence.</p>
      )}
    </Box>
  );
}
