"use client";
import { useRouter } from "next/navigation";
import type { RoomOf } from "@/contract/rooms";
import { ask, Button, tell } from "../kit";

/** Opens the briefing of a room's thing that is kept current; where there is none, one is made. */
export function BriefingButton({ kind, id }: RoomOf) {
  const router = useRouter();
  const brief = async () => {
    const of = { kind, target: id };
    try {
      const current = (await ask("briefings", { of })).find((line) => line.frozenOn === null);
      router.push(`/briefings/${current?.id ?? (await ask("newBriefing", of))}`);
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
  return (
    <Button $look="line" onPress={() => void brief()}>
      Briefing
    </Button>
  );
}
