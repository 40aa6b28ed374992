"use client";
import type { Dress } from "@/core/definition";
import { allOfParts, topParts } from "@/core/filter";
import { conditionText } from "@/core/sentence";
import { Button, later, Notice, tell } from "../../kit";
import { Headline } from "../Headline";
import { withWhere } from "../pickers/where";
import { Bar } from "./Bar";
import type { Room } from "./useReportRoom";

const TypedSentence = later(() => import("../TypedSentence"), "TypedSentence");

/** The head of the room: its bar, the sentence by parts or typed, and what is to be known of it. */
export function Head(room: Room) {
  const { state, saving, dress, filter, open } = room;
  return (
    <header className="head">
      <Bar {...room} />
      {state.typing === null ? <ByParts {...room} /> : <Typed {...room} start={state.typing} />}
      {saving.notice && !saving.theirs && (
        <Notice className="below" role="alert">
          {saving.notice}
        </Notice>
      )}
      {dress.off.length > 0 && state.typing === null && <SwitchedOff {...room} />}
      {filter && (
        <Notice className="below" role="status">
          You are changing the saved filter <b>{filter.name}</b>; only its conditions are kept.
          <Button $small $look="solid" onPress={() => open({ kind: "filter" })}>
            Save the filter
          </Button>
        </Notice>
      )}
    </header>
  );
}

function ByParts({ context, draft, says, dress, drafting, onChange, send }: Room) {
  return (
    <Headline
      context={context}
      report={draft.report}
      onChange={onChange}
      text={says}
      dress={dress}
      onDress={drafting.setDress}
      onGroups={() => send({ kind: "groups opened" })}
    />
  );
}

function Typed({ context, draft, onChange, send, start }: Room & { readonly start: string }) {
  return (
    <TypedSentence
      context={context}
      start={start}
      onRead={(next) => JSON.stringify(next) !== JSON.stringify(draft.report) && onChange(next)}
      onProblem={(problem) => send({ kind: "typed", problem })}
      onBack={(left) => {
        send({ kind: "typing ended" });
        if (left)
          tell("What was there before is back.", {
            words: "Go on typing",
            run: () => send({ kind: "typing began", says: left }),
          });
      }}
    />
  );
}

/** Conditions that are kept and do not count, each with the way back to its place. */
function SwitchedOff({ dress, draft, drafting, context }: Room) {
  const switchOn = (one: Dress["off"][number]) => {
    const parts = topParts(draft.report.where);
    const where = allOfParts([...parts.slice(0, one.at), one.where, ...parts.slice(one.at)]);
    drafting.set({
      dress: { ...dress, off: dress.off.filter((other) => other !== one) },
      report: withWhere(draft.report, where),
    });
  };
  return (
    <p className="off">
      Switched off:{" "}
      {dress.off.map((one, i) => (
        <Button key={i} $small onPress={() => switchOn(one)}>
          {conditionText(one.where, context.catalog, draft.report.subject.id)} · switch on
        </Button>
      ))}
    </p>
  );
}
