"use client";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ask, Button, Notice, tell } from "../kit";

interface StrangersProps {
  readonly kind: "report" | "dashboard";
  readonly id: number;
  readonly people: readonly number[];
  readonly teams: readonly number[];
}

/** Names the chosen recipients who may not read it, as soon as they are chosen, with the way to mend it. */
export function Strangers({ kind, id, people, teams }: StrangersProps) {
  const client = useQueryClient();
  const [error, setError] = useState<string | null>(null);
  const asked = { kind, id, people: [...people], teams: [...teams] };
  const { data } = useQuery({
    queryKey: ["strangers", asked],
    queryFn: ({ signal }) => ask("strangers", asked, signal),
    enabled: people.length + teams.length > 0,
  });
  if (!data || data.length === 0) return null;
  const names = data.map((one) => one.name).join(", ");
  const share = async () => {
    try {
      const shares = await ask("shares", { kind, id });
      const more = data.map(({ id: person }) => ({
        everyone: false,
        person,
        team: null,
        mayChange: false,
      }));
      await ask("setShares", { kind, id, shares: [...shares, ...more] });
      await client.invalidateQueries({ queryKey: ["strangers"] });
      await client.invalidateQueries({ queryKey: ["shares"] });
      tell(`Shared with ${names}.`);
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <Notice role="alert" className="slim">
      <span>
        {names} may not read this {kind} and would get nothing.{error ? ` ${error}` : ""}
      </span>
      <Button $small $look="line" onPress={() => void share()}>
        Share it with {data.length === 1 ? "them" : `these ${data.length}`}
      </Button>
    </Notice>
  );
}
