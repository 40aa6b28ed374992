"use client";

import { type CountReport, type Report, sentencePieces } from "@/core/kinds";
import { Plus } from "lucide-react";
import { Fragment, useState, type ReactNode } from "react";
import { Button, DialogTrigger } from "react-aria-components";
import type { AskContext } from "@/core/catalog";
import { measures } from "@/core/measure";
import type { Dress, Group } from "@/core/definition";
import { type Piece, type SentencePart, type Area } from "@/core/sentence";
import { addMonths, localDay } from "@/core/time";
import { Popover, PopoverDialog } from "../kit";
import {
  BurnsPicker,
  Choose,
  ComparedPicker,
  ConditionPicker,
  BesidePicker,
  EndsPicker,
  GrainPicker,
  LastPicker,
  TeamPicker,
  UnitPicker,
  WhichPicker,
  GroupPicker,
  MeasurePicker,
  PeriodPicker,
  ShapePicker,
  ShowingPicker,
  SortPicker,
  StoodPicker,
  SubjectPicker,
  type Option,
  type PickerProps,
  withBeside,
} from "./pickers";
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
      {report.kind === "count" && !report.where && !report.shape && (
        <>
          {" "}
          <span className="pair">
            <i>where</i>{" "}
            <Gap words="which ones?">
              {(onDone) => <ConditionPicker {...parts} onDone={onDone} index={null} />}
            </Gap>
          </span>
        </>
      )}
      {report.kind === "count" && report.by.length === 0 && !report.shape && (
        <>
          {" "}
          <span className="pair">
            <i>by</i>{" "}
            <Gap words="what?">
              {(onDone) => <AddGroup {...{ context, report, onChange, onDone }} />}
            </Gap>
          </span>
        </>
      )}
      {!report.shape && (
        <>
          {" "}
          <span className="pair">
            <i>as</i>{" "}
            <Gap words="which picture?">
              {(onDone) => <ShapePicker {...{ context, report, onChange, onDone }} />}
            </Gap>
          </span>
        </>
      )}
      <DialogTrigger>
        <Button className="plus" aria-label="Say more">
          <Plus size={18} aria-hidden />
        </Button>
        <Popover placement="bottom start">
          <PopoverDialog aria-label="Say more">
            {({ close }) => <AddPart {...parts} onDone={close} />}
          </PopoverDialog>
        </Popover>
      </DialogTrigger>
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
};

function PartButton({
  piece,
  part,
  first,
  ...props
}: { piece: Piece; part: SentencePart; first: boolean } & Omit<HeadlineProps, "text">) {
  const [isOpen, setOpen] = useState(false);
  const words = first ? piece.text.charAt(0).toUpperCase() + piece.text.slice(1) : piece.text;
  return (
    <DialogTrigger isOpen={isOpen} onOpenChange={setOpen}>
      <Button
        className="part"
        aria-label={`${LABELS[part.area]}: ${piece.text}`}
        aria-expanded={isOpen}
      >
        {words}
      </Button>
      <Popover placement="bottom start" maxHeight={380}>
        <PopoverDialog aria-label={LABELS[part.area]}>
          <PartPicker part={part} onDone={() => setOpen(false)} {...props} />
        </PopoverDialog>
      </Popover>
    </DialogTrigger>
  );
}

function PartPicker({
  part,
  onDone,
  context,
  report,
  onChange,
  dress,
  onDress,
  onGroups,
}: { part: SentencePart; onDone: () => void } & Omit<HeadlineProps, "text">): ReactNode {
  const props: PickerProps = { context, report, onChange, onDone };
  const drop = (change: (kept: CountReport) => Report) => () => {
    if (report.kind === "count") onChange(change(report));
    onDone();
  };
  switch (part.area) {
    case "measure":
      if (report.kind === "level" || report.kind === "crossings" || report.kind === "bridge") {
        const counted: CountReport = {
          kind: "count",
          subject: report.subject,
          measures: [report.measure ?? { measure: "count" }],
          by: [],
        };
        return (
          <MeasurePicker
            {...props}
            report={counted}
            index={0}
            onChange={(next) => {
              const [measure] = (next as CountReport).measures;
              if (!("named" in measure)) {
                const { per: _per, ...simple } = measure;
                onChange({ ...report, measure: simple });
              }
            }}
          />
        );
      }
      return (
        report.kind === "count" && <MeasurePicker {...props} report={report} index={part.index} />
      );
    case "subject":
      return <SubjectPicker {...props} />;
    case "where":
      return (
        <ConditionPicker
          {...props}
          index={part.index}
          dress={dress}
          onDress={onDress}
          onGroups={onGroups}
        />
      );
    case "by":
      return (
        report.kind === "count" && (
          <GroupPicker
            {...props}
            group={report.by[part.index]}
            onGroup={(group) =>
              onChange({
                ...report,
                by: report.by.map((one, i) => (i === part.index ? group : one)),
              })
            }
            onTakeOut={drop((kept) =>
              withoutPeriod({ ...kept, by: kept.by.filter((_, i) => i !== part.index) }),
            )}
          />
        )
      );
    case "split":
      if (report.kind === "level")
        return (
          <GroupPicker
            {...props}
            group={report.split ?? null}
            onGroup={(split) => onChange({ ...report, split })}
            onTakeOut={() => {
              const { split: _split, ...kept } = report;
              onChange(kept);
              onDone();
            }}
          />
        );
      return (
        report.kind === "count" && (
          <GroupPicker
            {...props}
            group={report.split ?? null}
            onGroup={(split) => onChange({ ...report, split })}
            onTakeOut={drop(({ split: _split, ...kept }) => withoutPeriod(kept as CountReport))}
          />
        )
      );
    case "groupedBy":
      return (
        report.kind === "list" && (
          <GroupPicker
            {...props}
            group={report.by ?? null}
            onGroup={(by) => onChange({ ...report, by })}
            onTakeOut={() => {
              const { by: _by, ...kept } = report;
              onChange(kept);
              onDone();
            }}
          />
        )
      );
    case "period":
      return (
        (report.kind === "count" || report.kind === "level" || report.kind === "crossings") && (
          <PeriodPicker {...props} report={report} />
        )
      );
    case "compared":
      return <ComparedPicker {...props} />;
    case "which":
      return report.kind === "crossings" && <WhichPicker {...props} report={report} />;
    case "grain":
      return (
        (report.kind === "level" || report.kind === "crossings") && (
          <GrainPicker {...props} report={report} />
        )
      );
    case "beside":
      return report.kind === "crossings" && <BesidePicker {...props} report={report} />;
    case "ends":
      return (
        (report.kind === "bridge" || report.kind === "burndown") && (
          <EndsPicker {...props} report={report} />
        )
      );
    case "burns":
      return report.kind === "burndown" && <BurnsPicker {...props} report={report} />;
    case "unit":
      return (
        (report.kind === "burndown" || report.kind === "velocity") && (
          <UnitPicker {...props} report={report} />
        )
      );
    case "team":
      return report.kind === "velocity" && <TeamPicker {...props} report={report} />;
    case "last":
      return report.kind === "velocity" && <LastPicker {...props} report={report} />;
    case "runningTotal":
      return (
        <Choose
          label="Running total"
          options={[
            { value: "on", label: "running total" },
            { value: "off", label: "each for itself" },
          ]}
          chosen={["on"]}
          onChoose={(value) => {
            if (value === "off" && (report.kind === "count" || report.kind === "crossings")) {
              const { runningTotal: _r, ...kept } = report;
              onChange(kept as Report);
            }
            onDone();
          }}
        />
      );
    case "stood":
      return <StoodPicker {...props} />;
    case "shape":
      return <ShapePicker {...props} />;
    case "showing":
      return report.kind === "list" && <ShowingPicker {...props} report={report} />;
    case "sorts":
      return report.kind === "list" && <SortPicker {...props} report={report} />;
  }
}

/** A period and a running total need their date group; without it they go, too. */
function withoutPeriod(report: CountReport): CountReport {
  if ([...report.by, ...(report.split ? [report.split] : [])].some((group) => group.grain))
    return report;
  const { period: _p, runningTotal: _r, ...kept } = report;
  return kept as CountReport;
}

function Opening({ report, onChange }: Pick<HeadlineProps, "report" | "onChange">) {
  const [isOpen, setOpen] = useState(false);
  const count = () => {
    onChange({
      kind: "count",
      measures: [{ measure: "count" }],
      subject: report.subject,
      by: [],
      ...(report.where ? { where: report.where } : {}),
    });
    setOpen(false);
  };
  return (
    <DialogTrigger isOpen={isOpen} onOpenChange={setOpen}>
      <Button className="part" aria-label="list or count" aria-expanded={isOpen}>
        List
      </Button>
      <Popover placement="bottom start">
        <PopoverDialog aria-label="List or count">
          <Choose
            label="List or count"
            options={[
              { value: "list", label: "list the records" },
              { value: "count", label: "count them" },
            ]}
            chosen={["list"]}
            onChoose={(value) => (value === "count" ? count() : setOpen(false))}
          />
        </PopoverDialog>
      </Popover>
    </DialogTrigger>
  );
}

/** A part not yet said: what chooses it goes with it once it is said. */
function Gap({ words, children }: { words: string; children: (onDone: () => void) => ReactNode }) {
  return (
    <DialogTrigger>
      <Button className="part gap">{words}</Button>
      <Popover placement="bottom start" maxHeight={380}>
        <PopoverDialog aria-label={words}>{({ close }) => children(close)}</PopoverDialog>
      </Popover>
    </DialogTrigger>
  );
}

/** A measure to begin with beside the count: an average of what the subject can be measured by. */
function firstAverage(
  report: CountReport,
  { catalog }: AskContext,
): CountReport["measures"][number] {
  const fields = catalog.fieldsOf(report.subject.id);
  const field = fields.find((one) => one.id === "age") ?? fields.find(measures.average.fits);
  return field
    ? {
        measure: "average",
        field: [field.id],
        ...(field.id === "age" ? { unit: "days" as const } : {}),
      }
    : { measure: "distinct", field: [fields[0].id] };
}

function AddGroup({ context, report, onChange, onDone }: PickerProps) {
  if (report.kind !== "count") return null;
  return (
    <GroupPicker
      context={context}
      report={report}
      group={null}
      onGroup={(group) => onChange({ ...report, by: [...report.by, group] })}
      onDone={onDone}
    />
  );
}

type Addition =
  | "condition"
  | "groups"
  | "group"
  | "then"
  | "split"
  | "measure"
  | "period"
  | "compared"
  | "running"
  | "beside"
  | "stood"
  | "showing"
  | "sort"
  | "groupedBy"
  | "list"
  | "swap"
  | "level"
  | "crossings"
  | "bridge";

/** The same records asked of history: their level, what came and went, or why the level moved over the last month. */
function asHistory(
  report: Report,
  kind: "level" | "crossings" | "bridge",
  context: AskContext,
): Report {
  const base = { subject: report.subject, ...(report.where ? { where: report.where } : {}) };
  const period = {
    kind: "rolling" as const,
    way: "last" as const,
    count: 12,
    unit: "month" as const,
  };
  const today = localDay(context.now, context.calendar.zone);
  if (kind === "level")
    return {
      kind,
      ...base,
      grain: "month",
      period,
      ...(report.kind === "count" && report.by[0] && !report.by[0].grain && !report.by[0].cases
        ? { split: report.by[0] }
        : {}),
      shape: "area",
    };
  if (kind === "crossings")
    return { kind, which: "both", ...base, grain: "month", period, shape: "columns" };
  return { kind, ...base, from: addMonths(today, -1), to: today, shape: "waterfall" };
}

/** What can be said beyond what is there. */
function AddPart({
  context,
  report,
  onChange,
  onDone,
  dress,
  onDress,
  onGroups,
}: PickerProps & Pick<HeadlineProps, "dress" | "onDress" | "onGroups">) {
  const [chosen, setChosen] = useState<Addition | null>(null);
  const props: PickerProps = { context, report, onChange, onDone };
  const onGroup = (put: (group: Group) => Report) => (
    <GroupPicker
      {...props}
      group={null}
      onGroup={(group) => {
        onChange(put(group));
        onDone();
      }}
    />
  );
  if (chosen === "condition")
    return (
      <ConditionPicker
        {...props}
        index={null}
        dress={dress}
        onDress={onDress}
        onGroups={onGroups}
      />
    );
  if (chosen === "compared") return <ComparedPicker {...props} />;
  if (chosen === "split" && report.kind === "level")
    return onGroup((split) => ({ ...report, split }));
  if (chosen === "groupedBy" && report.kind === "list") return onGroup((by) => ({ ...report, by }));
  if (chosen === "period" && report.kind === "count")
    return <PeriodPicker {...props} report={report} />;
  if (chosen === "stood") return <StoodPicker {...props} />;
  if (report.kind === "list") {
    if (chosen === "showing") return <ShowingPicker {...props} report={report} />;
    if (chosen === "sort") return <SortPicker {...props} report={report} />;
  } else if (report.kind === "count") {
    if (chosen === "group" || chosen === "then")
      return onGroup((group) => ({ ...report, by: [...report.by, group] }));
    if (chosen === "split") return onGroup((split) => ({ ...report, split }));
  }
  const dated =
    report.kind === "count" &&
    [...report.by, ...(report.split ? [report.split] : [])].filter(
      (group) => group.grain && group.grain !== "hour" && group.grain !== "weekday",
    ).length === 1;
  const options: Option<Addition>[] = [
    { value: "condition", label: "and where …", about: "one more condition" },
    { value: "groups", label: "conditions in groups …", about: "all of, any of, none of" },
    ...(report.kind === "count"
      ? [
          {
            value: report.by.length ? ("then" as const) : ("group" as const),
            label: report.by.length ? "then by …" : "by …",
            about: report.by.length ? "a group within the group" : "a group",
            isDisabled: report.by.length >= 3,
          },
          ...(report.split
            ? []
            : [
                {
                  value: "split" as const,
                  label: "split by …",
                  about: "what each is made of",
                  isDisabled: report.by.length === 0,
                },
              ]),
          {
            value: "measure" as const,
            label: "and …",
            about: "one more measure",
            isDisabled: report.measures.length >= 6,
          },
          ...(report.by.length > 0 && report.split
            ? [
                {
                  value: "swap" as const,
                  label: "swap the axes",
                  about: "split and last group change places",
                },
              ]
            : []),
          ...(report.compared
            ? []
            : [
                {
                  value: "compared" as const,
                  label: "compared with …",
                  about: "the period before, a year earlier",
                },
              ]),
          ...(dated && !report.period
            ? [{ value: "period" as const, label: "for …", about: "the period of the dates" }]
            : []),
          ...(dated && report.period && !report.runningTotal
            ? [
                {
                  value: "running" as const,
                  label: "running total",
                  about: "each added to those before",
                },
              ]
            : []),
          { value: "list" as const, label: "list instead", about: "the records themselves" },
          ...(report.subject.id === "items"
            ? [
                {
                  value: "level" as const,
                  label: "level instead",
                  about: "how many at each stretch's end, as it was",
                },
                {
                  value: "crossings" as const,
                  label: "arrivals and departures instead",
                  about: "what came in and went out",
                },
                { value: "bridge" as const, label: "bridge instead", about: "why a level moved" },
              ]
            : []),
        ]
      : report.kind !== "list"
        ? [
            ...(report.kind === "level" && !report.split
              ? [
                  {
                    value: "split" as const,
                    label: "split by …",
                    about: "what each level is made of",
                  },
                ]
              : []),
            ...(report.kind === "crossings" && !report.runningTotal
              ? [
                  {
                    value: "running" as const,
                    label: "running total",
                    about: "each added to those before",
                  },
                ]
              : []),
            ...(report.kind === "crossings" && !report.beside
              ? [{ value: "beside" as const, label: "with …", about: "their net, or the level" }]
              : []),
            { value: "list" as const, label: "list instead", about: "the records themselves" },
          ]
        : [
            ...(report.by
              ? []
              : [
                  {
                    value: "groupedBy" as const,
                    label: "grouped by …",
                    about: "groups that open and close",
                  },
                ]),
            { value: "showing" as const, label: "showing …", about: "columns" },
            { value: "sort" as const, label: "sorted by …", about: "order" },
          ]),
    ...(report.stood
      ? []
      : [{ value: "stood" as const, label: "as it stood on …", about: "an earlier day" }]),
  ];
  const choose = (value: Addition) => {
    if (value === "measure" && report.kind === "count")
      onChange({
        ...report,
        measures: [
          ...report.measures,
          report.measures.some((m) => !("named" in m) && m.measure === "count" && !m.where)
            ? firstAverage(report, context)
            : { measure: "count" },
        ],
      });
    else if (value === "running" && (report.kind === "count" || report.kind === "crossings"))
      onChange({ ...report, runningTotal: true } as Report);
    else if (value === "beside" && report.kind === "crossings")
      onChange(withBeside(report, ["level"]));
    else if (value === "groups") onGroups();
    else if (value === "swap" && report.kind === "count" && report.split)
      onChange({
        ...report,
        by: [...report.by.slice(0, -1), report.split],
        split: report.by[report.by.length - 1],
      });
    else if (value === "level" || value === "crossings" || value === "bridge")
      onChange(asHistory(report, value, context));
    else if (value === "list")
      onChange({
        kind: "list",
        subject: report.subject,
        showing: [],
        sorts: [],
        ...(report.where ? { where: report.where } : {}),
        ...(report.stood ? { stood: report.stood } : {}),
      });
    else return setChosen(value);
    onDone();
  };
  return (
    <div style={{ width: 320, paddingTop: 4 }}>
      <Choose label="Say more" options={options} chosen={[]} onChoose={choose} />
    </div>
  );
}
