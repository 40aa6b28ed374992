"use client";
import type { Sent } from "@/contract/acts";
import type { OpenedPart } from "@/contract/figures";
import type { Report } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { useState } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";

import { numberText } from "@/core/base";

import { ask, Button, Choice, Field, Notice, Waiting, Choose } from "../kit";
import { fieldOptions, samePath } from "./pickers/fields";

const Leaf = styled.div`
  overflow: auto;
  padding: 10px 16px 14px;
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(250px, 1fr) minmax(0, 2fr);
  align-items: start;
  h3 {
    font: 560 18px/24px var(--serif);
  }
  textarea {
    width: 100%;
    min-height: 70px;
    background: var(--salt);
    border: 0;
    box-shadow: inset 0 -2px 0 var(--plum);
    padding: 6px 10px;
    font: inherit;
    color: inherit;
  }
  .three {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 16px;
  }
  .big {
    font: 540 40px/1 var(--serif);
  }
  ul li {
    display: grid;
    grid-template-columns: 64px minmax(0, 1fr);
    border-top: 1px solid rgba(0, 0, 0, 0.12);
    padding: 3px 0;
  }
  ul a {
    color: var(--plum);
    font-weight: 650;
  }
  ul span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media (max-width: 900px) {
    grid-template-columns: 1fr;
  }
`;

type Kind = "report" | "filter" | "sentence" | "keys";

/** The second way of asking, from what was chosen or typed. */
function otherOf(kind: Kind, value: string | number): Sent<"compare">["with"] {
  if (kind === "report" || kind === "filter") return { kind, id: Number(value) };
  return kind === "sentence" ? { kind, sentence: String(value) } : { kind, text: String(value) };
}

/** Holds the records against a second way of asking: in both, only here, only there, and the condition that parts them. */
export function Compare({
  context,
  report,
  opened,
  reports,
}: {
  context: AskContext;
  report: Report;
  opened: OpenedPart | undefined;
  reports: readonly { readonly id: number; readonly name: string }[];
}) {
  const [kind, setKind] = useState<Kind>("report");
  const [text, setText] = useState("");
  const [id, setId] = useState<number | null>(null);
  const [asked, setAsked] = useState<Sent<"compare">["with"] | null>(null);
  const { data, error, isFetching } = useQuery({
    queryKey: ["compare", report, opened, asked],
    queryFn: ({ signal }) =>
      ask("compare", { definition: report, ...(opened ? { opened } : {}), with: asked! }, signal),
    enabled: asked !== null,
    retry: false,
  });
  const go = (next: Kind, value: string | number) => setAsked(otherOf(next, value));
  const list = (items: readonly { key: string; title: string }[], count: number, words: string) => (
    <div>
      <p>
        <span className="big">{numberText(count)}</span> {words}
      </p>
      <ul>
        {items.map((item) => (
          <li key={item.key}>
            <Link href={`/items/${encodeURIComponent(item.key)}`}>{item.key}</Link>
            <span title={item.title}>{item.title}</span>
          </li>
        ))}
      </ul>
      {count > items.length && <p>and {numberText(count - items.length)} more</p>}
    </div>
  );
  return (
    <Leaf role="region" aria-label="Compare" tabIndex={0}>
      <div style={{ display: "grid", gap: 8 }}>
        <Choice<Kind>
          label="Compare with"
          value={kind}
          options={[
            ["report", "a report"],
            ["filter", "a saved filter"],
            ["sentence", "a sentence"],
            ["keys", "pasted keys"],
          ]}
          onChange={(next) => {
            setKind(next);
            setAsked(null);
          }}
        />
        {kind === "report" && (
          <Choose
            label="Which report"
            options={reports.map((one) => ({ value: one.id, label: one.name }))}
            chosen={id === null ? [] : [id]}
            onChoose={(next) => {
              setId(next);
              go("report", next);
            }}
          />
        )}
        {kind === "filter" &&
          (context.catalog.filters.length ? (
            <Choose
              label="Which filter"
              options={context.catalog.filters.map((one) => ({ value: one.id, label: one.name }))}
              chosen={id === null ? [] : [id]}
              onChoose={(next) => {
                setId(next);
                go("filter", next);
              }}
            />
          ) : (
            <p>No filter is saved yet.</p>
          ))}
        {kind === "sentence" && (
          <Field
            label="A second way of asking"
            value={text}
            onChange={setText}
            placeholder="count faults where stage is open"
          />
        )}
        {kind === "keys" && (
          <label>
            Keys of items
            <textarea
              aria-label="Keys of items"
              value={text}
              onChange={(event) => setText(event.target.value)}
              placeholder="D1204, D1266, D1301"
            />
          </label>
        )}
        {(kind === "sentence" || kind === "keys") && (
          <Button $look="line" isDisabled={!text.trim()} onPress={() => go(kind, text)}>
            Compare
          </Button>
        )}
      </div>
      <div aria-live="polite">
        {error && <Notice role="alert">{error.message}</Notice>}
        {isFetching && !data && <Waiting>Comparing …</Waiting>}
        {data && (
          <>
            <h3>
              {data.onlyHereCount + data.onlyThereCount === 0
                ? `The same records as ${data.other}.`
                : `Against ${data.other}`}
            </h3>
            <div className="three">
              <p>
                <span className="big">{numberText(data.both)}</span> in both
              </p>
              {list(data.onlyHere, data.onlyHereCount, "only here")}
              {list(data.onlyThere, data.onlyThereCount, "only there")}
            </div>
            {data.partedBy.map((line, i) => (
              <p key={i}>
                {line.side === "there"
                  ? `${numberText(line.fails)} of those only here do not hold there: `
                  : `${numberText(line.fails)} of those only there do not hold here: `}
                <b style={{ fontWeight: 650 }}>{line.says}</b>
              </p>
            ))}
            {data.unknown.length > 0 && <p>No item has the key {data.unknown.join(", ")}.</p>}
          </>
        )}
        {!data && !error && !isFetching && (
          <p style={{ color: "var(--ink-2)" }}>Choose what to hold these records against.</p>
        )}
      </div>
    </Leaf>
  );
}

/** Missing and doubled values of a field among the records. */
export function Look({
  context,
  report,
  opened,
}: {
  context: AskContext;
  report: Report;
  opened: OpenedPart | undefined;
}) {
  const fields = fieldOptions(context.catalog, report.subject.id, () => true);
  const [field, setField] = useState<readonly string[]>(
    fields.find((option) => option.value[0] === "assignee")?.value ?? fields[0].value,
  );
  const { data } = useQuery({
    queryKey: ["quickLook", report, opened, field],
    queryFn: ({ signal }) =>
      ask("quickLook", { definition: report, ...(opened ? { opened } : {}), field }, signal),
  });
  return (
    <Leaf role="region" aria-label="Quick look" tabIndex={0}>
      <Choose
        label="A field to look at"
        options={fields}
        chosen={[field]}
        same={samePath}
        onChoose={setField}
      />
      {data ? (
        <div className="three">
          <p>
            <span className="big">{numberText(data.missing)}</span> of {numberText(data.records)}{" "}
            have none
          </p>
          <p>
            <span className="big">{numberText(data.different)}</span> different values
          </p>
          <div>
            <p>
              <span className="big">
                {data.doubled.length === 12 ? "12+" : data.doubled.length}
              </span>{" "}
              come more than once
            </p>
            <ul>
              {data.doubled.map((one) => (
                <li key={one.value}>
                  <b>{numberText(one.count)}</b>
                  <span>{one.value}</span>
                </li>
              ))}
            </ul>
          </div>
        </div>
      ) : (
        <Waiting>Looking …</Waiting>
      )}
    </Leaf>
  );
}
