"use client";
import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import { createGlobalStyle } from "styled-components";
import type { ShownTimeline } from "@/contract/projects";
import type { Day } from "@/core/time";
import { chunksOf, NAMES, rowsOf } from "./rows";
import { liesIn, partOfScale, type Scale } from "./scale";
import { Sheet } from "./Sheet";
import { Surface } from "./style";

/** What a sheet of A4 across holds within its margins, in px. */
const PAPER = { width: 1040, height: 690 };

const Across = createGlobalStyle`
  @media print {
    @page {
      size: A4 landscape;
      margin: 10mm;
    }
    .on-screen {
      display: none;
    }
  }
`;

interface OnPaperProps {
  readonly timeline: ShownTimeline;
  readonly scale: Scale;
  readonly today: Day;
  readonly isOpen: (project: number) => boolean;
}

/** The timeline over pages: so many days beside the names on each, so many rows under them. There only while it is printed. */
export function OnPaper({ timeline, scale, today, isOpen }: OnPaperProps) {
  const isPrinting = usePrinting();
  if (!isPrinting) return null;
  const chunks = chunksOf(timeline.projects, isOpen, PAPER.height);
  const wide = PAPER.width - NAMES;
  const lefts = Array.from({ length: Math.ceil(scale.width / wide) }, (_, n) => n * wide);
  return (
    <>
      <Across />
      {chunks.flatMap((projects, n) =>
        lefts
          .map((left) => partOfScale(scale, left, wide))
          .filter((part) => projects.some((project) => liesIn(project, part)))
          .map((part) => (
            <Surface key={`${n} ${part.from}`} className="on-paper">
              <Sheet
                timeline={{ ...timeline, projects }}
                rows={rowsOf(projects, isOpen)}
                scale={part}
                today={today}
                moving={null}
                hands={null}
              />
            </Surface>
          )),
      )}
    </>
  );
}

/** Whether the page is being printed. */
function usePrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    // What is printed has to be there before the printer looks.
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    addEventListener("beforeprint", begin);
    addEventListener("afterprint", end);
    return () => {
      removeEventListener("beforeprint", begin);
      removeEventListener("afterprint", end);
    };
  }, []);
  return isPrinting;
}
