"use client";
import { isDrawable } from "@/core/kinds";
import type { ShownTile } from "@/contract/figures";

import type { Mark } from "@/core/figure";
import { FigureBody, PartRecords } from "../report";

/** A tile at full size: its figure with its table, or its rows. */
export function Enlarged({ answer, onOpen }: { answer: ShownTile; onOpen: (mark: Mark) => void }) {
  const { shown, definition, dress, name } = answer;
  if (!isDrawable(shown))
    return (
      <div style={{ height: 380, display: "flex" }}>
        <PartRecords report={definition} part={undefined} />
      </div>
    );
  return (
    <FigureBody
      shown={shown}
      report={definition}
      dress={dress}
      measure="in all"
      title={name}
      opened={null}
      onOpen={onOpen}
      asTable={shown.kind === "count"}
    />
  );
}
