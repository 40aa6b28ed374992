"use client";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import { useState } from "react";

import { ask, Button, Dialog, Field, tell, useMoments } from "../../kit";
import { pictureOf } from "./picture";

/** What was found on the way: words, a picture of the figure and the address of the step, kept with the report. */
export function Findings({
  report,
  address,
  proposed,
  mayKeep,
}: {
  report: number | null;
  address: string;
  proposed: string;
  mayKeep: boolean;
}) {
  const moments = useMoments();
  const client = useQueryClient();
  const [opens, setOpens] = useState<"keep" | "list" | null>(null);
  const [words, setWords] = useState("");
  const { data = [] } = useQuery({
    queryKey: ["findings", report],
    queryFn: ({ signal }) => ask("findings", { id: report! }, signal),
    enabled: report !== null,
  });
  const keep = async () => {
    const picture = await pictureOf(
      document.querySelector('[aria-label="Figure"] svg.recharts-surface'),
    );
    await ask("keepFinding", { report, words: words.trim(), address, picture }).then(
      () => {
        tell("The finding is kept with the report.");
        setOpens(null);
        setWords("");
      },
      (error: Error) => tell(error.message),
    );
    await client.invalidateQueries({ queryKey: ["findings", report] });
  };
  return (
    <>
      {data.length > 0 && (
        <Button $small onPress={() => setOpens("list")}>
          {data.length === 1 ? "1 finding" : `${data.length} findings`}
        </Button>
      )}
      {mayKeep && (
        <Button
          $small
          isDisabled={report === null}
          onPress={() => {
            setWords(proposed);
            setOpens("keep");
          }}
        >
          {report === null ? "Save the report to keep findings" : "Keep a finding"}
        </Button>
      )}
      <Dialog
        title="Keep a finding"
        isOpen={opens === "keep"}
        onOpenChange={(isOpen) => !isOpen && setOpens(null)}
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (words.trim()) void keep();
          }}
          style={{ display: "grid", gap: 12 }}
        >
          <Field
            label="In words"
            value={words}
            onChange={setWords}
            error={words.trim() ? null : "Say what was found."}
          />
          <p style={{ color: "var(--ink-2)" }}>
            The picture of the figure as it is now and the address of this step are kept with it.
          </p>
          <Button $look="solid" type="submit" isDisabled={!words.trim()}>
            Keep it
          </Button>
        </form>
      </Dialog>
      <Dialog
        title="Findings"
        isOpen={opens === "list"}
        onOpenChange={(isOpen) => !isOpen && setOpens(null)}
      >
        <ul style={{ display: "grid", gap: 14 }}>
          {data.map((finding) => (
            <li key={finding.id} style={{ borderTop: "1px solid var(--line)", paddingTop: 8 }}>
              {finding.picture && (
                // eslint-disable-next-line @next/next/no-img-element -- a drawing that brings its bytes with it
                <img
                  src={finding.picture}
                  alt=""
                  style={{
                    width: "100%",
                    maxHeight: 150,
                    objectFit: "contain",
                    objectPosition: "left",
                  }}
                />
              )}
              <p style={{ font: "560 19px/25px var(--serif)" }}>{finding.words}</p>
              <p style={{ color: "var(--ink-2)" }}>
                {finding.owner}, {moments.time(finding.at)} ·{" "}
                <Link href={finding.address}>Go there</Link>
              </p>
            </li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}
