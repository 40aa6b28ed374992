"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { CornerDownRight, LayoutDashboard, ScrollText, Ticket } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import {
  Autocomplete,
  Header,
  Input,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  TextField,
} from "react-aria-components";
import type { QuestionRead } from "@/contract/questions";
import type { Found } from "@/contract/workspace";
import { ask, Button, Dialog, rememberAsked } from "../kit";
import { Answered } from "./Answered";
import { AsRead } from "./AsRead";
import { Box, Others, Sentence } from "./askStyle";
import { hrefOf, sectionsOf } from "./sections";
import { sentenceWords } from "./stretches";

const ICONS = {
  item: Ticket,
  report: ScrollText,
  dashboard: LayoutDashboard,
  sentence: CornerDownRight,
} as const;

interface AskProps {
  readonly onClose: () => void;
  /** What was typed while this was on its way. */
  readonly takeTyped: () => string;
  readonly mayBuild: boolean;
}

/** Takes a question, a sentence, a name or an item key, from anywhere. */
export const AskBox = (props: AskProps) => (
  <Dialog label="Say or find" isOpen isWide onOpenChange={props.onClose}>
    <Asking {...props} />
  </Dialog>
);

/** What was asked last: closing loses nothing. */
let lastAsked = "";

const SETTLED_MS = 120;
/** Fewer letters are a name that is looked for. */
const SHORTEST = 3;
const NOTHING: QuestionRead = { readings: [], near: [], there: [] };
const NONE: readonly Found[] = [];

/** Words that nobody is typing at any more. */
function useSettledWords(words: string): string {
  const [asked, setAsked] = useState(words);
  useEffect(() => {
    const timer = setTimeout(() => setAsked(words), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [words]);
  return asked;
}

/** What is called so, and what the words ask when they are a question. */
function useAnswers(asked: string) {
  const enabled = asked.trim() !== "";
  const isQuestion = asked.trim().length >= SHORTEST;
  const found = useQuery({
    queryKey: ["find", asked],
    queryFn: ({ signal }) => ask("find", { words: asked }, signal),
    enabled,
    placeholderData: keepPreviousData,
  });
  const read = useQuery({
    queryKey: ["readQuestion", asked],
    queryFn: ({ signal }) => ask("readQuestion", { question: asked.slice(0, 800) }, signal),
    enabled: isQuestion,
    placeholderData: keepPreviousData,
  });
  return {
    found: found.data ?? NONE,
    read: isQuestion ? (read.data ?? NOTHING) : NOTHING,
    isFetching: found.isFetching || read.isFetching,
    isAsked: !found.isPlaceholderData && !(isQuestion && read.isPlaceholderData),
  };
}

function Asking({ onClose, takeTyped, mayBuild }: AskProps) {
  const [words, setWords] = useState(lastAsked);
  const asked = useSettledWords(words);
  const router = useRouter();
  const [hurried, setHurried] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const typed = takeTyped();
    if (typed) setWords(typed);
    // What was asked last is there, and goes with the first key.
    else input.current?.select();
  }, [takeTyped]);
  useEffect(() => void (lastAsked = words), [words]);
  const { found, read, isFetching, isAsked: isAnswered } = useAnswers(asked);
  const isAsked = asked.trim() !== "";
  const [best] = isAsked ? read.readings : [];
  const sections = useMemo(
    () => (isAsked ? sectionsOf(found, read, asked) : []),
    [found, read, asked, isAsked],
  );
  const go = (href: string) => {
    const option = sections.flatMap(({ options }) => options).find((one) => one.href === href);
    // What one chooses among several things is remembered for oneself.
    for (const { words: said, means } of option?.chose ?? [])
      void ask("teach", { words: said, means, forAll: false }).catch(() => undefined);
    if (best && !best.isSure)
      void ask("doubted", { question: asked, chosen: option?.words ?? best.sentence }).catch(
        () => undefined,
      );
    const said =
      option?.sentence ?? (best && href === hrefOf(best.pictured) ? best.pictured : null);
    if (said) rememberAsked({ words: asked, sentence: said });
    lastAsked = "";
    setHurried(null);
    onClose();
    router.push(href);
  };
  const first =
    sections[0]?.key === "found" ? sections[0].options[0]?.href : best && hrefOf(best.pictured);
  // What is listed belongs to other words as long as these have not been asked: who is in a hurry goes when it is answered.
  const isReady = asked === words && isAnswered;
  useEffect(() => {
    if (hurried !== null && hurried === words && isReady && first) go(first);
  });
  const hasNone = isAsked && !best && sections.length === 0 && !isFetching && asked === words;
  return (
    <Box>
      <Autocomplete inputValue={words} onInputChange={setWords} disableAutoFocusFirst>
        <div className="say">
          <TextField aria-label="Say what to count, or find something" autoFocus>
            <Input
              ref={input}
              placeholder="how many faults are open by team"
              maxLength={10_000}
              onKeyDown={(event) => {
                if (event.key !== "Enter") return;
                if (event.currentTarget.getAttribute("aria-activedescendant")) return;
                if (isReady && first) go(first);
                else setHurried(words);
              }}
            />
          </TextField>
          {best && best.uses.length > 1 && <AsRead reading={best} mayBuild={mayBuild} />}
        </div>
        {best && (
          <Sentence>
            <p role="status">
              {sentenceWords(best.sentence).map(({ text, joins }, i) =>
                joins ? <i key={i}>{text}</i> : <span key={i}>{text}</span>,
              )}
              {best.doubts.length > 0 && (
                <span className="unseen">; in doubt: {best.doubts.join("; ")}</span>
              )}
            </p>
            <Button $look="solid" onPress={() => go(hrefOf(best.pictured))}>
              Open as report
            </Button>
          </Sentence>
        )}
        <div className={best ? "read" : ""}>
          {best && (
            <div className="figure" role="group" aria-label="Its figure">
              <Answered report={best.report} onOpen={() => go(hrefOf(best.pictured))} />
            </div>
          )}
          {(sections.length > 0 || best) && (
            <Others>
              <ListBox
                className="list"
                aria-label="Found"
                selectionMode="none"
                onAction={(href) => asked === words && go(String(href))}
              >
                {sections.map(({ key, head, tail, options }) => (
                  <ListBoxSection key={key}>
                    <Header className="head">
                      {head} <i>{tail}</i>
                    </Header>
                    {options.map(({ href, words: said, about, kind, figure }) => {
                      const Icon = ICONS[kind];
                      return (
                        <ListBoxItem key={href} id={href} className="one" textValue={said}>
                          <Icon aria-hidden />
                          <span>{said}</span>
                          {figure ? <b>{figure}</b> : <em>{about}</em>}
                        </ListBoxItem>
                      );
                    })}
                  </ListBoxSection>
                ))}
              </ListBox>
            </Others>
          )}
        </div>
      </Autocomplete>
      {hasNone && (
        <p className="none" role="status">
          Nothing is called that, and none of it could be read as a question.
        </p>
      )}
      {isAsked && (
        <div className="keys" aria-hidden>
          <span>
            <b>Enter</b>opens
          </span>
          <span>
            <b>↑ ↓</b>other readings
          </span>
          <span>
            <b>Esc</b>closes
          </span>
        </div>
      )}
    </Box>
  );
}
