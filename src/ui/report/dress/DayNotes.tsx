"use client";
import { useQueryClient } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { dayText } from "@/core/time";

import { ask, Button, Checkbox, DayField, Field, tell } from "../../kit";
import { useDayNotes } from "./useDayNotes";

/** Dated notes on time charts: of this report, or of every one. */
export function DayNotes({ report }: { report: number | null }) {
  const { data } = useDayNotes(report);
  const client = useQueryClient();
  const [day, setDay] = useState("");
  const [words, setWords] = useState("");
  const [here, setHere] = useState(false);
  const again = () => void client.invalidateQueries({ queryKey: ["dayNotes"] });
  const save = () =>
    ask("saveDayNote", { day, words, service: null, report: here ? report : null }).then(
      () => {
        setWords("");
        again();
      },
      (error: Error) => tell(error.message),
    );
  return (
    <>
      {data?.map((note) => (
        <div key={note.id} className="line">
          <span className="name" title={note.words}>
            {dayText(note.day).slice(0, -5)}: {note.words}
          </span>
          {note.mayChange && (
            <Button
              $small
              $icon
              style={{ marginLeft: "auto" }}
              aria-label={`Take out ${note.words}`}
              onPress={() =>
                void ask("dropDayNote", { id: note.id }).then(again, (error: Error) =>
                  tell(error.message),
                )
              }
            >
              <Trash2 aria-hidden />
            </Button>
          )}
        </div>
      ))}
      {data?.length === 0 && <p className="note">No day has a note yet.</p>}
      <DayField stacked label="Day" value={day} onChange={setDay} />
      <Field
        label="What happened"
        value={words}
        onChange={setWords}
        placeholder="new gate firmware went live"
      />
      {report !== null && (
        <Checkbox isSelected={here} onChange={setHere}>
          In this report only
        </Checkbox>
      )}
      <Button $small $look="line" isDisabled={!day || !words.trim()} onPress={() => void save()}>
        Write it down
      </Button>
    </>
  );
}
