"use client";
import type { FilterLine } from "@/contract/library";
import { Ellipsis, Pin, PinOff } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import Link from "next/link";

import { Button, Dialog, Empty, MenuButton, useMoments } from "../kit";
import { FilterUses } from "../report";
import { Rows } from "./rows";
import { useKept } from "./useKept";

const asked = (sentence: string): string => `/reports/new?s=${encodeURIComponent(sentence)}`;

/** Saved filters with their conditions spelled out, and the reports that change with them. */
export function Filters({
  filters,
  mayBuild,
  onShare,
}: {
  filters: readonly FilterLine[];
  mayBuild: boolean;
  onShare: (filter: FilterLine) => void;
}) {
  const [uses, setUses] = useState<FilterLine | null>(null);
  if (filters.length === 0)
    return (
      <Empty says="No saved filter yet. One set of conditions, used by any number of reports.">
        {mayBuild && (
          <p style={{ font: "400 15px/22px var(--sans)" }}>
            Make a report, open its conditions, and choose “Save as filter”.
          </p>
        )}
      </Empty>
    );
  return (
    <Rows aria-label="Saved filters">
      <h2>
        Saved filters <em>spelled out</em>
      </h2>
      <ul>
        {filters.map((filter) => (
          <Row
            key={filter.id}
            filter={filter}
            onShare={() => onShare(filter)}
            onUses={() => setUses(filter)}
          />
        ))}
      </ul>
      <Dialog
        title={uses?.name ?? ""}
        isOpen={uses !== null}
        onOpenChange={(open) => !open && setUses(null)}
      >
        {uses && <FilterUses id={uses.id} />}
      </Dialog>
    </Rows>
  );
}

function Row({
  filter,
  onShare,
  onUses,
}: {
  filter: FilterLine;
  onShare: () => void;
  onUses: () => void;
}) {
  const moments = useMoments();
  const kept = useKept("filter");
  const router = useRouter();
  const acts: Record<string, () => void> = {
    uses: onUses,
    share: onShare,
    change: () => router.push(`/reports/new?filter=${filter.id}`),
    file: () => location.assign(`/api/definitions/filter/${filter.id}`),
    bin: () => void kept.bin(filter),
  };
  return (
    <li className="wide">
      <div style={{ minWidth: 0 }}>
        <Link className="name" href={asked(filter.sentence)}>
          {filter.name}
        </Link>
        <span className="category">{filter.shared ? "shared" : "not shared"}</span>
        {filter.purpose && (
          <div style={{ font: "italic 400 15px/19px var(--serif)", color: "var(--ink-2)" }}>
            {filter.purpose}
          </div>
        )}
        <div className="says">
          {filter.subject} <i>where</i> {filter.says}
        </div>
      </div>
      <div className="who">
        <b>{filter.mine ? "Yours" : filter.owner}</b>
        <br />
        {moments.day(filter.updatedAt)}
      </div>
      <div className="tools">
        <Button
          $icon
          aria-label={filter.pinned ? `Unpin ${filter.name}` : `Pin ${filter.name}`}
          onPress={() => void kept.pin(filter)}
        >
          {filter.pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
        </Button>
        <MenuButton
          label={filter.name}
          placement="bottom end"
          button={
            <Button $icon aria-label={`More of ${filter.name}`}>
              <Ellipsis aria-hidden />
            </Button>
          }
          entries={[
            filter.mayChange && {
              id: "change",
              words: "Change its conditions",
              onAction: acts.change,
            },
            { id: "uses", words: "Reports that use it", onAction: acts.uses },
            { id: "share", words: "Share", onAction: acts.share },
            { id: "file", words: "Download its definition", onAction: acts.file },
            filter.mayChange && { id: "bin", words: "Put it into the bin", onAction: acts.bin },
          ]}
        />
      </div>
    </li>
  );
}
