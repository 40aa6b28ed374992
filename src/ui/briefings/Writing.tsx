"use client";
import { Hash } from "lucide-react";
import { useRef, useState } from "react";
import { Label, TextArea, TextField } from "react-aria-components";
import styled from "styled-components";
import type { KeptPart, ReadPart, ShownBriefing } from "@/contract/briefings";
import { alone, asOwnWords, figuresIn, isTooLong, plainText } from "@/core/briefing";
import { Button, Field, Opens } from "../kit";

const Box = styled.div`
  display: grid;
  gap: 8px;
  padding-top: 10px;
  label {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  textarea {
    display: block;
    width: 100%;
    min-height: 110px;
    padding: 8px 10px;
    background: var(--salt);
    border: 0;
    box-shadow: inset 0 -2px 0 var(--plum);
    font: 400 16px/24px var(--serif);
    resize: vertical;
  }
  .line {
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    align-items: center;
  }
  .would {
    background: var(--salt);
    padding: 8px 12px;
    font: 400 16px/23px var(--serif);
  }
  .error {
    color: var(--alarm);
  }
  @media print {
    display: none;
  }
`;
const Figures = styled.div`
  width: 380px;
  max-width: 90vw;
  max-height: 380px;
  overflow: auto;
  padding: 10px 12px;
  display: grid;
  gap: 8px;
  li button {
    width: 100%;
    padding: 4px 6px;
    display: flex;
    justify-content: space-between;
    gap: 12px;
  }
  li button:hover {
    background: var(--mallow-2);
  }
  b {
    font: 540 16px/20px var(--serif);
  }
`;

interface WritingProps {
  readonly part: KeptPart;
  readonly read: ReadPart;
  readonly briefing: ShownBriefing;
  readonly onSave: (part: KeptPart) => Promise<boolean>;
  readonly onDone: () => void;
}

/** Writes in a part: own words with figures in them, which stay live. What the generator would write by now can be taken or left. */
export function Writing({ part, read, briefing, onSave, onDone }: WritingProps) {
  const [words, setWords] = useState(part.words ?? asOwnWords(read.blocks));
  const [says, setSays] = useState("");
  const area = useRef<HTMLTextAreaElement>(null);
  const tooLong = isTooLong(words);
  const isChanged = words !== (part.words ?? asOwnWords(read.blocks));
  const keep = async () => {
    const next: KeptPart = {
      ...part,
      words,
      ...(read.madeText === null ? {} : { madeThen: read.madeText }),
    };
    if (await onSave(next)) onDone();
  };
  const putIn = (sentence: string, close: () => void) => {
    const at = area.current?.selectionStart ?? words.length;
    setWords(`${words.slice(0, at)}{${sentence}}${words.slice(at)}`);
    close();
    area.current?.focus();
  };
  const { words: _own, madeThen: _then, ...asMade } = part;
  return (
    <Box>
      <TextField value={words} onChange={setWords} aria-describedby="own-words-rule">
        <Label>Own words; a sentence in braces is a live figure</Label>
        <TextArea ref={area} />
      </TextField>
      {tooLong && (
        <p className="error" role="alert">
          At most 6 000 characters and 12 figures.
        </p>
      )}
      <div className="line">
        <Opens
          label="Put in a figure"
          button={
            <Button $small>
              <Hash aria-hidden />
              Put in a figure
            </Button>
          }
        >
          {(close) => (
            <Figures>
              <form
                onSubmit={(event) => {
                  event.preventDefault();
                  if (says.trim()) putIn(says.trim(), close);
                }}
              >
                <Field
                  label="A sentence"
                  placeholder="count items where project is this project and status is open"
                  value={says}
                  onChange={setSays}
                />
              </form>
              <ul>
                {figuresOf(briefing).map(({ key, words: figure, sentence, title }) => (
                  <li key={key}>
                    <button onClick={() => putIn(sentence, close)}>
                      <b>{figure}</b>
                      <span>{title}</span>
                    </button>
                  </li>
                ))}
              </ul>
            </Figures>
          )}
        </Opens>
        <span className="line" style={{ marginLeft: "auto" }}>
          {part.words !== undefined && part.made !== undefined && (
            <Button $small onPress={() => void onSave(asMade).then((done) => done && onDone())}>
              As made
            </Button>
          )}
          <Button $small onPress={onDone}>
            Leave it
          </Button>
          <Button
            $small
            $look="solid"
            isDisabled={tooLong || !words.trim() || (!isChanged && part.words === undefined)}
            onPress={() => void keep()}
          >
            Keep
          </Button>
        </span>
      </div>
      {read.wouldSay && read.wouldSay.length > 0 && (
        <div className="would">
          <b>The generator would now write:</b> {plainText(read.wouldSay)}
          <div className="line">
            <Button $small $look="line" onPress={() => void onSave(asMade)}>
              Take it
            </Button>
            <Button
              $small
              onPress={() =>
                void onSave({ ...part, ...(read.madeText ? { madeThen: read.madeText } : {}) })
              }
            >
              Leave it
            </Button>
          </div>
        </div>
      )}
    </Box>
  );
}

/** Figures of the briefing that tell one value, each once: what can be put into own words. */
function figuresOf(briefing: ShownBriefing) {
  const seen = new Set<string>();
  return briefing.parts.flatMap((part) =>
    figuresIn(part.blocks).flatMap((figure) => {
      const sentence = alone(figure);
      if (figure.lacks || sentence === null || seen.has(sentence)) return [];
      seen.add(sentence);
      return [
        {
          key: `${part.id}/${figure.key}`,
          words: figure.words,
          sentence,
          title: figure.key,
        },
      ];
    }),
  );
}
