"use client";
import { useRouter } from "next/navigation";
import { ask, tell } from "../kit";

type Kind = "report" | "dashboard" | "filter";
interface Named {
  readonly id: number;
  readonly name: string;
}

/** What can be done with anything that is kept: pin it, put it into the bin and take it out again. */
export function useKept(kind: Kind) {
  const router = useRouter();
  const after = async (done: Promise<unknown>, then?: () => void) => {
    try {
      await done;
      then?.();
      router.refresh();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  const unbin = (one: Named) =>
    after(ask("unbin", { kind, id: one.id }), () => tell(`${one.name} is back.`));
  return {
    pin: (one: Named & { pinned: boolean }) =>
      after(ask("pin", { kind, id: one.id, pinned: !one.pinned })),
    bin: (one: Named) =>
      after(ask("bin", { kind, id: one.id }), () =>
        tell(`${one.name} is in the bin for 30 days.`, {
          words: "Take it out again",
          run: () => void unbin(one),
        }),
      ),
    unbin,
  };
}
