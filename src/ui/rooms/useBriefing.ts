"use client";
import { useRouter } from "next/navigation";
import type { RoomOf } from "@/contract/rooms";
import { ask, tell } from "../kit";

/** Opens the briefing of a room's thing that is kept current; where there is none, one is made. */
export function useBriefing({ kind, id }: RoomOf): () => Promise<void> {
  const router = useRouter();
  return async () => {
    const of = { kind, target: id };
    try {
      const current = (await ask("briefings", { of })).find((line) => line.frozenOn === null);
      router.push(`/briefings/${current?.id ?? (await ask("newBriefing", of))}`);
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
}
