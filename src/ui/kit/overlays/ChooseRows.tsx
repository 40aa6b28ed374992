"use client";
import { Check, Search } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Checkbox, CheckboxGroup, Radio, RadioGroup } from "react-aria-components";
import styled from "styled-components";
import type { ChooseProps, Option } from "../Choose";

const Box = styled.div`
  display: flex;
  flex-direction: column;
  min-height: 0;
  .find {
    display: flex;
    align-items: center;
    gap: 8px;
    margin: 10px 12px 6px;
    background: var(--salt);
    box-shadow: inset 0 -2px 0 var(--plum);
    height: 32px;
    padding: 0 8px;
    flex: none;
  }
  .find input {
    border: 0;
    background: none;
    flex: 1;
    min-width: 0;
    height: 30px;
    outline: none;
    box-shadow: none;
  }
  .find:focus-within {
    outline: 3px solid var(--plum);
    outline-offset: 1px;
  }
  .rows {
    overflow: auto;
    max-height: 236px;
    padding: 4px 0 8px;
    min-width: 220px;
  }
  .head {
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 5px 12px 2px;
  }
  .row {
    position: relative;
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 4px 12px;
    cursor: pointer;
    min-height: 28px;
  }
  .row[data-hovered],
  .row[data-focus-visible] {
    background: var(--mallow);
  }
  .row[data-disabled] {
    color: var(--ink-3);
    cursor: default;
  }
  .mark {
    width: 15px;
    height: 15px;
    flex: none;
    display: inline-grid;
    place-items: center;
    border-radius: 2px;
    box-shadow: inset 0 0 0 1.5px var(--plum);
  }
  .mark.one {
    border-radius: 50%;
  }
  .row[data-disabled] .mark {
    box-shadow: inset 0 0 0 1.5px var(--line);
  }
  .row[data-focus-visible] .mark {
    outline: 3px solid var(--plum);
    outline-offset: 2px;
  }
  .mark svg {
    width: 12px;
    height: 12px;
    visibility: hidden;
  }
  .row[data-selected] .mark {
    background: var(--plum);
    color: var(--on-plum);
  }
  .row[data-selected] .mark svg {
    visibility: visible;
  }
  .row[data-selected] .mark.one {
    background: radial-gradient(var(--plum) 0 4px, transparent 4.5px);
  }
  .name {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .about {
    margin-left: auto;
    padding-left: 14px;
    color: var(--ink-3);
    white-space: nowrap;
  }
  .row[data-disabled] .about {
    white-space: normal;
    text-align: right;
    font-size: 12px;
    line-height: 15px;
  }
  .none {
    padding: 4px 12px 10px;
    color: var(--ink-2);
  }
`;

const DRAWN = 200;

/** A list to choose one or many from, with a search above it when it is long. Only the first 200 matches are drawn. */
export function ChooseRows<T>({
  label,
  options,
  chosen,
  many,
  onChoose,
  same = Object.is,
  onFind,
  isBeside,
}: ChooseProps<T>) {
  const [words, setWords] = useState("");
  const isLong = options.length > 8 || onFind !== undefined;
  const found = options.filter((option) =>
    option.label.toLowerCase().includes(words.trim().toLowerCase()),
  );
  return (
    <Box>
      {isLong && (
        <div className="find">
          <Search size={15} aria-hidden />
          <input
            autoFocus={!isBeside}
            aria-label={`Find: ${label}`}
            placeholder={label}
            value={words}
            onChange={(event) => {
              setWords(event.target.value);
              onFind?.(event.target.value);
            }}
          />
        </div>
      )}
      <Rows
        label={label}
        many={many}
        chosen={found.flatMap((option, i) =>
          chosen.some((value) => same(value, option.value)) ? [String(i)] : [],
        )}
        onChoose={(index) => onChoose(found[index].value)}
      >
        {found.slice(0, DRAWN).map((option, index) => {
          const head = option.group !== found[index - 1]?.group ? option.group : undefined;
          return (
            <div key={index}>
              {head && <div className="head">{head}</div>}
              <Row
                many={many}
                index={index}
                autoFocus={!isBeside && !isLong && index === 0}
                {...rowOf(option)}
              />
            </div>
          );
        })}
        {found.length === 0 && <p className="none">Nothing here is called that.</p>}
        {found.length > DRAWN && (
          <p className="none">{found.length - DRAWN} more; type to narrow.</p>
        )}
      </Rows>
    </Box>
  );
}

interface RowsProps {
  readonly label: string;
  readonly many: boolean | undefined;
  /** Numbers of rows, as texts. */
  readonly chosen: string[];
  readonly onChoose: (index: number) => void;
  readonly children: ReactNode;
}

const rowOf = ({ label, about, isDisabled }: Option<unknown>) => ({ label, about, isDisabled });

/** One of the rows, or any of them. */
const Rows = ({ label, many, chosen, onChoose, children }: RowsProps) =>
  many ? (
    <CheckboxGroup
      className="rows"
      aria-label={label}
      value={chosen}
      onChange={(now) => {
        const [changed] = [
          ...now.filter((one) => !chosen.includes(one)),
          ...chosen.filter((one) => !now.includes(one)),
        ];
        if (changed !== undefined) onChoose(Number(changed));
      }}
    >
      {children}
    </CheckboxGroup>
  ) : (
    <RadioGroup
      className="rows"
      aria-label={label}
      value={chosen[0] ?? null}
      onChange={(one) => onChoose(Number(one))}
    >
      {children}
    </RadioGroup>
  );

interface RowProps extends Pick<Option<unknown>, "label" | "about" | "isDisabled"> {
  readonly many: boolean | undefined;
  readonly index: number;
  readonly autoFocus: boolean;
}

const Row = ({ many, index, label, about, ...state }: RowProps) => {
  const words = (
    <>
      <span className={many ? "mark" : "mark one"}>
        {many && <Check strokeWidth={3} aria-hidden />}
      </span>
      <span className="name">{label}</span>
      {about && <span className="about">{about}</span>}
    </>
  );
  const own = { ...state, value: String(index), className: "row" };
  return many ? <Checkbox {...own}>{words}</Checkbox> : <Radio {...own}>{words}</Radio>;
};
