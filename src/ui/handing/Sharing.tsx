"use client";
import type { ShareLine } from "@/contract/library";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { useEffect, useState } from "react";
import styled from "styled-components";
import type { Thing } from "@/core/catalog";

import { ask, Button, Checkbox, Dialog, Notice, tell, Waiting } from "../kit";
import { FindThing } from "./FindThing";
import { Reached } from "./Reached";

const Rows = styled.ul`
  margin: 10px 0;
  li {
    display: flex;
    gap: 10px;
    align-items: center;
    border-top: 1px solid var(--line);
    min-height: 38px;
  }
  li b {
    font-weight: 650;
  }
  li small {
    color: var(--ink-2);
  }
  li .acts {
    margin-left: auto;
    display: flex;
    gap: 8px;
    align-items: center;
  }
`;

export interface SharingProps {
  readonly kind: "report" | "dashboard" | "filter";
  readonly id: number;
  readonly name: string;
  readonly people: readonly Thing[];
  readonly teams: readonly Thing[];
  readonly mayChange: boolean;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** Whom something is shared with: people, teams or everyone; each may see it, or change it too. */
export function Sharing({
  kind,
  id,
  name,
  people,
  teams,
  mayChange,
  isOpen,
  onClose,
}: SharingProps) {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: ["shares", kind, id],
    queryFn: ({ signal }) => ask("shares", { kind, id }, signal),
    enabled: isOpen,
  });
  const [shares, setShares] = useState<readonly ShareLine[] | null>(null);
  const [error, setError] = useState<string | null>(null);
  useEffect(() => {
    if (isOpen) setShares(data ?? null);
  }, [data, isOpen]);
  const label = (share: ShareLine) =>
    share.everyone
      ? "Everyone"
      : share.person !== null
        ? (people.find((one) => one.id === share.person)?.label ?? "somebody")
        : (teams.find((one) => one.id === share.team)?.label ?? "a team");
  const add = (share: ShareLine) =>
    setShares((now) => [
      ...(now ?? []).filter(
        (one) =>
          !(
            one.everyone === share.everyone &&
            one.person === share.person &&
            one.team === share.team
          ),
      ),
      share,
    ]);
  const save = async () => {
    try {
      await ask("setShares", { kind, id, shares: shares ?? [] });
      await client.invalidateQueries({ queryKey: ["shares"] });
      tell(shares?.length ? "Shared." : "It is yours alone now.");
      onClose();
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <Dialog title={`Share ${name}`} isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      {shares === null ? (
        <Waiting>Looking …</Waiting>
      ) : (
        <>
          {mayChange && (
            <FindThing
              label="Share with a person or a team"
              people={people}
              teams={teams}
              onChoose={(type, thing) =>
                add({
                  everyone: false,
                  person: type === "person" ? thing.id : null,
                  team: type === "team" ? thing.id : null,
                  mayChange: false,
                })
              }
            />
          )}
          <Rows>
            {shares.length === 0 && <li>Nobody but its owner and administrators sees it.</li>}
            {shares.map((share, i) => (
              <li key={i}>
                <b>{label(share)}</b>
                <small>{share.team !== null ? "team" : ""}</small>
                <span className="acts">
                  {mayChange ? (
                    <Checkbox
                      isSelected={share.mayChange}
                      onChange={(may) =>
                        setShares(
                          shares.map((one, at) => (at === i ? { ...one, mayChange: may } : one)),
                        )
                      }
                    >
                      may change it
                    </Checkbox>
                  ) : share.mayChange ? (
                    "may change it"
                  ) : (
                    "may see it"
                  )}
                  {mayChange && (
                    <Button
                      $small
                      $icon
                      aria-label={`Share no more with ${label(share)}`}
                      onPress={() => setShares(shares.filter((_, at) => at !== i))}
                    >
                      <X aria-hidden />
                    </Button>
                  )}
                </span>
              </li>
            ))}
          </Rows>
          <Reached kind={kind} id={id} isOpen={isOpen} />
          {error && <Notice role="alert">{error}</Notice>}
          <div style={{ display: "flex", gap: 8, justifyContent: "flex-end", marginTop: 10 }}>
            {mayChange && !shares.some((share) => share.everyone) && (
              <Button
                style={{ marginRight: "auto" }}
                onPress={() => add({ everyone: true, person: null, team: null, mayChange: false })}
              >
                With everyone
              </Button>
            )}
            <Button
              onPress={() =>
                void navigator.clipboard.writeText(location.href).then(
                  () => tell("The link is copied."),
                  () => tell("This browser does not let pages copy."),
                )
              }
            >
              Copy the link
            </Button>
            {mayChange ? (
              <Button $look="solid" onPress={() => void save()}>
                Save
              </Button>
            ) : (
              <Button $look="solid" onPress={onClose}>
                Close
              </Button>
            )}
          </div>
        </>
      )}
    </Dialog>
  );
}
