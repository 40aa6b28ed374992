"use client";
import type { DashboardLine } from "@/contract/dashboards";
import { LayoutDashboard, Pin, PinOff, Plus, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";

import { ask, Button, Empty, laterDialog, Mast, Page, Purpose, tell, Title } from "../kit";

const NewBoard = laterDialog(() => import("./NewBoard"), "NewBoard");

const Rows = styled.ul`
  padding: 8px 32px;
  max-width: 960px;
  li {
    display: grid;
    grid-template-columns: 32px minmax(0, 1fr) 180px auto;
    gap: 14px;
    align-items: center;
    border-top: 1px solid var(--line);
    min-height: 66px;
    padding: 8px 12px;
    margin: 0 -12px;
  }
  li:hover {
    background: var(--mallow);
  }
  .name {
    font: 560 21px/26px var(--serif);
    color: var(--ink);
  }
  p {
    font: italic 400 16px/20px var(--serif);
    color: var(--ink-3);
  }
  svg.lead {
    color: var(--plum);
  }
  .who {
    font-size: 13px;
    line-height: 18px;
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
    li {
      grid-template-columns: minmax(0, 1fr) auto;
    }
    .lead,
    .who {
      display: none;
    }
  }
`;

export function Dashboards({
  boards,
  mayBuild,
}: {
  boards: readonly DashboardLine[];
  mayBuild: boolean;
}) {
  const [asks, setAsks] = useState(false);
  const router = useRouter();
  const pin = async (board: DashboardLine) => {
    await ask("pin", { kind: "dashboard", id: board.id, pinned: !board.pinned }).catch(
      (error: Error) => tell(error.message),
    );
    router.refresh();
  };
  const remove = async (board: DashboardLine) => {
    await ask("bin", { kind: "dashboard", id: board.id }).then(
      () => tell(`${board.name} is in the bin for 30 days.`),
      (error: Error) => tell(error.message),
    );
    router.refresh();
  };
  const make = mayBuild && (
    <Button $look="solid" onPress={() => setAsks(true)}>
      <Plus aria-hidden />
      New dashboard
    </Button>
  );
  return (
    <Page>
      <Mast>
        <Title>Dashboards</Title>
        <Purpose>
          {boards.length === 1 ? "One that you may read." : `${boards.length} that you may read.`}
        </Purpose>
        <div className="acts">{make}</div>
      </Mast>
      {boards.length === 0 && (
        <Empty says="No dashboard yet. A dashboard shows saved reports side by side; every figure on it opens.">
          {make || "Ask a builder to make one."}
        </Empty>
      )}
      <Rows>
        {boards.map((board) => (
          <li key={board.id}>
            <LayoutDashboard className="lead" size={22} aria-hidden />
            <div>
              <Link className="name" href={`/dashboards/${board.id}`}>
                {board.name}
              </Link>
              {board.purpose && <p>{board.purpose}</p>}
            </div>
            <div className="who">
              <b style={{ fontWeight: 650 }}>{board.owner}</b>
              <br />
              {board.tiles === 1 ? "1 tile" : `${board.tiles} tiles`}
            </div>
            <span style={{ display: "flex" }}>
              <Button
                $icon
                aria-label={board.pinned ? `Unpin ${board.name}` : `Pin ${board.name}`}
                onPress={() => void pin(board)}
              >
                {board.pinned ? <PinOff aria-hidden /> : <Pin aria-hidden />}
              </Button>
              {board.mayChange && (
                <Button
                  $icon
                  aria-label={`Put ${board.name} into the bin`}
                  onPress={() => void remove(board)}
                >
                  <Trash2 aria-hidden />
                </Button>
              )}
            </span>
          </li>
        ))}
      </Rows>
      <NewBoard isOpen={asks} onClose={() => setAsks(false)} />
    </Page>
  );
}
