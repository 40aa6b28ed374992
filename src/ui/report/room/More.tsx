"use client";
import { Pin, PinOff } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { ask, Button, MenuButton, tell } from "../../kit";
import type { KeptReport } from "../facts";

/** What is done more rarely with a saved report. */
export function More({
  kept,
  mayKeep,
  onVersions,
  onCopy,
}: {
  kept: KeptReport;
  mayKeep: boolean;
  onVersions: () => void;
  onCopy: () => void;
}) {
  const [isPinned, setPinned] = useState(kept.pinned);
  const router = useRouter();
  const pin = async () => {
    try {
      await ask("pin", { kind: "report", id: kept.id, pinned: !isPinned });
      setPinned(!isPinned);
      router.refresh();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <>
      <Button aria-pressed={isPinned} onPress={() => void pin()}>
        {isPinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
        {isPinned ? "Unpin" : "Pin"}
      </Button>
      <MenuButton
        label="More"
        placement="bottom end"
        button={<Button>More …</Button>}
        entries={[
          { id: "versions", words: "Earlier versions", onAction: onVersions },
          mayKeep && { id: "copy", words: "Save as copy", onAction: onCopy },
          {
            id: "file",
            words: "Download its definition",
            onAction: () => location.assign(`/api/definitions/report/${kept.id}`),
          },
        ]}
      />
    </>
  );
}
