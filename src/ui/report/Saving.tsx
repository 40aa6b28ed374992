"use client";
import { useRouter } from "next/navigation";
import { useEffect, useState, type FormEvent } from "react";
import { ask, AskProblem, Button, Dialog, Field, tell } from "../kit";
import type { Draft } from "./draft";
import type { KeptReport } from "./facts";

/** Saving, saving as a copy and renaming, with what can go wrong. */
export function useSaving(kept: KeptReport | null, draft: Draft, mayBuild: boolean, forget: () => void) {
  const [asks, setAsks] = useState<"name" | "copy" | "rename" | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const [version, setVersion] = useState(kept?.version ?? 0);
  const [saved, setSaved] = useState(kept ? JSON.stringify([kept.definition, kept.dress, kept.name]) : "");
  const router = useRouter();
  const isSame = JSON.stringify([draft.report, draft.dress, draft.name]) === saved;
  useEffect(() => setNotice(null), [draft]);
  const send = async (name: string, asCopy: boolean): Promise<number | null> => {
    try {
      const told = await ask<{ id: number; version: number }>("/api/room/saveReport", { ...(kept && !asCopy ? { id: kept.id, version } : {}), name, definition: draft.report, dress: draft.dress });
      forget();
      setVersion(told.version);
      setSaved(JSON.stringify([draft.report, draft.dress, name]));
      tell(asCopy ? "Saved as a copy." : "Saved.");
      router.refresh();
      return told.id;
    } catch (error) {
      const [problem] = error instanceof AskProblem ? error.problems : [];
      if (problem?.code === "report.name") throw error;
      setNotice((error as Error).message);
      return null;
    }
  };
  return {
    asks, notice, send, close: () => setAsks(null), canSave: mayBuild && (!kept || !isSame),
    state: !kept ? "not saved yet; a draft is kept as you go" : isSame ? "saved" : "changed; not saved yet",
    begin: () => { if (!mayBuild) return; if (kept) void send(draft.name || kept.name, false); else setAsks("name"); },
    copy: () => setAsks("copy"),
    rename: () => setAsks("rename"),
  };
}

export function SaveDialog({ saving, proposed, onNamed, onSaved }: { saving: ReturnType<typeof useSaving>; proposed: string; onNamed: (name: string) => void; onSaved: (id: number) => void }) {
  const [name, setName] = useState(proposed);
  const [error, setError] = useState<string | null>(null);
  useEffect(() => {
    if (saving.asks) setName(saving.asks === "copy" ? `${proposed}, copy` : proposed);
    setError(null);
  }, [saving.asks]); // eslint-disable-line react-hooks/exhaustive-deps
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
  const title = { name: "Save this report", copy: "Save as a copy", rename: "Rename" }[saving.asks ?? "name"];
  return (
    <Dialog title={title} isOpen={saving.asks !== null} onOpenChange={(open) => !open && saving.close()}>
      <form onSubmit={(event) => void submit(event)}>
        <Field label="Name" value={name} onChange={setName} error={error} autoFocus />
        <div style={{ display: "flex", gap: 8, marginTop: 18, justifyContent: "flex-end" }}><Button onPress={saving.close}>Leave it</Button><Button type="submit" $look="solid">{saving.asks === "rename" ? "Rename" : "Save"}</Button></div>
      </form>
    </Dialog>
  );
}
