"use client";
import { History } from "lucide-react";
import Link from "next/link";
import { asDrawn } from "@/core/kinds";
import { Button, Empty, Notice, later } from "../../kit";
import { unplacedIn } from "./placed";
import { askedAt, useTwins, type Room } from "./useReportRoom";

const NothingFound = later(() => import("../NothingFound"), "NothingFound");

/** What stands above the title: which figure it is, who asks the same, and what has no place yet. */
export function Above(room: Room) {
  const { state, figure, kept, mayBuild, dress, draft, place } = room;
  const unplaced = unplacedIn(figure.shown, dress, draft.report);
  return (
    <>
      {state.typing !== null && state.problem && figure.shown && (
        <p className="last">
          <History size={16} aria-hidden />
          <span>
            <b>Last good figure</b>, as of {figure.shown.asOf}
          </span>
        </p>
      )}
      <Looked {...room} />
      <Twins {...room} />
      {unplaced.length > 0 && kept && (
        <Notice role="status">
          <b>Not placed yet:</b> {unplaced.join(", ")} came after the folds were made.
          {mayBuild && kept.mayChange && (
            <Button $small $look="line" onPress={place}>
              Leave them as they are
            </Button>
          )}
        </Notice>
      )}
    </>
  );
}

/** That a look of one's own is shown, with the way back and the way to keep it. */
function Looked({ looking, mayKeep, kept }: Room) {
  if (!looking.report || !kept) return null;
  return (
    <Notice role="status" aria-label="Your look">
      <span>
        Your look: <q>{looking.says}</q>. The report <b>{kept.name}</b> stays as it is.
      </span>
      <Button $small $look="line" onPress={looking.leave}>
        Back to the report
      </Button>
      {mayKeep && <Link href={askedAt(looking.says)}>Keep as a report</Link>}
    </Notice>
  );
}

function Twins(room: Room) {
  const twins = useTwins(room);
  if (!twins?.length) return null;
  return (
    <Notice role="status" className="slim">
      {twins.slice(0, twins[0].same === "sentence" ? 1 : 2).map((twin) => (
        <span key={twin.id}>
          <Link href={`/reports/${twin.id}`}>
            <b>{twin.name}</b>
          </Link>{" "}
          {twin.same === "sentence" ? "asks exactly this already." : "has the same conditions."}
        </span>
      ))}
    </Notice>
  );
}

/** What stands between the title and the drawing: why there is none, or why it is not all of it. */
export function Beneath({ figure: now, report, context, onChange, explore, state }: Room) {
  const { figure, broken, error } = now;
  const ranked = asDrawn(report);
  return (
    <>
      {broken.map((part) => (
        <Notice key={part.says} role="alert">
          <span>
            <b>{part.says}</b>: {part.why}.
          </span>
          {part.without && (
            <Button $small $look="line" onPress={() => onChange(part.without!)}>
              Drop it
            </Button>
          )}
          <span className="quiet">or choose another in the sentence above</span>
        </Notice>
      ))}
      {error && <Notice role="alert">{error.message}</Notice>}
      {now.choices.length > 0 && (
        <Empty says="Several sprints are running. Which one is meant?">
          {now.choices.map((choice) => (
            <Button key={choice.label} $look="line" onPress={() => explore(choice.report)}>
              {choice.label}
            </Button>
          ))}
        </Empty>
      )}
      {(now.isEmpty || (now.isBlank && report.where)) && !error && (
        <NothingFound context={context} report={report} onChange={onChange} />
      )}
      {figure?.poor && !state.asTable && (
        <p className="poor" role="status">
          {figure.poor}.
        </p>
      )}
      {figure && figure.cut > 0 && (
        <p className="poor" role="status">
          The table has all of them.{" "}
          {ranked && (
            <Button $small $look="line" onPress={() => onChange(ranked)}>
              Write that into the sentence
            </Button>
          )}
        </p>
      )}
    </>
  );
}
