"use client";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { Dress } from "@/core/definition";
import { ask, AskProblem, tell } from "../kit";

import type { Draft } from "./draft";
import type { KeptReport } from "./facts";

/** Saving, saving as a copy and renaming, with what can go wrong. */
export function useSaving(
  kept: KeptReport | null,
  draft: Draft,
  mayKeep: boolean,
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
  const send = async (
    name: string,
    asCopy: boolean,
    over?: number,
    dress = draft.dress,
  ): Promise<number | null> => {
    try {
      const told = await ask("saveReport", {
        ...(kept && !asCopy ? { id: kept.id, version: over ?? version } : {}),
        name,
        ...about,
        definition: draft.report,
        dress,
      });
      forget(asCopy ? 0 : told.version);
      setTheirs(null);
      setVersion(told.version);
      setSaved(JSON.stringify([draft.report, dress, name, about.purpose, about.category]));
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
    /** Without the right to change it, it is kept as a copy of one's own. */
    keepsCopy: kept !== null && !kept.mayChange,
    canSave: mayKeep && (!kept || !kept.mayChange || !isSame),
    state: !kept
      ? "not saved yet; a draft is kept as you go"
      : isSame
        ? "saved"
        : "changed; not saved yet",
    /** Saves with a dress that the draft is about to have. */
    begin: (dress: Dress) => {
      if (!mayKeep) return;
      if (kept && !kept.mayChange) setAsks("copy");
      else if (kept) void send(draft.name || kept.name, false, undefined, dress);
      else setAsks("name");
    },
    copy: () => setAsks("copy"),
    rename: () => setAsks("rename"),
  };
}
