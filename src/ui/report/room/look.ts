"use client";
import { useCallback, useEffect, useMemo, useState } from "react";
import type { AskContext } from "@/core/catalog";
import { parseSentence, printReport, type Report } from "@/core/kinds";
import { tell, useAddress, type InAddress } from "../../kit";

/** What one looks at on the way from a saved report: a sentence of one's own in the address. It changes no report. */
const LOOK: InAddress<string | null> = {
  name: "look",
  plain: null,
  read: (text) => text,
  write: (says) => says,
};

export interface Looking {
  /** What is looked at; null is the report itself. */
  readonly report: Report | null;
  readonly says: string;
  readonly see: (report: Report) => void;
  /** One step back; null where none was taken. */
  readonly undo: (() => void) | null;
  /** Back to the report. */
  readonly leave: () => void;
}

/** Exploring is not changing: each step is a look of the viewer's own, with a way back to the report. */
export function useLook(context: AskContext): Looking {
  const [says, setSays] = useAddress(LOOK);
  const [past, setPast] = useState<readonly (string | null)[]>([]);
  const read = useMemo(
    () => (says === null ? null : parseSentence(says, context)),
    [says, context],
  );
  const leave = useCallback(() => {
    setPast([]);
    setSays(null);
  }, [setSays]);
  useEffect(() => {
    if (!read || read.ok) return;
    tell("What this address looks at does not read; here is the report itself.");
    leave();
  }, [read, leave]);
  return {
    report: read?.ok ? read.value : null,
    says: says ?? "",
    see: (report) => {
      setPast([...past, says]);
      setSays(printReport(report, context.catalog));
    },
    undo:
      says === null
        ? null
        : () => {
            setSays(past.at(-1) ?? null);
            setPast(past.slice(0, -1));
          },
    leave,
  };
}
