"use client";
import { useId, useState } from "react";
import { Search } from "lucide-react";
import styled from "styled-components";

export interface Option<T> {
  readonly value: T;
  readonly label: string;
  readonly about?: string;
  readonly group?: string;
  readonly isDisabled?: boolean;
}

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
  label {
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 4px 12px;
    cursor: pointer;
    min-height: 28px;
  }
  label:hover,
  label:focus-within {
    background: var(--mallow);
  }
  label.off {
    color: var(--ink-3);
    cursor: default;
  }
  label input {
    accent-color: var(--plum);
    width: 15px;
    height: 15px;
    margin: 0;
    flex: none;
  }
  label .name {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  label .about {
    margin-left: auto;
    padding-left: 14px;
    color: var(--ink-3);
    white-space: nowrap;
  }
  label.off .about {
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

interface ChooseProps<T> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly chosen: readonly T[];
  readonly many?: boolean;
  readonly onChoose: (value: T) => void;
  readonly same?: (a: T, b: T) => boolean;
  /** Looks elsewhere for more than is here. */
  readonly onFind?: (words: string) => void;
}

/** A list to choose one or many from, with a search above it when it is long. Only the first 200 matches are drawn. */
export function Choose<T>({
  label,
  options,
  chosen,
  many,
  onChoose,
  same = Object.is,
  onFind,
}: ChooseProps<T>) {
  const [words, setWords] = useState("");
  const name = useId();
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
            autoFocus
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
      <div className="rows" role={many ? "group" : "radiogroup"} aria-label={label}>
        {found.slice(0, 200).map((option, index) => {
          const head = option.group !== found[index - 1]?.group ? option.group : undefined;
          return (
            <div key={index}>
              {head && <div className="head">{head}</div>}
              <label className={option.isDisabled ? "off" : undefined}>
                <input
                  type={many ? "checkbox" : "radio"}
                  name={name}
                  disabled={option.isDisabled}
                  checked={chosen.some((value) => same(value, option.value))}
                  autoFocus={!isLong && index === 0}
                  onChange={() => onChoose(option.value)}
                />
                <span className="name">{option.label}</span>
                {option.about && <span className="about">{option.about}</span>}
              </label>
            </div>
          );
        })}
        {found.length === 0 && <p className="none">Nothing here is called that.</p>}
        {found.length > 200 && <p className="none">{found.length - 200} more; type to narrow.</p>}
      </div>
    </Box>
  );
}
