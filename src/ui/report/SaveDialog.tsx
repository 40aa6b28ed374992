"use client";
import { useState, type FormEvent } from "react";
import { Button, Dialog, Field } from "../kit";
import type { useSaving } from "./Saving";

interface About {
  readonly purpose: string;
  readonly category: string;
}

/** Asks for the name and what it is for, before a report is kept. */
export function SaveDialog({
  saving,
  proposed,
  about,
  onAbout,
  onNamed,
  onSaved,
}: {
  saving: ReturnType<typeof useSaving>;
  proposed: string;
  about: About;
  onAbout: (about: About) => void;
  onNamed: (name: string) => void;
  onSaved: (id: number) => void;
}) {
  const [name, setName] = useState(saving.asks === "copy" ? `${proposed}, copy` : proposed);
  const [error, setError] = useState<string | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (!name.trim()) return setError("A report needs a name.");
    try {
      if (saving.asks === "rename") onNamed(name.trim());
      else {
        const id = await saving.send(name.trim(), saving.asks === "copy");
        if (id !== null) onSaved(id);
      }
      saving.close();
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  const title = {
    name: "Save this report",
    copy: saving.keepsCopy ? "Keep a copy for myself" : "Save as a copy",
    rename: "Rename",
  }[saving.asks ?? "name"];
  return (
    <Dialog
      title={title}
      isOpen={saving.asks !== null}
      onOpenChange={(open) => !open && saving.close()}
    >
      <form onSubmit={(event) => void submit(event)}>
        <Field label="Name" value={name} onChange={setName} error={error} autoFocus />
        <div style={{ display: "grid", gap: 10, marginTop: 10 }}>
          <Field
            label="What question does it answer? (may stay empty)"
            value={about.purpose}
            onChange={(purpose) => onAbout({ ...about, purpose })}
          />
          <Field
            label="Category (may stay empty)"
            value={about.category}
            onChange={(category) => onAbout({ ...about, category })}
          />
        </div>
        <div style={{ display: "flex", gap: 8, marginTop: 18, justifyContent: "flex-end" }}>
          <Button onPress={saving.close}>Leave it</Button>
          <Button type="submit" $look="solid">
            {saving.asks === "rename" ? "Rename" : "Save"}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
