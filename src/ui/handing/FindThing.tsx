"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Thing } from "@/core/catalog";
import { folded } from "@/core/base";
import { Field } from "../kit";

const Found = styled.ul`
  max-height: 190px;
  overflow: auto;
  background: var(--salt);
  button {
    display: flex;
    width: 100%;
    gap: 10px;
    padding: 5px 10px;
  }
  button:hover,
  button:focus-visible {
    background: var(--mallow);
  }
  small {
    color: var(--ink-3);
    margin-left: auto;
  }
`;

/** A person or a team by name; the nearest few are shown while one types. */
export function FindThing({
  label,
  people,
  teams,
  onChoose,
}: {
  label: string;
  people: readonly Thing[];
  teams: readonly Thing[];
  onChoose: (type: "person" | "team", thing: Thing) => void;
}) {
  const [words, setWords] = useState("");
  const wanted = folded(words.trim());
  const found = wanted
    ? [
        ...teams
          .filter((one) => folded(one.label).includes(wanted))
          .map((thing) => ({ type: "team" as const, thing })),
        ...people
          .filter((one) => folded(one.label).includes(wanted) || folded(one.name).includes(wanted))
          .map((thing) => ({ type: "person" as const, thing })),
      ].slice(0, 8)
    : [];
  return (
    <div>
      <Field label={label} value={words} onChange={setWords} placeholder="a name" autoFocus />
      {wanted && (
        <Found aria-label="Found">
          {found.map(({ type, thing }) => (
            <li key={`${type}${thing.id}`}>
              <button
                onClick={() => {
                  onChoose(type, thing);
                  setWords("");
                }}
              >
                {thing.label}
                <small>{type === "team" ? "team" : thing.name}</small>
              </button>
            </li>
          ))}
          {found.length === 0 && (
            <li style={{ padding: "5px 10px", color: "var(--ink-2)" }}>Nobody is called that.</li>
          )}
        </Found>
      )}
    </div>
  );
}
