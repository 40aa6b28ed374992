"use client";
import { Ellipsis, ListFilter, Mail, Pin, PinOff, RefreshCw, Users } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { BoardExportRequest } from "@/contract/boardExports";
import type { KeptDashboard } from "@/contract/dashboards";
import { longDayText } from "@/core/time";
import { ask, Button, DayField, Mast, MenuButton, Purpose, tell, Title } from "../kit";

interface BoardMastProps {
  readonly board: Pick<KeptDashboard, "id" | "name" | "purpose" | "pinned" | "mayChange">;
  readonly stood: string;
  readonly onStood: (day: string) => void;
  readonly mayBuild: boolean;
  readonly hasStrip: boolean;
  readonly onNarrow: () => void;
  readonly onRefresh: () => void;
  readonly onShare: () => void;
  readonly onMail: () => void;
  readonly onArrange: () => void;
  readonly onExport: (format: BoardExportRequest["format"]) => void;
}

/** The name of a dashboard, what it is for, and what can be done with all of it. */
export function BoardMast({ board, stood, onStood, mayBuild, hasStrip, ...on }: BoardMastProps) {
  return (
    <Mast>
      <Title>{board.name}</Title>
      {stood ? (
        <Purpose role="status">as it stood on {longDayText(stood)}</Purpose>
      ) : (
        board.purpose && <Purpose>{board.purpose}</Purpose>
      )}
      <div className="acts">
        <DayField
          label="As it stood on"
          value={stood}
          none="now"
          back="Back to now"
          onChange={onStood}
        />
        {!hasStrip && (
          <Button $icon aria-label="Narrow" onPress={on.onNarrow}>
            <ListFilter aria-hidden />
          </Button>
        )}
        <Button $icon aria-label="Refresh" onPress={on.onRefresh}>
          <RefreshCw aria-hidden />
        </Button>
        <Pinning id={board.id} wasPinned={board.pinned} />
        <Button onPress={on.onShare}>
          <Users aria-hidden />
          Share
        </Button>
        {mayBuild && (
          <Button onPress={on.onMail}>
            <Mail aria-hidden />
            Mail
          </Button>
        )}
        <MenuButton
          label="More"
          placement="bottom end"
          button={
            <Button $icon aria-label="More">
              <Ellipsis aria-hidden />
            </Button>
          }
          entries={[
            { id: "wall", words: "On the wall", href: `/wall/${board.id}` },
            { id: "pdf", words: "All of it as PDF", onAction: () => on.onExport("pdf") },
            { id: "png", words: "All of it as a picture", onAction: () => on.onExport("png") },
            { id: "xlsx", words: "All of it on sheets", onAction: () => on.onExport("xlsx") },
          ]}
        />
        {board.mayChange && (
          <Button $look="line" onPress={on.onArrange}>
            Arrange
          </Button>
        )}
      </div>
    </Mast>
  );
}

function Pinning({ id, wasPinned }: { id: number; wasPinned: boolean }) {
  const [pinned, setPinned] = useState(wasPinned);
  const router = useRouter();
  const pin = async () => {
    await ask("pin", { kind: "dashboard", id, pinned: !pinned }).then(
      () => setPinned(!pinned),
      (error: Error) => tell(error.message),
    );
    router.refresh();
  };
  return (
    <Button
      $icon
      aria-label={pinned ? "Unpin" : "Pin"}
      aria-pressed={pinned}
      onPress={() => void pin()}
    >
      {pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
    </Button>
  );
}
