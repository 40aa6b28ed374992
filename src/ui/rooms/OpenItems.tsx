"use client";
import { useQuery } from "@tanstack/react-query";
import type { RoomOf } from "@/contract/rooms";
import { ask, Empty, Waiting } from "../kit";
import { PartRecords } from "../report";
import { SaidFigure, type Opening } from "../said";
import { Columns, Ground } from "./Leaves";
import { howManyWereOpen, openItems, whereTheyStand } from "./sentences";

interface OpenItemsProps {
  readonly of: RoomOf;
  readonly open: Opening;
  /** The local day at whose end it is asked; "" for now. */
  readonly stood: string;
}

/** What is open in what a room is of, and where it stands. */
export function OpenItems({ of: { kind, id }, open, stood }: OpenItemsProps) {
  const here = { thing: kind, id };
  const says = openItems(kind);
  const { data, error } = useQuery({
    queryKey: ["says", says, here, stood],
    queryFn: ({ signal }) => ask("says", { says, here, ...(stood ? { stood } : {}) }, signal),
  });
  if (error && !data) return <Empty says={error.message} />;
  if (!data) return <Waiting>Counting …</Waiting>;
  return (
    <Columns>
      <div>
        <Ground $on="plain">
          <header>
            <h2>Open items</h2>
          </header>
          <PartRecords report={data.definition} part={undefined} />
        </Ground>
      </div>
      <div>
        <Ground>
          <header>
            <h2>Where they stand</h2>
            <span className="end">by kind</span>
          </header>
          <SaidFigure
            says={whereTheyStand(kind)}
            title="Where they stand"
            height={240}
            {...{ here, open, stood }}
          />
        </Ground>
        <Ground>
          <header>
            <h2>How many were open</h2>
          </header>
          <SaidFigure
            says={howManyWereOpen(kind)}
            title="How many were open"
            height={240}
            {...{ here, open, stood }}
          />
        </Ground>
      </div>
    </Columns>
  );
}
