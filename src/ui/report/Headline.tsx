"use client";
import { Plus } from "lucide-react";
import { Fragment, useState, type ReactNode } from "react";
import { Button, DialogTrigger } from "react-aria-components";
import type { AskContext } from "@/core/catalog";
import type { CountReport, Group, Report } from "@/core/definition";
import { sentencePieces, type Part, type Piece } from "@/core/sentence";
import { Popover, PopoverDialog } from "../kit";
import { Choose, ConditionPicker, GroupPicker, MeasurePicker, PeriodPicker, ShapePicker, ShowingPicker, SortPicker, StoodPicker, SubjectPicker, type Option, type PickerProps } from "./pickers";
import { Say } from "./sentenceStyle";

interface HeadlineProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly onChange: (report: Report) => void;
  readonly text: string;
}

/** The sentence: each part a button that opens its picker, joining words in italics, and what could still be said. */
export function Headline({ context, report, onChange, text }: HeadlineProps) {
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
                {piece.part ? <PartButton piece={piece} first={i === 0 && at === 0} part={piece.part} context={context} report={report} onChange={onChange} /> : piece.text === "list" ? <Opening report={report} onChange={onChange} /> : <i>{piece.text}</i>}
              </Fragment>
            ))}
          </span>
        </Fragment>
      ))}
      {report.kind === "count" && !report.where && !report.shape && <> <span className="pair"><i>where</i> <Gap words="which ones?">{(onDone) => <ConditionPicker {...{ context, report, onChange, onDone }} index={null} />}</Gap></span></>}
      {report.kind === "count" && report.by.length === 0 && !report.shape && <> <span className="pair"><i>by</i> <Gap words="what?">{(onDone) => <AddGroup {...{ context, report, onChange, onDone }} />}</Gap></span></>}
      {!report.shape && <> <span className="pair"><i>as</i> <Gap words="which picture?">{(onDone) => <ShapePicker {...{ context, report, onChange, onDone }} />}</Gap></span></>}
      <DialogTrigger>
        <Button className="plus" aria-label="Say more"><Plus size={18} aria-hidden /></Button>
        <Popover placement="bottom start"><PopoverDialog aria-label="Say more">{({ close }) => <AddPart {...{ context, report, onChange }} onDone={close} />}</PopoverDialog></Popover>
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

const LABELS: Record<Part["area"], string> = { measure: "measure", subject: "what is counted", where: "condition", by: "group", split: "split", period: "period", runningTotal: "running total", stood: "as it stood", shape: "picture", showing: "columns", sorts: "order" };

function PartButton({ piece, part, first, ...props }: { piece: Piece; part: Part; first: boolean } & Omit<HeadlineProps, "text">) {
  const [isOpen, setOpen] = useState(false);
  const words = first ? piece.text.charAt(0).toUpperCase() + piece.text.slice(1) : piece.text;
  return (
    <DialogTrigger isOpen={isOpen} onOpenChange={setOpen}>
      <Button className="part" aria-label={`${LABELS[part.area]}: ${piece.text}`} aria-expanded={isOpen}>{words}</Button>
      <Popover placement="bottom start" maxHeight={380}><PopoverDialog aria-label={LABELS[part.area]}><PartPicker part={part} onDone={() => setOpen(false)} {...props} /></PopoverDialog></Popover>
    </DialogTrigger>
  );
}

function PartPicker({ part, onDone, context, report, onChange }: { part: Part; onDone: () => void } & Omit<HeadlineProps, "text">): ReactNode {
  const props: PickerProps = { context, report, onChange, onDone };
  const drop = (change: (kept: CountReport) => Report) => () => {
    if (report.kind === "count") onChange(change(report));
    onDone();
  };
  switch (part.area) {
    case "measure":
      return report.kind === "count" && <MeasurePicker {...props} report={report} index={part.index} />;
    case "subject":
      return <SubjectPicker {...props} />;
    case "where":
      return <ConditionPicker {...props} index={part.index} />;
    case "by":
      return report.kind === "count" && <GroupPicker {...props} group={report.by[part.index]} onGroup={(group) => onChange({ ...report, by: report.by.map((one, i) => (i === part.index ? group : one)) })} onTakeOut={drop((kept) => withoutPeriod({ ...kept, by: kept.by.filter((_, i) => i !== part.index) }))} />;
    case "split":
      return report.kind === "count" && <GroupPicker {...props} group={report.split ?? null} onGroup={(split) => onChange({ ...report, split })} onTakeOut={drop(({ split: _split, ...kept }) => withoutPeriod(kept as CountReport))} />;
    case "period":
      return report.kind === "count" && <PeriodPicker {...props} report={report} />;
    case "runningTotal":
      return <Choose label="Running total" options={[{ value: "on", label: "running total" }, { value: "off", label: "each for itself" }]} chosen={["on"]} onChoose={(value) => value === "off" && drop(({ runningTotal: _r, ...kept }) => kept as CountReport)()} />;
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
  if ([...report.by, ...(report.split ? [report.split] : [])].some((group) => group.grain)) return report;
  const { period: _p, runningTotal: _r, ...kept } = report;
  return kept as CountReport;
}

function Opening({ report, onChange }: Pick<HeadlineProps, "report" | "onChange">) {
  const [isOpen, setOpen] = useState(false);
  const count = () => {
    onChange({ kind: "count", measures: [{ measure: "count" }], subject: report.subject, by: [], ...(report.where ? { where: report.where } : {}) });
    setOpen(false);
  };
  return (
    <DialogTrigger isOpen={isOpen} onOpenChange={setOpen}>
      <Button className="part" aria-label="list or count" aria-expanded={isOpen}>List</Button>
      <Popover placement="bottom start"><PopoverDialog aria-label="List or count"><Choose label="List or count" options={[{ value: "list", label: "list the records" }, { value: "count", label: "count them" }]} chosen={["list"]} onChoose={(value) => (value === "count" ? count() : setOpen(false))} /></PopoverDialog></Popover>
    </DialogTrigger>
  );
}

/** A part not yet said: what chooses it goes with it once it is said. */
function Gap({ words, children }: { words: string; children: (onDone: () => void) => ReactNode }) {
  return (
    <DialogTrigger>
      <Button className="part gap">{words}</Button>
      <Popover placement="bottom start" maxHeight={380}><PopoverDialog aria-label={words}>{({ close }) => children(close)}</PopoverDialog></Popover>
    </DialogTrigger>
  );
}

function AddGroup({ context, report, onChange, onDone }: PickerProps) {
  if (report.kind !== "count") return null;
  return <GroupPicker context={context} report={report} group={null} onGroup={(group) => onChange({ ...report, by: [...report.by, group] })} onDone={onDone} />;
}

type Addition = "condition" | "group" | "then" | "split" | "measure" | "period" | "running" | "stood" | "showing" | "sort" | "list";

/** What can be said beyond what is there. */
function AddPart({ context, report, onChange, onDone }: PickerProps) {
  const [chosen, setChosen] = useState<Addition | null>(null);
  const props: PickerProps = { context, report, onChange, onDone };
  const onGroup = (put: (group: Group) => Report) => <GroupPicker {...props} group={null} onGroup={(group) => { onChange(put(group)); onDone(); }} />;
  if (chosen === "condition") return <ConditionPicker {...props} index={null} />;
  if (chosen === "period" && report.kind === "count") return <PeriodPicker {...props} report={report} />;
  if (chosen === "stood") return <StoodPicker {...props} />;
  if (report.kind === "list") {
    if (chosen === "showing") return <ShowingPicker {...props} report={report} />;
    if (chosen === "sort") return <SortPicker {...props} report={report} />;
  } else {
    if (chosen === "group" || chosen === "then") return onGroup((group) => ({ ...report, by: [...report.by, group] }));
    if (chosen === "split") return onGroup((split) => ({ ...report, split }));
  }
  const dated = report.kind === "count" && [...report.by, ...(report.split ? [report.split] : [])].filter((group) => group.grain && group.grain !== "hour" && group.grain !== "weekday").length === 1;
  const options: Option<Addition>[] = [
    { value: "condition", label: "and where …", about: "one more condition" },
    ...(report.kind === "count"
      ? [
          { value: report.by.length ? ("then" as const) : ("group" as const), label: report.by.length ? "then by …" : "by …", about: report.by.length ? "a group within the group" : "a group", isDisabled: report.by.length >= 3 },
          ...(report.split ? [] : [{ value: "split" as const, label: "split by …", about: "what each is made of", isDisabled: report.by.length === 0 }]),
          { value: "measure" as const, label: "and …", about: "one more measure" },
          ...(dated && !report.period ? [{ value: "period" as const, label: "for …", about: "the period of the dates" }] : []),
          ...(dated && report.period && !report.runningTotal ? [{ value: "running" as const, label: "running total", about: "each added to those before" }] : []),
          { value: "list" as const, label: "list instead", about: "the records themselves" },
        ]
      : [{ value: "showing" as const, label: "showing …", about: "columns" }, { value: "sort" as const, label: "sorted by …", about: "order" }]),
    ...(report.stood ? [] : [{ value: "stood" as const, label: "as it stood on …", about: "an earlier day" }]),
  ];
  const choose = (value: Addition) => {
    if (value === "measure" && report.kind === "count") onChange({ ...report, measures: [...report.measures, report.measures.some((m) => m.measure === "count") ? { measure: "average", field: ["age"], unit: "days" } : { measure: "count" }] });
    else if (value === "running" && report.kind === "count") onChange({ ...report, runningTotal: true });
    else if (value === "list") onChange({ kind: "list", subject: report.subject, showing: [], sorts: [], ...(report.where ? { where: report.where } : {}), ...(report.stood ? { stood: report.stood } : {}) });
    else return setChosen(value);
    onDone();
  };
  return <div style={{ width: 320, paddingTop: 4 }}><Choose label="Say more" options={options} chosen={[]} onChoose={choose} /></div>;
}
