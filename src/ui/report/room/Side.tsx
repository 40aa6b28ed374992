"use client";
import { later } from "../../kit";
import type { Room } from "./useReportRoom";

const Dress = later(() => import("../dress/Dress"), "Dress");
const ReadAs = later(() => import("../ReadAs"), "ReadAs");

/** Beside the figure: how it is presented, or how what is typed was read. */
export function Side({ isNarrow, ...room }: Room & { readonly isNarrow: boolean }) {
  const { context, report, draft, dress, drafting, state, send, figure, title, kept } = room;
  if (isNarrow)
    return (
      <button
        className="folded"
        aria-expanded={false}
        onClick={() => send({ kind: "dress opened" })}
      >
        Dress
      </button>
    );
  return (
    <>
      {state.typing !== null ? (
        <ReadAs context={context} report={report} problem={state.problem} />
      ) : (
        <Dress
          context={context}
          report={draft.report}
          onReport={room.onChange}
          dress={dress}
          onDress={drafting.setDress}
          figure={figure.figure}
          title={title}
          reportId={kept?.id ?? null}
        />
      )}
    </>
  );
}
