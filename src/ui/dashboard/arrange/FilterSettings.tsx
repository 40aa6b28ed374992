"use client";
import { useQuery } from "@tanstack/react-query";
import { ChevronDown, Plus } from "lucide-react";
import { useMemo } from "react";
import type { ShownFilter } from "@/contract/dashboards";
import type { AskContext } from "@/core/catalog";
import { conditionText } from "@/core/sentence";
import { ask, Button, Checkbox, Choice, Choose, Field, Opens } from "../../kit";
import { contextOf } from "../../report";
import { fieldOptions, TestEditor } from "../../report";
import { NOT_NARROWED } from "../narrowing/narrowed";
import { emptyTest, filterName, offeredAmong, readSaid } from "../narrowing/said";
import { FilterBar, Settings } from "./arrangeStyle";
import { possibleParents } from "./arranged";

interface FiltersProps {
  readonly filters: readonly ShownFilter[];
  readonly onFilters: (filters: readonly ShownFilter[]) => void;
  readonly onTakeOut: (filter: ShownFilter) => void;
  readonly onAdd: (filter: ShownFilter, name: string) => void;
}

/** The filters of a dashboard while it is arranged: what each is on, begins with, depends on. */
export function FilterSettings({ filters, onFilters, onTakeOut, onAdd }: FiltersProps) {
  const { data: facts } = useQuery({
    queryKey: ["facts"],
    queryFn: ({ signal }) => ask("facts", {}, signal),
    staleTime: 300_000,
  });
  const context = useMemo(() => (facts ? contextOf(facts) : null), [facts]);
  if (!context) return null;
  const put = (next: ShownFilter) =>
    onFilters(filters.map((one) => (one.id === next.id ? next : one)));
  return (
    <FilterBar aria-label="Filters">
      <i>{filters.length ? "narrowed by" : "no filters yet"}</i>
      {filters.map((filter) => (
        <Opens
          key={filter.id}
          label={`The filter ${filterName(filter, context)}`}
          placement="bottom start"
          maxHeight={480}
          button={
            <Button $small $look="line">
              {filterName(filter, context)}
              <ChevronDown aria-hidden />
            </Button>
          }
        >
          {(close) => (
            <One
              {...{ filter, filters, context }}
              onFilter={put}
              onTakeOut={() => {
                onTakeOut(filter);
                close();
              }}
              onDone={close}
            />
          )}
        </Opens>
      ))}
      {filters.length < 20 && (
        <Opens
          label="A filter on which field"
          placement="bottom start"
          maxHeight={420}
          button={
            <Button $small>
              <Plus aria-hidden />
              Filter
            </Button>
          }
        >
          {(close) => (
            <Choose<readonly string[]>
              label="Filter by which field"
              options={fieldOptions(context.catalog, "items", () => true)}
              chosen={[]}
              onChoose={(field) => {
                const filter: ShownFilter = {
                  id: crypto.randomUUID(),
                  subject: "items",
                  field: [...field],
                  says: null,
                };
                onAdd(filter, filterName(filter, context));
                close();
              }}
            />
          )}
        </Opens>
      )}
    </FilterBar>
  );
}

interface OneProps {
  readonly filter: ShownFilter;
  readonly filters: readonly ShownFilter[];
  readonly context: AskContext;
  readonly onFilter: (filter: ShownFilter) => void;
  readonly onTakeOut: () => void;
  readonly onDone: () => void;
}

function One({ filter, filters, context, onFilter, onTakeOut, onDone }: OneProps) {
  const without = (name: "label" | "dependsOn" | "isLocked" | "forgets" | "begins") => {
    const { [name]: _was, ...rest } = filter;
    return rest as ShownFilter;
  };
  const parents = possibleParents(filter, filters);
  return (
    <Settings>
      <Field
        label="Called"
        placeholder={filterName(without("label"), context)}
        value={filter.label ?? ""}
        onChange={(label) =>
          onFilter(label.trim() ? { ...filter, label: label.slice(0, 80) } : without("label"))
        }
      />
      <div className="row">
        <span>
          Begins with <b>{filter.says ?? "nothing"}</b>
        </span>
        {filter.says !== null && (
          <Button $small onPress={() => onFilter({ ...without("begins"), says: null })}>
            Nothing
          </Button>
        )}
      </div>
      <Begins {...{ filter, filters, context, onFilter }} />
      {parents.length > 0 && (
        <Choice
          label="Offers only what is left by"
          value={filter.dependsOn ?? ""}
          options={[
            ["", "no other filter"] as const,
            ...parents.map((one) => [one.id, filterName(one, context)] as const),
          ]}
          onChange={(id) => onFilter(id ? { ...filter, dependsOn: id } : without("dependsOn"))}
        />
      )}
      <Checkbox
        isSelected={Boolean(filter.isLocked)}
        onChange={(on) => onFilter(on ? { ...filter, isLocked: true } : without("isLocked"))}
      >
        fixed: seen, not changed
      </Checkbox>
      <Checkbox
        isSelected={!filter.forgets}
        onChange={(on) => onFilter(on ? without("forgets") : { ...filter, forgets: true })}
      >
        what a viewer chose is kept for them
      </Checkbox>
      <div className="row">
        <Button $small onPress={onTakeOut}>
          Take out
        </Button>
        <Button $small $look="solid" onPress={onDone}>
          Done
        </Button>
      </div>
    </Settings>
  );
}

/** Chooses what a filter begins with. */
function Begins({
  filter,
  filters,
  context,
  onFilter,
}: Pick<OneProps, "filter" | "filters" | "context" | "onFilter">) {
  const read = filter.says === null ? null : readSaid(filter.says, filter.subject, context);
  const leaf = read?.kind === "test" ? read : emptyTest(filter, context);
  if (!leaf) return <small>Its field is gone; take it out.</small>;
  return (
    <Opens
      label="What it begins with"
      placement="bottom start"
      maxHeight={420}
      button={
        <Button $small $look="line">
          Choose what it begins with
        </Button>
      }
    >
      {(close) => (
        <TestEditor
          context={context}
          report={offeredAmong(filter, filters, NOT_NARROWED, context)}
          except={null}
          leaf={leaf}
          onLeaf={(begins) =>
            onFilter({
              ...filter,
              begins,
              says: conditionText(begins, context.catalog, filter.subject),
            })
          }
          onDone={close}
        />
      )}
    </Opens>
  );
}
