"use client";
import type { ShownTile } from "@/contract/figures";
import type { KeptDashboard } from "@/contract/dashboards";
import { Mail, Pin, PinOff, RefreshCw, Users } from "lucide-react";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useState } from "react";
import type { Thing } from "@/core/catalog";

import type { Mark } from "@/core/figure";
import { longDayText } from "@/core/time";
import {
  ask,
  Button,
  DayField,
  Dialog,
  Empty,
  later,
  Mast,
  Page,
  Purpose,
  SightLine,
  tell,
  Title,
  useShortcuts,
} from "../kit";
import { Mailing, Sharing } from "../handing";
import { OpenedRecords, partOf } from "../report";
import { TileBody } from "./TileBody";
import { arrangedKey, arrangeKey, BOARD_KEYS } from "./boardKeys";
import { Enlarged } from "./Enlarged";
import type { Arranged, ReportName } from "./Arrange";
import { Grid } from "./TileGrid";
import { useStood } from "./useStood";

const Arrange = later(() => import("./Arrange"), "Arrange");

const REFRESH_MS = 300_000;

export function Board({
  board,
  reports,
  people,
  teams,
  mayBuild,
  begun = {},
}: {
  board: KeptDashboard;
  reports: readonly ReportName[];
  people: readonly Thing[];
  teams: readonly Thing[];
  mayBuild: boolean;
  /** The answers of tiles that were begun with the page, by their reports. */
  begun?: Readonly<Record<number, Promise<ShownTile | null>>>;
}) {
  const [saved, setSaved] = useState<Arranged & { version: number }>({
    name: board.name,
    purpose: board.purpose,
    tiles: board.tiles,
    version: board.version,
  });
  const [arranging, setArranging] = useState(false);
  const [opened, setOpened] = useState<{ answer: ShownTile; mark: Mark | null } | null>(null);
  const [expanded, setExpanded] = useState<ShownTile | null>(null);
  const [stamp, setStamp] = useState(0);
  const [stood, setStood] = useStood();
  const [pinned, setPinned] = useState(board.pinned);
  const [hands, setHands] = useState<"share" | "mail" | null>(null);
  const router = useRouter();
  const open = useCallback(
    (answer: ShownTile, mark: Mark | null) => setOpened({ answer, mark }),
    [],
  );
  useEffect(() => {
    if (
      board.mayChange &&
      (location.search === "?arrange" || localStorage.getItem(arrangedKey(board.id)))
    )
      setArranging(true);
    const timer = setInterval(
      () => document.visibilityState === "visible" && setStamp((n) => n + 1),
      REFRESH_MS,
    );
    return () => clearInterval(timer);
  }, [board.id, board.mayChange]);
  useShortcuts([
    ...(board.mayChange && !arranging ? [arrangeKey(() => setArranging(true))] : []),
    ...BOARD_KEYS,
    {
      keys: "escape",
      says: "closes what is open",
      run: () => setOpened(null),
    },
  ]);
  if (arranging)
    return (
      <Arrange
        board={{ ...board, ...saved }}
        reports={reports}
        onLeave={() => {
          localStorage.removeItem(arrangedKey(board.id));
          window.history.replaceState(null, "", `/dashboards/${board.id}`);
          setArranging(false);
        }}
        onSaved={(next) => {
          setSaved(next);
          setArranging(false);
          router.refresh();
        }}
      />
    );
  const pin = async () => {
    await ask("pin", { kind: "dashboard", id: board.id, pinned: !pinned }).then(
      () => setPinned(!pinned),
      (error: Error) => tell(error.message),
    );
    router.refresh();
  };
  const part = partOf(opened?.mark ?? null);
  return (
    <Page>
      <Mast>
        <Title>{saved.name}</Title>
        {stood ? (
          <Purpose role="status">as it stood on {longDayText(stood)}</Purpose>
        ) : (
          saved.purpose && <Purpose>{saved.purpose}</Purpose>
        )}
        <div className="acts">
          <DayField
            label="As it stood on"
            value={stood}
            none="now"
            back="Back to now"
            onChange={setStood}
          />
          <Button $icon aria-label="Refresh" onPress={() => setStamp((n) => n + 1)}>
            <RefreshCw aria-hidden />
          </Button>
          <Button
            $icon
            aria-label={pinned ? "Unpin" : "Pin"}
            aria-pressed={pinned}
            onPress={() => void pin()}
          >
            {pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
          </Button>
          <Button onPress={() => setHands("share")}>
            <Users aria-hidden />
            Share
          </Button>
          {mayBuild && (
            <Button onPress={() => setHands("mail")}>
              <Mail aria-hidden />
              Mail
            </Button>
          )}
          {board.mayChange && (
            <Button $look="line" onPress={() => setArranging(true)}>
              Arrange
            </Button>
          )}
        </div>
      </Mast>
      {saved.tiles.length === 0 ? (
        <Empty says="This dashboard has no tiles yet. A tile shows a saved report.">
          {board.mayChange && (
            <Button $look="solid" onPress={() => setArranging(true)}>
              Arrange it
            </Button>
          )}
        </Empty>
      ) : (
        <Grid
          tiles={saved.tiles}
          render={(tile) => (
            <TileBody
              report={tile.report}
              onOpen={open}
              onExpand={setExpanded}
              stamp={stamp}
              begun={begun[tile.report]}
              stood={stood}
            />
          )}
        />
      )}
      <div className="sight">
        <SightLine />
      </div>
      {opened && (
        <OpenedRecords
          title={`${opened.answer.dress.title ?? opened.answer.name}${part ? `: ${opened.mark!.label}` : ""}`}
          report={opened.answer.definition}
          part={part}
          onClose={() => setOpened(null)}
        />
      )}
      <Sharing
        kind="dashboard"
        id={board.id}
        name={saved.name}
        people={people}
        teams={teams}
        mayChange={board.mayChange}
        isOpen={hands === "share"}
        onClose={() => setHands(null)}
      />
      {hands === "mail" && (
        <Mailing
          kind="dashboard"
          target={board.id}
          name={saved.name}
          people={people}
          teams={teams}
          isOpen
          onClose={() => setHands(null)}
        />
      )}
      <Dialog
        title={expanded?.dress.title ?? expanded?.name ?? ""}
        isOpen={expanded !== null}
        onOpenChange={(isOpen) => !isOpen && setExpanded(null)}
      >
        {expanded && (
          <Enlarged
            answer={expanded}
            onOpen={(mark) => {
              setExpanded(null);
              open(expanded, mark);
            }}
          />
        )}
      </Dialog>
    </Page>
  );
}
