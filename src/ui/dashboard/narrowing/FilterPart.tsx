"use client";
import { useQuery } from "@tanstack/react-query";
import { ChevronDown, X } from "lucide-react";
import type { ShownFilter } from "@/contract/dashboards";
import type { AskContext } from "@/core/catalog";
import { conditionText } from "@/core/sentence";
import { ask, Button, Opens } from "../../kit";
import { TestEditor } from "../../report";
import { saidBy, type Narrowed } from "./narrowed";
import { emptyTest, filterName, offeredAmong, readSaid, saidParts } from "./said";
import { Part } from "./stripStyle";

interface FilterPartProps {
  readonly filter: ShownFilter;
  readonly filters: readonly ShownFilter[];
  readonly now: Narrowed;
  readonly context: AskContext;
  readonly joins: string;
  readonly onSay: (says: string | null) => void;
}

/** A filter of the dashboard: what it says now, the way to change it, and where that came from. */
export function FilterPart({ filter, filters, now, context, joins, onSay }: FilterPartProps) {
  const says = saidBy(filter, now);
  const name = filterName(filter, context);
  const said = says === null ? null : saidParts(says, filter.subject, context);
  const words = said?.value ?? "any";
  const between = !said ? `${name} is` : said.field ? `${name} ${said.operator}` : "";
  return (
    <Part>
      <span className="say">
        <i>
          {joins} {between}
        </i>
        <span className="chip">
          {filter.isLocked ? (
            <span className="value">{words}</span>
          ) : (
            <Change {...{ filter, filters, now, context, onSay, name, words }} />
          )}
          {says !== null && !filter.isLocked && (
            <Button $small $icon aria-label={`Clear ${name}`} onPress={() => onSay(null)}>
              <X aria-hidden />
            </Button>
          )}
        </span>
      </span>
      <Origin {...{ filter, filters, now, context }} />
    </Part>
  );
}

function Change({
  filter,
  filters,
  now,
  context,
  onSay,
  name,
  words,
}: Omit<FilterPartProps, "joins"> & { name: string; words: string }) {
  const says = saidBy(filter, now);
  const read = says === null ? null : readSaid(says, filter.subject, context);
  const leaf = read?.kind === "test" ? read : emptyTest(filter, context);
  return (
    <Opens
      label={name}
      placement="bottom start"
      maxHeight={420}
      button={
        <Button className="value" aria-label={`${name}: ${words}. Change it`}>
          {words} <ChevronDown aria-hidden />
        </Button>
      }
    >
      {(close) =>
        leaf ? (
          <TestEditor
            context={context}
            report={offeredAmong(filter, filters, now, context)}
            except={null}
            leaf={leaf}
            onLeaf={(next) => onSay(conditionText(next, context.catalog, filter.subject))}
            onTakeOut={() => {
              onSay(null);
              close();
            }}
            onDone={close}
          />
        ) : (
          <p>Its field is gone; ask the builder of this dashboard.</p>
        )
      }
    </Opens>
  );
}

/** Where a filter's value came from, and how many it offers where it depends on another. */
function Origin({ filter, filters, now, context }: Omit<FilterPartProps, "joins" | "onSay">) {
  const parent = filters.find((one) => one.id === filter.dependsOn);
  const among = offeredAmong(filter, filters, now, context);
  const { data } = useQuery({
    queryKey: ["values", among, filter.field],
    queryFn: ({ signal }) => ask("values", { definition: among, field: [...filter.field] }, signal),
    enabled: parent !== undefined && among.where !== undefined,
  });
  const isSet = now.chosen[filter.id] !== undefined && now.chosen[filter.id] !== filter.says;
  const notes = [
    ...(filter.isLocked ? ["fixed by its builder"] : isSet ? ["set by you"] : []),
    ...(parent
      ? [
          `depends on ${filterName(parent, context)}${data && among.where ? `: offers ${data.length}` : ""}`,
        ]
      : []),
  ];
  return <small>{notes.join(", ")}</small>;
}
