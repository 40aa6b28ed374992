"use client";
import { listsRecords, type Report } from "@/core/kinds";
import { Table2 } from "lucide-react";
import { Button, Checkbox, later, SightLine } from "../../kit";
import { proposedName } from "../draft";
import { withText } from "../dress/titleTexts";
import { saidWords, Says } from "../FigurePane";
import { shownKindOf } from "../kinds/shown";
import { Rename } from "../Rename";
import { Drawing } from "./Drawing";
import { Above, Beneath } from "./Notices";
import { useLikelihood, type Room } from "./useReportRoom";

const Begin = later(() => import("../Begin"), "Begin");
const ConditionBuilder = later(() => import("../conditions/ConditionBuilder"), "ConditionBuilder");
const Likelihood = later(() => import("./Likelihood"), "Likelihood");

/** Shapes that are a table already, or that no table says better. */
const NO_TABLE: ReadonlySet<string> = new Set(["number", "gauge", "pivot", "waterfall", "planks"]);

const canTurn = ({ shape }: Report): boolean => shape !== undefined && !NO_TABLE.has(shape);

/** The figure under its title, or the conditions in groups while they are arranged. */
export function FigureArea(room: Room) {
  const { state, send, figure, context, draft, dress, drafting, mayBuild, open } = room;
  const isStale = (figure.isFetching && figure.isOld) || (state.typing !== null && state.problem);
  return (
    <section
      className={`figure${isStale ? " old" : ""}`}
      aria-label="Figure"
      aria-busy={figure.isFetching}
    >
      {state.showsGroups ? (
        <ConditionBuilder
          context={context}
          report={draft.report}
          dress={dress}
          onChange={(next, dressed) => drafting.set({ report: next, dress: dressed })}
          onDone={() => send({ kind: "groups closed" })}
          {...(mayBuild ? { onSaveFilter: () => open({ kind: "filter" }) } : {})}
        />
      ) : (
        <Told {...room} />
      )}
    </section>
  );
}

function Told(room: Room) {
  const { figure, context, report, onChange, dress, state } = room;
  const isLikely = state.showsLikelihood && shownKindOf(report).hasPace;
  const likelihood = useLikelihood(report, isLikely) ?? null;
  return (
    <>
      {!figure.isBegun && <Begin context={context} report={report} onChange={onChange} />}
      <Above {...room} />
      {figure.isBegun && <Titled {...room} />}
      <Beneath {...room} />
      {isLikely && likelihood && <Likelihood forecast={likelihood} />}
      {figure.isWhole && <Drawing {...room} likelihood={isLikely ? likelihood : null} />}
      {figure.isBegun && <SightLine />}
      {(dress.footnote || dress.description) && (
        <div className="foot">
          {dress.footnote && <p>{dress.footnote}</p>}
          {dress.description && (
            <details>
              <summary>What it is for</summary>
              <p className="description">{dress.description}</p>
            </details>
          )}
        </div>
      )}
    </>
  );
}

function Titled(room: Room) {
  const { title, mayBuild, dress, drafting, draft, says, figure } = room;
  return (
    <div className="titled said">
      <div>
        <h2>{title}</h2>
        {mayBuild && (
          <Rename
            label="Rename the title"
            value={title}
            own={draft.name || proposedName(says)}
            onName={(name) => drafting.setDress(withText(dress, "title", name))}
          />
        )}
        {dress.subtitle && <small>{dress.subtitle}</small>}
        {figure.says && <Says aria-live="polite">{saidWords(figure.says)}</Says>}
      </div>
      <Turns {...room} />
    </div>
  );
}

/** What turns the figure without changing what is asked. */
function Turns({ report, state, send }: Pick<Room, "report" | "state" | "send">) {
  const { hasPace } = shownKindOf(report);
  return (
    <span className="turns">
      {hasPace && (
        <>
          <Checkbox
            isSelected={state.pace === "working"}
            onChange={(on) => send({ kind: "pace chosen", pace: on ? "working" : "clock" })}
          >
            Working days
          </Checkbox>
          <Checkbox
            isSelected={state.showsLikelihood}
            onChange={(on) => send({ kind: "likelihood turned", on })}
          >
            Likelihood
          </Checkbox>
        </>
      )}
      {!listsRecords(report) && canTurn(report) && (
        <Button $small aria-pressed={state.asTable} onPress={() => send({ kind: "table turned" })}>
          <Table2 aria-hidden />
          {state.asTable ? "As a picture" : "As a table"}
        </Button>
      )}
    </span>
  );
}
