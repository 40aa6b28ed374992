"use client";
import type { BinLine } from "@/contract/library";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRouter } from "next/navigation";

import { ask, Button, Dialog, tell, Waiting, useMoments } from "../kit";

const WORDS: Record<BinLine["kind"], string> = {
  report: "report",
  dashboard: "dashboard",
  filter: "saved filter",
};

/** What was thrown away in the last 30 days, to take out again. */
export function Bin({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const moments = useMoments();
  const client = useQueryClient();
  const router = useRouter();
  const { data, error } = useQuery({
    queryKey: ["bin"],
    queryFn: ({ signal }) => ask("binned", {}, signal),
    enabled: isOpen,
    staleTime: 0,
  });
  const restore = async (line: BinLine) => {
    try {
      await ask("unbin", { kind: line.kind, id: line.id });
      tell(`${line.name} is back.`);
      await client.invalidateQueries({ queryKey: ["bin"] });
      router.refresh();
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
  return (
    <Dialog title="Bin" isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      <p style={{ color: "var(--ink-2)", marginBottom: 8 }}>Kept for 30 days, then gone.</p>
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <Waiting>Looking …</Waiting>}
      {data?.length === 0 && <p>Nothing lies in the bin.</p>}
      <ul style={{ maxHeight: 340, overflow: "auto" }}>
        {data?.map((line) => (
          <li
            key={line.kind + line.id}
            style={{
              display: "flex",
              gap: 12,
              alignItems: "center",
              borderTop: "1px solid var(--line)",
              padding: "6px 0",
            }}
          >
            <span style={{ flex: 1, minWidth: 0 }}>
              <b style={{ fontWeight: 600 }}>{line.name}</b>
              <br />
              <span style={{ color: "var(--ink-2)" }}>
                {WORDS[line.kind]}, since {moments.day(line.deletedAt)}
              </span>
            </span>
            <Button $small $look="line" onPress={() => void restore(line)}>
              Take it out
            </Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
