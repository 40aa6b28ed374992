"use client";
import { useCallback, useState, type ReactNode } from "react";
import type { Here } from "@/core/catalog";
import type { Mark } from "@/core/figure";
import type { Report } from "@/core/kinds";
import { ask, tell } from "../kit";
import { OpenedRecords, partOf } from "../report";

/** What opens the records behind a figure: of a sentence as it is meant in a room, or of a part of a drawn figure. */
export interface Opening {
  readonly ofSentence: (says: string, title: string) => void;
  readonly ofMark: (report: Report, mark: Mark | null, title: string) => void;
}

interface Opened {
  readonly report: Report;
  readonly mark: Mark | null;
  readonly title: string;
}

/** Opens records along the foot of a room. @param here the thing that the room is of */
export function useOpening(here: Here | undefined): { open: Opening; records: ReactNode } {
  const [opened, setOpened] = useState<Opened | null>(null);
  const { thing, id } = here ?? {};
  const ofSentence = useCallback(
    (says: string, title: string) => {
      ask("says", { says, ...(thing && id !== undefined ? { here: { thing, id } } : {}) }).then(
        ({ definition }) => setOpened({ report: definition, mark: null, title }),
        (error: Error) => tell(error.message),
      );
    },
    [thing, id],
  );
  const ofMark = useCallback(
    (report: Report, mark: Mark | null, title: string) => setOpened({ report, mark, title }),
    [],
  );
  const records = opened && (
    <OpenedRecords
      key={`${opened.title} ${opened.mark?.path.join("/") ?? ""}`}
      title={opened.title}
      report={opened.report}
      part={partOf(opened.mark)}
      onClose={() => setOpened(null)}
    />
  );
  return { open: { ofSentence, ofMark }, records };
}
