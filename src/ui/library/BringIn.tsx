"use client";
import { FileInput } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import { ask, AskProblem, Button, Dialog, tell } from "../kit";

const MOST_BYTES = 2_000_000;

/** Brings a report, saved filter or dashboard in from its definition file; what is wrong with one is told by its path. */
export function BringIn() {
  const [problems, setProblems] = useState<readonly { path?: string; message: string }[]>([]);
  const router = useRouter();
  const bring = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES)
      return setProblems([{ message: `${file.name} is too large for a definition.` }]);
    try {
      const { kind, id, name } = await ask("bringDefinition", { text: await file.text() });
      tell(`${name} is brought in.`);
      if (kind === "filter") router.refresh();
      else router.push(`/${kind}s/${id}`);
    } catch (error) {
      setProblems(
        error instanceof AskProblem ? error.problems : [{ message: (error as Error).message }],
      );
    }
  };
  return (
    <>
      <FileTrigger
        acceptedFileTypes={[".json", "application/json"]}
        onSelect={(files) => void bring(files?.[0])}
      >
        <Button>
          <FileInput aria-hidden />
          Bring in
        </Button>
      </FileTrigger>
      <Dialog
        title="It was not brought in"
        isOpen={problems.length > 0}
        onOpenChange={(open) => !open && setProblems([])}
      >
        <ul role="alert" style={{ display: "grid", gap: 6 }}>
          {problems.slice(0, 12).map((problem, i) => (
            <li key={i}>
              {problem.path && (
                <>
                  <b style={{ fontWeight: 650 }}>{problem.path}</b>:{" "}
                </>
              )}
              {problem.message}
            </li>
          ))}
        </ul>
        <div style={{ display: "flex", justifyContent: "flex-end", marginTop: 14 }}>
          <Button $look="solid" onPress={() => setProblems([])}>
            Close
          </Button>
        </div>
      </Dialog>
    </>
  );
}
