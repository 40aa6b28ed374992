"use client";
import { SaidFigure } from "../said";
import { Columns, Ground } from "../rooms";
import type { LeafProps } from "./Overview";
import { BILLED, BUDGET_LEFT, costByMonth, valueCurve, WORKED_BY_PERSON } from "./sentences";

/** What a project costs and earns: by month and category, against its budget, and what each hour and entry was. */
export function Money({ project, here, open, stood }: LeafProps) {
  const { span } = project;
  const of = { here, open, stood };
  return (
    <Columns>
      <div>
        {!span && (
          <Ground>
            <p>
              It has no dates yet: with a start and an end what it earns and what it costs are drawn
              here month by month.
            </p>
          </Ground>
        )}
        {span && (
          <Ground>
            <header>
              <h2>Earned value</h2>
              <span className="end">planned, earned, spent</span>
            </header>
            <SaidFigure says={valueCurve(span)} title="Earned value" isTold {...of} />
          </Ground>
        )}
        {span && (
          <Ground>
            <header>
              <h2>Cost by month and category</h2>
            </header>
            <SaidFigure
              says={costByMonth(span)}
              title="Cost by month and category"
              isTold
              {...of}
            />
          </Ground>
        )}
      </div>
      <div>
        <Ground>
          <header>
            <h2>What is left of the budget</h2>
          </header>
          <SaidFigure
            says={BUDGET_LEFT}
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
          <SaidFigure says={WORKED_BY_PERSON} title="Who worked on it" height={260} {...of} />
        </Ground>
        <Ground $on="plain">
          <header>
            <h2>Billed</h2>
          </header>
          <SaidFigure says={BILLED} title="Billed" {...of} />
        </Ground>
      </div>
    </Columns>
  );
}
