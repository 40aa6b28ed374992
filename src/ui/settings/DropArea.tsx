"use client";
import { FileUp } from "lucide-react";
import { DropZone, FileTrigger } from "react-aria-components";
import { Button } from "../kit";

interface DropAreaProps {
  /** The name of the file that is on its way. */
  readonly sending: string | null;
  readonly error: string | null;
  readonly onFile: (file: File) => void;
}

/** Takes a bundle: dropped here, or chosen. */
export function DropArea({ sending, error, onFile }: DropAreaProps) {
  return (
    <DropZone
      className="drop"
      onDrop={(event) => {
        const [item] = event.items;
        if (item?.kind === "file") void item.getFile().then(onFile);
      }}
    >
      <p>
        A bundle is a .zip of CSV files; only <b>items.csv</b> is needed. Nothing is written until
        you have seen what would come in.
      </p>
      <FileTrigger
        acceptedFileTypes={[".zip", ".csv", ".tsv"]}
        onSelect={(files) => files?.[0] && onFile(files[0])}
      >
        <Button $look="solid" isDisabled={sending !== null}>
          <FileUp aria-hidden />
          {sending ? `Sending ${sending} …` : "Choose a file"}
        </Button>
      </FileTrigger>
      {error && (
        <p role="alert" style={{ color: "var(--alarm)", font: "400 13.5px/20px var(--sans)" }}>
          {error}
        </p>
      )}
    </DropZone>
  );
}
