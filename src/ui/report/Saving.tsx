"use client";
import { dressDifferences, reportDifferences } from "@/core/kinds";
import { useRouter } from "next/navigation";
import { useEffect, useState, type FormEvent } from "react";
import { ask, AskProblem, Button, Dialog, Field, tell } from "../kit";
import type { AskContext } from "@/core/catalog";

import type { Draft } from "./draft";
import { Differences } from "./Versions";
import type { KeptReport } from "./facts";

/** Saving, saving as a copy and renaming, with what can go wrong. */
export function useSaving(
  kept: KeptReport | null,
  draft: Draft,
  mayBuild: boolean,
  forget: (version: number) => void,
  about: { readonly purpose: string; readonly category: string },
) {
  const [theirs, setTheirs] = useState<KeptReport | null>(null);
  const [asks, setAsks] = useState<"name" | "copy" | "rename" | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const [version, setVersion] = useState(kept?.version ?? 0);
  const [saved, setSaved] = useState(
    kept
      ? JSON.stringify([kept.definition, kept.dress, kept.name, kept.purpose, kept.category])
      : "",
  );
  const router = useRouter();
  const isSame =
    JSON.stringify([draft.report, draft.dress, draft.name, about.purpose, about.category]) ===
    saved;
  useEffect(() => setNotice(null), [draft]);
  const send = async (name: string, asCopy: boolean, over?: number): Promise<number | null> => {
    try {
      const told = await ask("saveReport", {
        ...(kept && !asCopy ? { id: kept.id, version: over ?? version } : {}),
        name,
        ...about,
        definition: draft.report,
        dress: draft.dress,
      });
      forget(asCopy ? 0 : told.version);
      setTheirs(null);
      setVersion(told.version);
      setSaved(JSON.stringify([draft.report, draft.dress, name, about.purpose, about.category]));
      tell(asCopy ? "Saved as a copy." : "Saved.");
      router.refresh();
      return told.id;
    } catch (error) {
      const [problem] = error instanceof AskProblem ? error.problems : [];
      if (problem?.code === "report.name") throw error;
      setNotice((error as Error).message);
      if (problem?.code === "report.version" && kept)
        setTheirs(await ask("report", { id: kept.id }).catch(() => null));
      return null;
    }
  };
  return {
    asks,
    notice,
    theirs,
    send,
    close: () => {
      setAsks(null);
      setTheirs(null);
    },
    isSaved: Boolean(kept) && isSame,
    canSave: mayBuild && (!kept || !isSame),
    state: !kept
      ? "not saved yet; a draft is kept as you go"
      : isSame
        ? "saved"
        : "changed; not saved yet",
    begin: () => {
      if (!mayBuild) return;
      if (kept) void send(draft.name || kept.name, false);
      else setAsks("name");
    },
    copy: () => setAsks("copy"),
    rename: () => setAsks("rename"),
  };
}

interface About {
  readonly purpose: string;
  readonly category: string;
}

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
  const title = { name: "Save this report", copy: "Save as a copy", rename: "Rename" }[
    saving.asks ?? "name"
  ];
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

/** Two saved at once: the difference in words, and the choice between theirs, mine over theirs, and both. */
export function Conflict({
  context,
  saving,
  draft,
  onTheirs,
}: {
  context: AskContext;
  saving: ReturnType<typeof useSaving>;
  draft: Draft;
  onTheirs: () => void;
}) {
  const { theirs } = saving;
  if (!theirs) return null;
  const list = [
    ...reportDifferences(theirs.definition, draft.report, context.catalog),
    ...dressDifferences(theirs.dress, draft.dress),
  ];
  return (
    <Dialog
      title="Somebody saved meanwhile"
      isOpen
      onOpenChange={(open) => !open && saving.close()}
    >
      <p style={{ marginBottom: 10 }}>{saving.notice}</p>
      <Differences list={list} was="theirs" now="mine" />
      <div
        style={{
          display: "flex",
          gap: 8,
          justifyContent: "flex-end",
          marginTop: 16,
          flexWrap: "wrap",
        }}
      >
        <Button onPress={onTheirs}>Take theirs</Button>
        <Button onPress={saving.copy}>Keep both: save mine as a copy</Button>
        <Button $look="solid" onPress={() => void saving.send(draft.name, false, theirs.version)}>
          Save mine over it
        </Button>
      </div>
    </Dialog>
  );
}
