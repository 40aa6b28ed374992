"use client";
import { Plus } from "lucide-react";
import { Fragment, type ReactNode } from "react";
import { Button } from "react-aria-components";
import { sentencePieces, type Report } from "@/core/kinds";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import type { Area, Piece, SentencePart } from "@/core/sentence";
import { Choose, Opens } from "../kit";
import { shownKindOf } from "./kinds/shown";
import { AddPart, PartPicker } from "./later";
import { Say } from "./sentenceStyle";

interface HeadlineProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly onChange: (report: Report) => void;
  readonly text: string;
  readonly dress: Dress;
  readonly onDress: (dress: Dress) => void;
  /** Opens the conditions in groups. */
  readonly onGroups: () => void;
}

/** The sentence: each part a button that opens its picker, joining words in italics, and what could still be said. */
export function Headline({ text, ...parts }: HeadlineProps) {
  const { context, report, onChange } = parts;
  const pieces = sentencePieces(report, context.catalog);
  return (
    <Say $length={text.length} aria-label={text}>
      {pairsOf(pieces).map((pair, i) => (
        <Fragment key={`${i}-${pair[pair.length - 1].part?.area ?? "join"}`}>
          {i > 0 && pair[0].text !== "," ? " " : ""}
          <span className="pair">
            {pair.map((piece, at) => (
              <Fragment key={at}>
                {at > 0 && " "}
                {piece.part ? (
                  <PartButton
                    piece={piece}
                    first={i === 0 && at === 0}
                    part={piece.part}
                    {...parts}
                  />
                ) : piece.text === "list" ? (
                  <Opening report={report} onChange={onChange} />
                ) : (
                  <i>{piece.text}</i>
                )}
              </Fragment>
            ))}
          </span>
        </Fragment>
      ))}
      {(shownKindOf(report).gaps?.(report) ?? []).map(({ before, words, part }) => (
        <Fragment key={before}>
          {" "}
          <span className="pair">
            <i>{before}</i>{" "}
            <Gap words={words}>
              {(onDone) => <PartPicker {...parts} part={part} onDone={onDone} />}
            </Gap>
          </span>
        </Fragment>
      ))}
      {!report.shape && (
        <>
          {" "}
          <span className="pair">
            <i>as</i>{" "}
            <Gap words="which picture?">
              {(onDone) => <PartPicker {...parts} part={{ area: "shape" }} onDone={onDone} />}
            </Gap>
          </span>
        </>
      )}
      <Opens
        label="Say more"
        placement="bottom start"
        ahead={AddPart.fetch}
        button={
          <Button className="plus" aria-label="Say more">
            <Plus size={18} aria-hidden />
          </Button>
        }
      >
        {(close) => <AddPart {...parts} onDone={close} />}
      </Opens>
    </Say>
  );
}

/** Joining words stand with the part after them, so that lines break before them. */
function pairsOf(pieces: readonly Piece[]): Piece[][] {
  const pairs: Piece[][] = [];
  for (const piece of pieces) {
    const last = pairs[pairs.length - 1];
    if (last && !last[last.length - 1].part && last[0].text !== "list") last.push(piece);
    else pairs.push([piece]);
  }
  return pairs;
}

const LABELS: Record<Area, string> = {
  measure: "measure",
  subject: "what is counted",
  where: "condition",
  by: "group",
  split: "split",
  period: "period",
  compared: "comparison",
  runningTotal: "running total",
  stood: "as it stood",
  shape: "picture",
  groupedBy: "group",
  showing: "columns",
  sorts: "order",
  which: "what moves",
  grain: "stretch",
  beside: "beside it",
  ends: "from and to",
  burns: "what burns down",
  unit: "unit",
  team: "team",
  last: "how many sprints",
  curve: "what grows",
};

function PartButton({
  piece,
  part,
  first,
  ...props
}: { piece: Piece; part: SentencePart; first: boolean } & Omit<HeadlineProps, "text">) {
  const words = first ? piece.text.charAt(0).toUpperCase() + piece.text.slice(1) : piece.text;
  return (
    <Opens
      label={LABELS[part.area]}
      placement="bottom start"
      ahead={PartPicker.fetch}
      maxHeight={380}
      button={
        <Button className="part" aria-label={`${LABELS[part.area]}: ${piece.text}`}>
          {words}
        </Button>
      }
    >
      {(close) => <PartPicker part={part} onDone={close} {...props} />}
    </Opens>
  );
}

function Opening({ report, onChange }: Pick<HeadlineProps, "report" | "onChange">) {
  const count = () =>
    onChange({
      kind: "count",
      measures: [{ measure: "count" }],
      subject: report.subject,
      by: [],
      ...(report.where ? { where: report.where } : {}),
    });
  return (
    <Opens
      label="List or count"
      placement="bottom start"
      button={
        <Button className="part" aria-label="list or count">
          List
        </Button>
      }
    >
      {(close) => (
        <Choose
          label="List or count"
          options={[
            { value: "list", label: "list the records" },
            { value: "count", label: "count them" },
          ]}
          chosen={["list"]}
          onChoose={(value) => {
            if (value === "count") count();
            close();
          }}
        />
      )}
    </Opens>
  );
}

/** A part not yet said: what chooses it goes with it once it is said. */
function Gap({ words, children }: { words: string; children: (onDone: () => void) => ReactNode }) {
  return (
    <Opens
      label={words}
      placement="bottom start"
      ahead={PartPicker.fetch}
      maxHeight={380}
      button={<Button className="part gap">{words}</Button>}
    >
      {children}
    </Opens>
  );
}
