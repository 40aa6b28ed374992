"use client";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { Taught } from "@/core/plain";
import { ask, tell } from "../kit";

/** Keeps what words mean for everyone, and forgets it; what is shown is read again before anything else can be done. */
export function useTeaching(onDone?: () => void) {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const change = async (act: () => Promise<unknown>, says?: string) => {
    setBusy(true);
    try {
      await act();
      await client.invalidateQueries({ queryKey: ["words"] });
      await client.invalidateQueries({ queryKey: ["readQuestion"] });
      if (says) tell(says);
    } catch (error) {
      tell((error as Error).message);
    }
    setBusy(false);
    onDone?.();
  };
  return {
    busy,
    forget: (id: number) => change(() => ask("forget", { id })),
    keepForAll: (taught: readonly Taught[]) =>
      change(
        async () => {
          for (const { words, means } of taught) await ask("teach", { words, means, forAll: true });
        },
        `${taught.map(({ words }) => `“${words}”`).join(", ")}: kept for everyone.`,
      ),
  };
}
