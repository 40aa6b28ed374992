"use client";
import { Download, Mail, Pencil, Redo2, TextCursorInput, Undo2, Users } from "lucide-react";
import { Button, later } from "../../kit";
import { More } from "./More";
import type { Room } from "./useReportRoom";

const PutOnBoard = later(() => import("../PutOnBoard"), "PutOnBoard");

/** The name of the report, how it stands, and what can be done with it. */
export function Bar(room: Room) {
  const { kept, draft, saving, state, figure, mayBuild, mayKeep } = room;
  const mayRename = mayKeep && (!kept || kept.mayChange);
  return (
    <div className="bar">
      <span className="name">{draft.name || (kept ? kept.name : "New report")}</span>
      {mayRename && (
        <Button $small $icon aria-label="Rename" onPress={saving.rename}>
          <Pencil aria-hidden />
        </Button>
      )}
      <span className="state" role="status">
        {state.typing !== null ? "typing · the last good sentence is kept" : saving.state}
        {figure.drawn ? ` · as of ${figure.drawn.asOf}` : ""}
      </span>
      <div className="acts">
        <Steps {...room} />
        <Handing {...room} />
        {kept && <PutOnBoard report={kept.id} mayBuild={mayBuild} />}
        {mayKeep && (
          <Button
            $look="solid"
            isDisabled={!saving.canSave || (state.typing !== null && state.problem !== null)}
            onPress={room.save}
          >
            {!mayBuild || saving.keepsCopy ? "Keep for myself" : "Save"}
          </Button>
        )}
      </div>
    </div>
  );
}

function Steps({ steps, says, state, send }: Pick<Room, "steps" | "says" | "state" | "send">) {
  const { undo, redo } = steps;
  return (
    <>
      <Button $icon aria-label="Undo" isDisabled={!undo} onPress={() => undo?.()}>
        <Undo2 aria-hidden />
      </Button>
      <Button $icon aria-label="Redo" isDisabled={!redo} onPress={() => redo?.()}>
        <Redo2 aria-hidden />
      </Button>
      {state.typing === null ? (
        <Button onPress={() => send({ kind: "typing began", says })}>
          <TextCursorInput aria-hidden />
          Type it
        </Button>
      ) : (
        <Button $look="line" onPress={() => send({ kind: "typing ended" })}>
          Back to parts
        </Button>
      )}
    </>
  );
}

type HandingProps = Pick<
  Room,
  "kept" | "mayBuild" | "mayKeep" | "figure" | "saving" | "open" | "download"
>;

function Handing({ kept, mayBuild, mayKeep, figure, saving, open, download }: HandingProps) {
  return (
    <>
      {kept && (
        <Button onPress={() => open({ kind: "share" })}>
          <Users aria-hidden />
          Share
        </Button>
      )}
      {kept && mayBuild && (
        <Button onPress={() => open({ kind: "mail" })}>
          <Mail aria-hidden />
          Mail
        </Button>
      )}
      {figure.isBegun && (
        <Button onPress={() => download(undefined)}>
          <Download aria-hidden />
          Export
        </Button>
      )}
      {kept && (
        <More
          kept={kept}
          mayKeep={mayKeep}
          onVersions={() => open({ kind: "versions" })}
          onCopy={saving.copy}
        />
      )}
    </>
  );
}
