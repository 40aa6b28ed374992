"use client";
import { useQuery } from "@tanstack/react-query";
import { ask, Empty, Waiting } from "../kit";
import { PartRecords } from "../report";
import { SaidFigure } from "../said";
import { Columns, Ground } from "./Leaves";
import type { LeafProps } from "./Overview";
import { HOW_MANY_WERE_OPEN, OPEN_ITEMS, WHERE_THEY_STAND } from "./sentences";

/** What is open in a project, and where it stands. */
export function ProjectItems({ here, open, stood }: LeafProps) {
  const { data, error } = useQuery({
    queryKey: ["says", OPEN_ITEMS, here, stood],
    queryFn: ({ signal }) =>
      ask("says", { says: OPEN_ITEMS, here, ...(stood ? { stood } : {}) }, signal),
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
            says={WHERE_THEY_STAND}
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
            says={HOW_MANY_WERE_OPEN}
            title="How many were open"
            height={240}
            {...{ here, open, stood }}
          />
        </Ground>
      </div>
    </Columns>
  );
}
