"use client";
import { LayoutList, Plus, Type } from "lucide-react";
import { useState } from "react";
import { Button, Field } from "../../kit";
import { Tray } from "./arrangeStyle";

export interface ReportName {
  readonly id: number;
  readonly name: string;
  readonly shape: string | null;
  readonly mine: boolean;
  /** Filters of a dashboard can narrow it. */
  readonly takesConditions: boolean;
}

interface TileTrayProps {
  readonly reports: readonly ReportName[];
  readonly onReport: (report: ReportName) => void;
  readonly onWords: () => void;
  readonly onDeck: () => void;
}

const MOST = 60;

/** Where new tiles are taken from: words, decks, and saved reports, one's own first. */
export function TileTray({ reports, onReport, onWords, onDeck }: TileTrayProps) {
  const [words, setWords] = useState("");
  const found = reports
    .filter((report) => report.name.toLowerCase().includes(words.trim().toLowerCase()))
    .sort((a, b) => Number(b.mine) - Number(a.mine));
  return (
    <Tray aria-label="Tray">
      <h2>Tray</h2>
      <div className="makes">
        <Button $small $look="line" onPress={onWords}>
          <Type aria-hidden />
          Words
        </Button>
        <Button $small $look="line" onPress={onDeck}>
          <LayoutList aria-hidden />
          Deck
        </Button>
      </div>
      <Field label="Find a report" value={words} onChange={setWords} />
      <ul>
        {found.slice(0, MOST).map((report) => (
          <li key={report.id}>
            <button onClick={() => onReport(report)}>
              <Plus size={15} aria-hidden />
              {report.name}
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && (
        <p className="none">
          {reports.length ? "No report is called that." : "No report is saved yet."}
        </p>
      )}
    </Tray>
  );
}
