"use client";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import { Autocomplete, Input, TextField } from "react-aria-components";
import { ask, Button, Dialog, takeAgain } from "../kit";
import { rememberAsked } from "../report";
import { Answered } from "./Answered";
import { AsRead } from "./AsRead";
import { Box, Sentence } from "./askStyle";
import { markedIn, Offered } from "./Offered";
import { hrefOf, sectionsOf, type Option } from "./sections";
import { sentenceWords } from "./stretches";
import { useAnswers, useSettledWords } from "./useAnswers";
import { useTeaching } from "./useTeaching";

interface AskProps {
  readonly onClose: () => void;
  /** What was typed while this was on its way. */
  readonly takeTyped: () => string;
  readonly role: string;
}

/** Takes a question, a sentence, a name or an item key, from anywhere. */
export const AskBox = (props: AskProps) => (
  <Dialog label="Say or find" isOpen isWide onOpenChange={props.onClose}>
    <Asking {...props} />
  </Dialog>
);

/** What was asked last: closing loses nothing. */
let lastAsked = "";

function Asking({ onClose, takeTyped, role }: AskProps) {
  const mayBuild = role === "builder" || role === "administrator";
  const [words, setWords] = useState(lastAsked);
  const asked = useSettledWords(words);
  const router = useRouter();
  const { keepForAll } = useTeaching();
  const [hurried, setHurried] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const typed = takeAgain() + takeTyped();
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
  const options = sections.flatMap((section) => section.options);
  const go = (href: string, option?: Option) => {
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
  const canKeep = mayBuild && (best?.chose.length ?? 0) > 0;
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
                if (event.ctrlKey || event.metaKey) {
                  event.preventDefault();
                  event.stopPropagation();
                  const chose = markedIn(event.currentTarget, options)?.chose ?? best?.chose;
                  if (canKeep && isReady && chose) void keepForAll(chose);
                  return;
                }
                if (event.currentTarget.getAttribute("aria-activedescendant")) return;
                if (isReady && first) go(first);
                else setHurried(words);
              }}
            />
          </TextField>
          {best && best.uses.length > 1 && (
            <AsRead reading={best} mayBuild={mayBuild} onDone={() => input.current?.focus()} />
          )}
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
            <Offered
              sections={sections}
              onChoose={(option) => asked === words && go(option.href, option)}
            />
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
          {canKeep && (
            <span>
              <b>Ctrl Enter</b>keeps the reading for everyone
            </span>
          )}
          <span>
            <b>Esc</b>closes
          </span>
        </div>
      )}
    </Box>
  );
}
