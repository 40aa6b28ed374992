"use client";
import { type Report, completeSentence, parseSentence, type Completion } from "@/core/kinds";
import { CircleAlert } from "lucide-react";
import {
  useEffect,
  useId,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
} from "react";
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { ReadingLine } from "@/contract/questions";
import { MEANINGS } from "@/core/sentence/meanings";
import type { AskContext } from "@/core/catalog";

import type { Problem } from "@/core/base";

import { ask, Button } from "../kit";
import { sayStyle } from "./sentenceStyle";

const Frame = styled.div<{ $length: number }>`
  position: relative;
  background: var(--salt);
  box-shadow:
    inset 0 -3px 0 var(--plum),
    0 0 0 3px var(--plum);
  margin: 6px -16px 0;
  padding: 4px 16px 8px;
  textarea,
  .under {
    ${sayStyle} width: 100%;
    border: 0;
    padding: 0;
    margin: 0;
    display: block;
    white-space: pre-wrap;
    overflow-wrap: break-word;
    background: none;
    resize: none;
    overflow: hidden;
    outline: none !important;
    box-shadow: none !important;
  }
  textarea {
    position: relative;
    color: var(--ink);
    caret-color: var(--plum);
  }
  .under {
    position: absolute;
    left: 16px;
    right: 16px;
    top: 4px;
    width: auto;
    color: transparent;
    pointer-events: none;
  }
  .under mark {
    background: none;
    color: transparent;
    text-decoration: underline wavy var(--alarm) 3px;
    text-underline-offset: 5px;
    text-decoration-skip-ink: none;
  }
`;
const ErrorLine = styled.div`
  display: flex;
  align-items: center;
  gap: 9px;
  min-height: 34px;
  flex-wrap: wrap;
  svg {
    color: var(--alarm);
    flex: none;
  }
  .key {
    color: var(--ink-3);
  }
`;
const List = styled.div`
  position: absolute;
  z-index: 10;
  width: min(610px, calc(100vw - 32px));
  background: var(--salt);
  border-top: 3px solid var(--plum);
  box-shadow: var(--shade);
  margin-top: 2px;
  .expected {
    padding: 8px 14px 4px;
    color: var(--ink-2);
    font-size: 13px;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 90px minmax(0, 1fr);
    gap: 10px;
    padding: 3px 14px;
    cursor: pointer;
    align-items: baseline;
  }
  li[aria-selected="true"] {
    background: var(--mallow-2);
    box-shadow: inset 3px 0 0 var(--plum);
  }
  li b {
    font: 500 17px/24px var(--serif);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  li b.join {
    font-style: italic;
    color: var(--ink-2);
  }
  li span {
    color: var(--ink-2);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .foot {
    background: var(--mallow);
    padding: 6px 14px;
    font-size: 12.5px;
    color: var(--ink-2);
    display: flex;
    gap: 16px;
  }
  kbd {
    font: 500 11.5px/16px var(--sans);
    border-bottom: 1.5px solid currentColor;
    padding: 0 3px;
  }
`;
const SHOWN = 8;

interface TypedProps {
  readonly context: AskContext;
  readonly start: string;
  readonly onRead: (report: Report) => void;
  readonly onProblem: (problem: Problem | null) => void;
  /** `left`: what was typed and is not taken. */
  readonly onBack: (left?: string) => void;
}

const SETTLED_MS = 200;

/** How words that are no sentence could be read, once nobody types at them; what was taken can be put back. */
function useReading(words: string, setText: (text: string) => void) {
  const [asked, setAsked] = useState("");
  const [taken, setTaken] = useState<string | null>(null);
  const [hurried, setHurried] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setAsked(words.trim()), words ? SETTLED_MS : 0);
    return () => clearTimeout(timer);
  }, [words]);
  const { data } = useQuery({
    queryKey: ["readQuestion", asked],
    queryFn: ({ signal }) =>
      ask("readQuestion", { question: asked.slice(0, 800), counted: false }, signal),
    enabled: asked.length > 2,
  });
  const reading = words && asked === words.trim() ? data?.readings[0] : undefined;
  const put = ({ pictured }: ReadingLine) => {
    setTaken(words);
    setText(pictured);
    setHurried(null);
  };
  // Enter came before the reading did.
  useEffect(() => {
    if (reading?.isSure && hurried === words) put(reading);
  });
  return {
    reading,
    put,
    hurry: () => setHurried(words),
    taken,
    takeBack: () => {
      if (taken !== null) setText(taken);
      setTaken(null);
    },
  };
}

/** The whole sentence typed, with completion; the report follows while it can be read, and the first wrong word is marked. */
export function TypedSentence({ context: known, start, onRead, onProblem, onBack }: TypedProps) {
  const context = useMemo(() => ({ ...known, meanings: MEANINGS }), [known]);
  const [text, setText] = useState(start);
  const [caret, setCaret] = useState(start.length);
  const [at, setAt] = useState<number | null>(null);
  const [isListed, setListed] = useState(false);
  const area = useRef<HTMLTextAreaElement>(null);
  const id = useId();
  const parsed = useMemo(() => parseSentence(text, context), [text, context]);
  const problem = parsed.ok ? null : parsed.problems[0];
  const completions = useMemo(
    () => (isListed ? completeSentence(text, caret, context) : { list: [], expected: [] }),
    [isListed, text, caret, context],
  );
  // The first is marked by itself only where some of it is typed: Tab leaves what is written whole.
  const isBegun = completions.list.length > 0 && completions.list[0].from < caret;
  const marked = at ?? (isBegun ? 0 : -1);
  const first = Math.max(0, marked - SHOWN + 1);
  const shown = completions.list.slice(first, first + SHOWN);
  const isStillTyping =
    problem?.code === "sentence.unfinished" ||
    (problem?.at?.to === text.length &&
      caret === text.length &&
      isListed &&
      completions.list.length > 0);
  useLayoutEffect(() => {
    const { current } = area;
    if (!current) return;
    current.style.height = "auto";
    current.style.height = `${current.scrollHeight}px`;
  }, [text]);
  useEffect(() => {
    area.current?.focus();
    area.current?.setSelectionRange(start.length, start.length);
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    onProblem(problem);
    if (!parsed.ok) return;
    const timer = setTimeout(() => onRead(parsed.value), 20);
    return () => clearTimeout(timer);
  }, [text]); // eslint-disable-line react-hooks/exhaustive-deps

  const { reading, put, hurry, taken, takeBack } = useReading(parsed.ok ? "" : text, setText);
  const replace = (from: number, to: number, words: string) => {
    const next = text.slice(0, from) + words + text.slice(to);
    setText(next);
    const place = from + words.length;
    setCaret(place);
    setAt(null);
    requestAnimationFrame(() => {
      area.current?.focus();
      area.current?.setSelectionRange(place, place);
    });
  };
  const take = (one: Completion) =>
    replace(one.from, caret, `${one.words}${/^\s/.test(text.slice(caret)) ? "" : " "}`);
  const mend = (words: string) => problem?.at && replace(problem.at.from, problem.at.to, words);
  const onKeyDown = (event: KeyboardEvent) => {
    const isOpen = isListed && completions.list.length > 0;
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey) && problem?.nearest?.[0]) {
      event.preventDefault();
      mend(problem.nearest[0]);
    } else if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      if (!isOpen && event.key === "ArrowUp") return;
      event.preventDefault();
      if (!isOpen) setListed(true);
      else
        setAt(
          (Math.max(marked, event.key === "ArrowDown" ? -1 : 0) +
            (event.key === "ArrowDown" ? 1 : -1) +
            completions.list.length) %
            completions.list.length,
        );
    } else if (event.key === "Tab" && isOpen && marked >= 0 && !event.shiftKey) {
      event.preventDefault();
      take(completions.list[marked]);
    } else if (event.key === "Enter") {
      event.preventDefault();
      if (reading?.isSure) put(reading);
      else if (isOpen && problem && marked >= 0) take(completions.list[marked]);
      else if (reading) put(reading);
      else if (!parsed.ok) hurry();
      else if (parsed.ok) {
        onRead(parsed.value);
        onBack();
      }
    } else if (event.key === "Escape") {
      event.stopPropagation();
      if (isOpen) setListed(false);
      else {
        const before = parseSentence(start, context);
        if (before.ok) onRead(before.value);
        onBack(text === start ? undefined : text);
      }
    }
  };
  return (
    <div style={{ position: "relative" }}>
      <Frame $length={text.length}>
        <div className="under" aria-hidden>
          {problem?.at && !isStillTyping ? (
            <>
              {text.slice(0, problem.at.from)}
              <mark>{text.slice(problem.at.from, problem.at.to) || " "}</mark>
              {text.slice(problem.at.to)}
            </>
          ) : (
            text
          )}
        </div>
        <textarea
          ref={area}
          rows={1}
          spellCheck={false}
          maxLength={10_000}
          value={text}
          role="combobox"
          aria-label="The sentence"
          aria-expanded={isListed && completions.list.length > 0}
          aria-controls={`${id}-list`}
          aria-autocomplete="list"
          aria-activedescendant={
            isListed && completions.list[marked] ? `${id}-${marked}` : undefined
          }
          aria-invalid={Boolean(problem) && !isStillTyping}
          aria-describedby={`${id}-error`}
          onChange={(event) => {
            setText(event.target.value.replace(/\n/g, " "));
            setCaret(event.target.selectionStart);
            setAt(null);
            setListed(true);
          }}
          onSelect={(event) => setCaret(event.currentTarget.selectionStart)}
          onBlur={() => setListed(false)}
          onKeyDown={onKeyDown}
        />
      </Frame>
      <ErrorLine id={`${id}-error`} role="status">
        {reading && (
          <>
            <span>{reading.isSure ? "Read as" : `It may mean (${reading.doubts[0]})`}</span>
            <Button $small $look="line" onPress={() => put(reading)}>
              {reading.sentence}
            </Button>
            <span className="key">Enter takes it</span>
          </>
        )}
        {parsed.ok && taken !== null && (
          <Button $small onPress={takeBack}>
            Back to “{taken}”
          </Button>
        )}
        {problem && !isStillTyping && (
          <>
            <CircleAlert size={17} aria-hidden />
            <span>
              {problem.message}
              {problem.hint ? `; ${problem.hint}` : ""}.
            </span>
            {problem.nearest?.map((words, i) => (
              <Button
                key={words}
                $small
                $look={i === 0 ? "line" : "plain"}
                onPress={() => mend(words)}
              >
                {words}
              </Button>
            ))}
            {problem.nearest?.[0] && <span className="key">Ctrl Enter mends it</span>}
          </>
        )}
        {problem && isStillTyping && !reading && <span className="key">{problem.message}</span>}
      </ErrorLine>
      {isListed && completions.list.length > 0 && (
        <List>
          <div className="expected">Here: {completions.expected.slice(0, 6).join(", ")}</div>
          <ul id={`${id}-list`} role="listbox" aria-label="What can be written here">
            {shown.map((one, i) => (
              <li
                key={one.words}
                id={`${id}-${first + i}`}
                role="option"
                aria-selected={first + i === marked}
                onMouseDown={(event) => {
                  event.preventDefault();
                  take(one);
                }}
              >
                <b
                  className={
                    ["clause", "keyword", "operator"].includes(one.kind) ? "join" : undefined
                  }
                >
                  {one.words}
                </b>
                <span>{one.kind}</span>
                <span>{one.means ?? ""}</span>
              </li>
            ))}
          </ul>
          <div className="foot">
            <span>
              <kbd>Tab</kbd> takes what is marked
            </span>
            <span>
              <kbd>↓</kbd> next
            </span>
            <span>
              <kbd>Esc</kbd> closes the list
            </span>
            <span style={{ marginLeft: "auto" }}>{completions.list.length} in all</span>
          </div>
        </List>
      )}
    </div>
  );
}
