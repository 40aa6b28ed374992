"use client";
import { useRouter } from "next/navigation";
import styled from "styled-components";
import type { KeptDashboard } from "@/contract/dashboards";
import type { RoomBoards as RoomBoardsFacts } from "@/contract/rooms";
import { nameText } from "@/core/sentence";
import { StillGrid } from "../dashboard";
import { ask, Choice, Empty, tell } from "../kit";
import type { Opening } from "../said";
import { TileBody } from "../tiles";
import { Ground } from "./Leaves";

const Named = styled(Ground)`
  padding: 12px 32px 0;
`;
const Settings = styled(Ground)`
  padding: 12px 32px 16px;
`;

interface RoomBoardsProps {
  readonly given: RoomBoardsFacts;
  readonly open: Opening;
  /** The local day at whose end it is asked; "" for now. */
  readonly stood: string;
}

/**
 * The dashboards of a room: that of all rooms of its like, and one of its own. Every tile is narrowed to what the room is of,
 * whatever else it asks.
 */
export function RoomBoards({ given, open, stood }: RoomBoardsProps) {
  const { of, boards, alike } = given;
  const narrowed = [
    {
      id: `this ${of.kind}`,
      subject: "items" as const,
      says: `${of.kind} is ${nameText(of.name)}`,
    },
  ];
  const tileOf = (tile: KeptDashboard["tiles"][number]) => (
    <TileBody
      tile={tile}
      stamp={0}
      stood={stood}
      narrowed={narrowed}
      nameOf={(id) => id}
      onOpen={(answer, mark) => open.ofMark(answer.definition, mark, answer.name)}
      onPart={(answer, mark) => open.ofMark(answer.definition, mark, mark.label)}
    />
  );
  return (
    <>
      {boards.map((board) => (
        <section key={board.id} aria-label={board.name}>
          <Named $on="plain">
            <header>
              <h2 className="serif">{board.name}</h2>
              <span className="end">
                {board.isOwn ? `of this ${of.kind} alone` : `of all ${alike}`}
              </span>
            </header>
          </Named>
          {board.decks.length === 0 ? (
            <StillGrid tiles={board.tiles} render={tileOf} />
          ) : (
            board.decks.map((deck) => (
              <StillGrid
                key={deck.id}
                tiles={board.tiles.filter((tile) => tile.deck === deck.id)}
                render={tileOf}
              />
            ))
          )}
        </section>
      ))}
      {boards.length === 0 && (
        <Empty
          says={`No dashboard is set for this room yet. Any dashboard will do: its tiles are narrowed to this ${of.kind}.`}
        />
      )}
      <Setting {...given} />
    </>
  );
}

const NONE = "none";

/** Which dashboards the room shows: an administrator sets that of all of its like, who leads it adds one. */
function Setting({ of, boards, alike, maySetAlike, maySetOwn, offered }: RoomBoardsFacts) {
  const router = useRouter();
  if (!maySetAlike && !maySetOwn) return null;
  const options = [
    [NONE, "none"] as const,
    ...offered.map((board) => [String(board.id), board.name] as const),
  ];
  const set = async (isOwn: boolean, value: string) => {
    try {
      await ask("setRoomBoard", {
        of: { kind: of.kind, id: of.id },
        isOwn,
        dashboard: value === NONE ? null : Number(value),
      });
      router.refresh();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  const chosen = (isOwn: boolean) =>
    String(boards.find((board) => board.isOwn === isOwn)?.id ?? NONE);
  return (
    <Settings $on="tide">
      <header>
        <h2>What this room shows</h2>
      </header>
      {maySetAlike && (
        <Choice
          label={`All ${alike} show`}
          value={chosen(false)}
          options={options}
          onChange={(value) => void set(false, value)}
        />
      )}
      {maySetOwn && (
        <Choice
          label={`This ${of.kind} shows, too`}
          value={chosen(true)}
          options={options}
          onChange={(value) => void set(true, value)}
        />
      )}
    </Settings>
  );
}
