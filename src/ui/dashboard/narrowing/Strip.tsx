"use client";
import { useQuery } from "@tanstack/react-query";
import { Flashlight, Plus, X } from "lucide-react";
import { useMemo } from "react";
import type { ShownFilter } from "@/contract/dashboards";
import type { AskContext } from "@/core/catalog";
import type { CountReport } from "@/core/kinds";
import { conditionText } from "@/core/sentence";
import { dayText } from "@/core/time";
import { ask, Button, Opens, Waiting } from "../../kit";
import { contextOf, TestEditor } from "../../report";
import { FilterPart } from "./FilterPart";
import {
  cleared,
  isChanged,
  isNarrowed,
  NOT_NARROWED,
  withBeam,
  withChosen,
  type Beam,
  type Narrowed,
  type OwnFilter,
} from "./narrowed";
import { saidParts } from "./said";
import { Ground, Part } from "./stripStyle";
import { useLettingGo } from "./useLettingGo";

const ALL_ITEMS: CountReport = {
  kind: "count",
  measures: [{ measure: "count" }],
  subject: { id: "items" },
  by: [],
};
const SEARCH = "own:search";

export interface StripProps {
  readonly filters: readonly ShownFilter[];
  readonly now: Narrowed;
  readonly onChange: (next: Narrowed) => void;
  /** Opens the records of a part that narrows; null where they are not at hand. */
  readonly recordsOf: (beam: Beam) => (() => void) | null;
}

/** All that narrows a dashboard as one sentence, whatever set it; each part clears alone, and all of it at once. */
export function Strip({ filters, now, onChange, recordsOf }: StripProps) {
  const { data: facts } = useQuery({
    queryKey: ["facts"],
    queryFn: ({ signal }) => ask("facts", {}, signal),
    staleTime: 300_000,
  });
  const context = useMemo(() => (facts ? contextOf(facts) : null), [facts]);
  const letGo = useLettingGo(filters, now, onChange);
  if (!context)
    return (
      <Ground aria-label="What narrows">
        <Waiting>Reading the filters …</Waiting>
      </Ground>
    );
  const joins = (place: number) => (place === 0 ? "where" : "and");
  const own = now.own.filter((one) => one.id !== SEARCH);
  return (
    <Ground aria-label="What narrows">
      {filters.map((filter, i) => (
        <FilterPart
          key={filter.id}
          {...{ filter, filters, now, context }}
          joins={joins(i)}
          onSay={(says) => {
            const next = withChosen(now, filter.id, says);
            onChange(next);
            void letGo(filter, next, context);
          }}
        />
      ))}
      {own.map((one, i) => (
        <OwnPart
          key={one.id}
          one={one}
          context={context}
          joins={joins(filters.length + i)}
          onDrop={() => onChange({ ...now, own: now.own.filter((other) => other !== one) })}
        />
      ))}
      {now.beams.map((beam, i) => (
        <BeamPart
          key={`${beam.tile}${beam.mark}`}
          beam={beam}
          context={context}
          joins={
            now.beams.findIndex((one) => one.tile === beam.tile) < i
              ? "or"
              : joins(filters.length + own.length + i)
          }
          records={recordsOf(beam)}
          onEnd={() => onChange(withBeam(now, beam))}
        />
      ))}
      <span className="end">
        <Search now={now} onChange={onChange} />
        <Add
          context={context}
          onAdd={(says) =>
            onChange({
              ...now,
              own: [...now.own, { id: `own:${crypto.randomUUID()}`, subject: "items", says }],
            })
          }
        />
        {isNarrowed(filters, now) && (
          <Button $small onPress={() => onChange(cleared(filters))}>
            Clear all
          </Button>
        )}
        {isChanged(filters, now) && filters.some((one) => one.says !== null) && (
          <Button $small onPress={() => onChange(NOT_NARROWED)}>
            As built
          </Button>
        )}
      </span>
    </Ground>
  );
}

/** One word for the records of every tile. */
function Search({ now, onChange }: Pick<StripProps, "now" | "onChange">) {
  const said = now.own.find((one) => one.id === SEARCH)?.says ?? "";
  const words = /^title contains "(.*)"$/.exec(said)?.[1] ?? "";
  return (
    <input
      className="find"
      type="search"
      aria-label="Find in the records of every tile"
      placeholder="in every title …"
      defaultValue={words}
      key={words}
      maxLength={200}
      onChange={(event) => {
        // Emptied by its own cross, or by hand.
        if (event.target.value === "" && words)
          onChange({ ...now, own: now.own.filter((one) => one.id !== SEARCH) });
      }}
      onKeyDown={(event) => {
        if (event.key !== "Enter") return;
        const typed = event.currentTarget.value.trim().replaceAll('"', "");
        const others = now.own.filter((one) => one.id !== SEARCH);
        const search: OwnFilter = {
          id: SEARCH,
          subject: "items",
          says: `title contains "${typed}"`,
        };
        onChange({ ...now, own: typed ? [...others, search] : others });
      }}
    />
  );
}

/** A filter that one adds for oneself. */
const Add = ({ context, onAdd }: { context: AskContext; onAdd: (says: string) => void }) => (
  <Opens
    label="A filter for yourself"
    placement="bottom end"
    maxHeight={420}
    button={
      <Button $small aria-label="Narrow by something else, for yourself">
        <Plus aria-hidden />
        Filter
      </Button>
    }
  >
    {(close) => (
      <TestEditor
        context={context}
        report={ALL_ITEMS}
        except={null}
        leaf={null}
        onLeaf={(leaf) => onAdd(conditionText(leaf, context.catalog, "items"))}
        onDone={close}
      />
    )}
  </Opens>
);

interface PartProps {
  readonly context: AskContext;
  readonly joins: string;
}

function OwnPart({
  one,
  context,
  joins,
  onDrop,
}: PartProps & { one: OwnFilter; onDrop: () => void }) {
  const said = saidParts(one.says, one.subject, context);
  return (
    <Part>
      <span className="say">
        <i>
          {joins} {said.field} {said.operator}
        </i>
        <span className="chip">
          <span className="value">{said.value}</span>
          <Button $small $icon aria-label={`Clear ${one.says}`} onPress={onDrop}>
            <X aria-hidden />
          </Button>
        </span>
      </span>
      <small>set by you</small>
    </Part>
  );
}

function BeamPart({
  beam,
  context,
  joins,
  records,
  onEnd,
}: PartProps & { beam: Beam; records: (() => void) | null; onEnd: () => void }) {
  const said =
    beam.says === null
      ? { field: "as of", operator: "", value: dayText(beam.stood ?? "") }
      : saidParts(beam.says, beam.subject, context);
  const day = beam.says !== null && beam.stood ? `, as of ${dayText(beam.stood)}` : "";
  return (
    <Part $beam>
      <span className="say">
        <i>
          {joins} {said.field} {said.operator}
        </i>
        <span className="chip">
          <span className="value">
            {said.value}
            {day}
          </span>
          {records && (
            <Button $small onPress={records}>
              Records
            </Button>
          )}
          <Button $small $icon aria-label={`End the beam of ${beam.label}`} onPress={onEnd}>
            <X aria-hidden />
          </Button>
        </span>
      </span>
      <small>
        <Flashlight size={12} aria-hidden /> beam from {beam.title}
      </small>
    </Part>
  );
}
