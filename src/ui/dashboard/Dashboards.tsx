"use client";
import type { DashboardLine } from "@/contract/dashboards";
import { LayoutDashboard, Pin, PinOff, Plus, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import styled from "styled-components";

import {
  ask,
  AskProblem,
  Button,
  Dialog,
  Empty,
  Field,
  Mast,
  Page,
  Purpose,
  tell,
  Title,
} from "../kit";

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

function NewBoard({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const [name, setName] = useState("");
  const [purpose, setPurpose] = useState("");
  const [error, setError] = useState<string | null>(null);
  const router = useRouter();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const { id } = await ask("saveDashboard", {
        name,
        purpose,
        tiles: [],
      });
      router.push(`/dashboards/${id}?arrange`);
    } catch (problem) {
      setError(problem instanceof AskProblem ? problem.message : "It could not be saved.");
    }
  };
  return (
    <Dialog title="New dashboard" isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      <form onSubmit={(event) => void submit(event)} style={{ display: "grid", gap: 12 }}>
        <Field label="Name" value={name} onChange={setName} error={error} autoFocus />
        <Field
          label="What question does it answer? (may stay empty)"
          value={purpose}
          onChange={setPurpose}
        />
        <div style={{ display: "flex", gap: 8, justifyContent: "flex-end", marginTop: 6 }}>
          <Button onPress={onClose}>Leave it</Button>
          <Button type="submit" $look="solid">
            Make it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
