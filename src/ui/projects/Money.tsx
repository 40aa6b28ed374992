"use client";
import { SaidFigure } from "../said";
import { Columns, Ground } from "./Leaves";
import type { LeafProps } from "./Overview";

const OF = "where project is this project";

/** What a project costs and earns: by month and category, against its budget, and what each hour and entry was. */
export function Money({ project, here, open, stood }: LeafProps) {
  const { span } = project;
  const of = { here, open, stood };
  return (
    <Columns>
      <div>
        {span && (
          <Ground>
            <header>
              <h2>Earned value</h2>
              <span className="end">planned, earned, spent</span>
            </header>
            <SaidFigure
              says={`S-curve of earned value of projects ${OF} by month for ${span.from} to ${span.to}`}
              title="Earned value"
              isTold
              {...of}
            />
          </Ground>
        )}
        <Ground>
          <header>
            <h2>Cost by month and category</h2>
          </header>
          <SaidFigure
            says={`sum of amount of cost entries ${OF} by month of spent on split by category as stacked columns`}
            title="Cost by month and category"
            isTold
            {...of}
          />
        </Ground>
      </div>
      <div>
        <Ground>
          <header>
            <h2>What is left of the budget</h2>
          </header>
          <SaidFigure
            says={`burndown of budget of projects ${OF}`}
            title="What is left of the budget"
            height={260}
            isTold
            {...of}
          />
        </Ground>
        <Ground>
          <header>
            <h2>Who worked on it</h2>
            <span className="end">last 3 months</span>
          </header>
          <SaidFigure
            says={`sum of minutes in hours of time entries ${OF} and worked on during last 3 months by person as bars`}
            title="Who worked on it"
            height={260}
            {...of}
          />
        </Ground>
        <Ground $on="plain">
          <header>
            <h2>Billed</h2>
          </header>
          <SaidFigure
            says={`list billings ${OF} showing billed on, amount sorted by billed on descending`}
            title="Billed"
            {...of}
          />
        </Ground>
      </div>
    </Columns>
  );
}
