"use client";
import { useRouter } from "next/navigation";
import styled from "styled-components";
import type { KeptDashboard } from "@/contract/dashboards";
import { nameText } from "@/core/sentence";
import { StillGrid } from "../dashboard";
import { ask, Choice, Empty, tell } from "../kit";
import { TileBody } from "../tiles";
import { Ground } from "./Leaves";
import type { LeafProps } from "./Overview";

const Named = styled(Ground)`
  padding: 12px 32px 0;
`;
const Settings = styled(Ground)`
  padding: 12px 32px 16px;
`;

/** A dashboard that a room may show. */
export interface DashboardName {
  readonly id: number;
  readonly name: string;
}

/**
 * The dashboards of a project's room: that of all projects of its type, and one of its own. Every tile is narrowed to the
 * project, whatever else it asks.
 */
export function RoomBoards({
  project,
  boards,
  role,
  open,
  stood,
  offered,
}: LeafProps & {
  readonly boards: readonly (KeptDashboard & { readonly isOwn: boolean })[];
  readonly role: string;
  readonly offered: readonly DashboardName[];
}) {
  const narrowed = [
    {
      id: "this project",
      subject: "items" as const,
      says: `project is ${nameText(project.name)}`,
    },
  ];
  return (
    <>
      {boards.map((board) => (
        <section key={board.id} aria-label={board.name}>
          <Named $on="plain">
            <header>
              <h2 className="serif">{board.name}</h2>
              <span className="end">
                {board.isOwn
                  ? "of this project alone"
                  : `of all projects ${project.type ? `of the type ${project.type}` : "without a type"}`}
              </span>
            </header>
          </Named>
          {board.decks.length === 0 ? (
            <StillGrid tiles={board.tiles} render={(tile) => tileOf(tile)} />
          ) : (
            board.decks.map((deck) => (
              <StillGrid
                key={deck.id}
                tiles={board.tiles.filter((tile) => tile.deck === deck.id)}
                render={(tile) => tileOf(tile)}
              />
            ))
          )}
        </section>
      ))}
      {boards.length === 0 && (
        <Empty says="No dashboard is set for this room yet. Any dashboard will do: its tiles are narrowed to this project." />
      )}
      <Setting {...{ project, role, boards, offered }} />
    </>
  );

  function tileOf(tile: KeptDashboard["tiles"][number]) {
    return (
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
  }
}

const NONE = "none";

/** Which dashboards the room shows: an administrator sets that of a type, its manager adds one. */
function Setting({
  project,
  role,
  boards,
  offered,
}: Pick<LeafProps, "project"> & {
  role: string;
  offered: readonly DashboardName[];
  boards: readonly (KeptDashboard & { readonly isOwn: boolean })[];
}) {
  const router = useRouter();
  const maySetType = role === "administrator";
  if (!maySetType && !project.mayLead) return null;
  const options = [
    [NONE, "none"] as const,
    ...offered.map((board) => [String(board.id), board.name] as const),
  ];
  const set = async (isOwn: boolean, value: string) => {
    try {
      await ask("setRoomBoard", {
        project: project.id,
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
      {maySetType && (
        <Choice
          label={
            project.type
              ? `All projects of the type ${project.type} show`
              : "All projects without a type show"
          }
          value={chosen(false)}
          options={options}
          onChange={(value) => void set(false, value)}
        />
      )}
      <Choice
        label="This project shows, too"
        value={chosen(true)}
        options={options}
        onChange={(value) => void set(true, value)}
      />
    </Settings>
  );
}
