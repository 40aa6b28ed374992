"use client";
import { listsRecords, type Report } from "@/core/kinds";
import { ChevronDown, ChevronRight } from "lucide-react";
import { useState, type ReactNode } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import { PLAIN_DRESS, type Dress as DressOptions } from "@/core/definition";
import type { Figure } from "@/core/figure";
import { fieldText } from "@/core/sentence";
import { Button, Field } from "../../kit";
import { Colours, Rules } from "./Colours";
import { DayNotes } from "./DayNotes";
import { Axis, GaugeOptions, LABELS, Labels, LegendAndTable } from "./Options";
import { OrderAndFolds, ORDERS } from "./OrderAndFolds";
import { Names, Titles } from "./Titles";

const Panel = styled.aside`
  background: var(--mallow);
  padding: 12px 16px 20px;
  overflow: auto;
  min-width: 0;
  h2 {
    font: 560 22px/32px var(--serif);
  }
  .top {
    display: flex;
    justify-content: space-between;
    align-items: center;
    margin-bottom: 4px;
  }
  .group {
    width: 100%;
    display: flex;
    align-items: center;
    gap: 8px;
    height: 31px;
    font-weight: 650;
  }
  .group svg {
    width: 16px;
    height: 16px;
    color: var(--plum);
  }
  .group em {
    margin-left: auto;
    font: 400 12.5px/16px var(--sans);
    color: var(--ink-2);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 130px;
  }
  .inside {
    padding: 2px 0 10px;
    display: grid;
    gap: 3px;
  }
  .inside > * {
    min-width: 0;
  }
  .line {
    display: flex;
    align-items: center;
    gap: 8px;
    background: var(--salt);
    padding: 0 6px 0 8px;
    min-height: 30px;
  }
  .line i {
    width: 13px;
    height: 13px;
    flex: none;
  }
  .line .n {
    margin-left: auto;
    color: var(--ink-2);
  }
  .line .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    min-width: 0;
  }
  .line.picked {
    background: var(--mallow-2);
  }
  .note {
    color: var(--ink-2);
    font-size: 12.5px;
    line-height: 17px;
    padding-top: 4px;
  }
  .fold {
    display: flex;
    gap: 6px;
    background: var(--mallow-2);
    padding: 8px;
    align-items: flex-end;
  }
  .fold > :first-child {
    flex: 1;
  }
`;

interface DressProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly onReport: (report: Report) => void;
  readonly dress: DressOptions;
  readonly onDress: (dress: DressOptions) => void;
  readonly figure: Figure | null;
  readonly title: string;
  readonly reportId: number | null;
}

/** How the figure looks. One group is open at a time; each says its present state. */
export function Dress({
  context,
  report,
  onReport,
  dress,
  onDress,
  figure,
  title,
  reportId,
}: DressProps) {
  const [open, setOpen] = useState<string | null>("order");
  const part = (id: string, words: string, state: string, inside: ReactNode) => (
    <section>
      <button
        className="group"
        aria-expanded={open === id}
        onClick={() => setOpen(open === id ? null : id)}
      >
        {open === id ? <ChevronDown aria-hidden /> : <ChevronRight aria-hidden />}
        {words}
        <em>{state}</em>
      </button>
      {open === id && <div className="inside">{inside}</div>}
    </section>
  );
  const count = report.kind === "count" ? report : null;
  const isDrawn = !listsRecords(report);
  const isAdditive = (figure?.rows ?? []).some((row) => row.percent !== null);
  const named = Object.keys(dress.names).length;
  const shared = { dress, onDress, figure };
  const isToned = report.shape === "pivot" || report.shape === "heatMap";
  return (
    <Panel aria-label="Dress">
      <div className="top">
        <h2>Dress</h2>
        <Button
          $small
          onPress={() =>
            onDress({
              ...PLAIN_DRESS,
              off: dress.off,
              readers: dress.readers,
              placed: dress.placed,
            })
          }
          isDisabled={JSON.stringify(dress) === JSON.stringify(PLAIN_DRESS)}
        >
          Reset
        </Button>
      </div>
      {count !== null &&
        count.by.length > 0 &&
        part(
          "order",
          "Order and folds",
          figure?.isTime ? "by time" : ORDERS[dress.order],
          <OrderAndFolds context={context} report={count} onReport={onReport} {...shared} />,
        )}
      {isDrawn &&
        part("names", "Names", named ? `${named} renamed` : "as they are", <Names {...shared} />)}
      {isDrawn &&
        part(
          "colours",
          "Colours",
          { own: "workspace", one: "one for all", each: "one for each", rules: "by rules" }[
            dress.coloring
          ],
          <Colours {...shared} />,
        )}
      {isToned &&
        part(
          "rules",
          "Rules",
          dress.rules.length ? `${dress.rules.length}` : "none",
          <Rules dress={dress} onDress={onDress} measures={count?.measures.length ?? 1} />,
        )}
      {isDrawn &&
        part(
          "labels",
          "Labels",
          LABELS[dress.labels],
          <Labels
            {...shared}
            report={report}
            isAdditive={isAdditive}
            hasGroups={Boolean(count?.by.length)}
          />,
        )}
      {isDrawn &&
        part(
          "legend",
          "Legend and table",
          dress.legendTable ? "a table" : dress.legend,
          <LegendAndTable {...shared} />,
        )}
      {(report.shape === "gauge" || report.shape === "number") &&
        part(
          "gauge",
          "Range and zones",
          dress.zones.length ? `${dress.zones.length} zones` : "made to fit",
          <GaugeOptions {...shared} />,
        )}
      {part(
        "titles",
        "Titles",
        dress.title ? "your own" : "the name",
        <Titles {...shared} title={title} />,
      )}
      {isDrawn &&
        part(
          "axis",
          "Axis",
          dress.axisFrom !== undefined || dress.axisTo !== undefined ? "your own" : "made to fit",
          <Axis {...shared} />,
        )}
      {(figure?.isTime || report.kind === "burndown") &&
        part(
          "notes",
          "Day notes",
          dress.dayNotes ? "shown" : "not shown",
          <DayNotes report={reportId} />,
        )}
      {dress.readers.length > 0 &&
        part(
          "readers",
          "Readers choose",
          `${dress.readers.length}`,
          <>
            {dress.readers.map((reader, i) => (
              <Field
                key={reader.field}
                label={fieldText(context.catalog, report.subject.id, reader.field.split("/"))}
                placeholder="called as its field"
                value={reader.label ?? ""}
                onChange={(label) =>
                  onDress({
                    ...dress,
                    readers: dress.readers.map((one, at) =>
                      at === i
                        ? {
                            field: one.field,
                            ...(label.trim() ? { label: label.slice(0, 80) } : {}),
                          }
                        : one,
                    ),
                  })
                }
              />
            ))}
          </>,
        )}
      {count?.by.length === 0 && (
        <p className="note">Group by something to order and name its parts.</p>
      )}
    </Panel>
  );
}
