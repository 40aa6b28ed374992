"use client";
import { useRouter } from "next/navigation";
import { Download, Handed } from "../../handing";
import { tell, later, useFetchAhead } from "../../kit";
import { proposedName } from "../draft";
import type { Room } from "./useReportRoom";

const SaveDialog = later(() => import("../SaveDialog"), "SaveDialog");
const Conflict = later(() => import("../Conflict"), "Conflict");
const Versions = later(() => import("../Versions"), "Versions");
const SaveFilter = later(() => import("../SaveFilter"), "SaveFilter");

/** What is open over the room; the code of each comes when it is. */
export function Dialogs(room: Room) {
  const { state, saving } = room;
  useFetchAhead(SaveDialog);
  return (
    <>
      {saving.asks && <Naming {...room} />}
      {saving.theirs && <Meanwhile {...room} />}
      {state.dialog && <Opened {...room} />}
    </>
  );
}

function Naming({ saving, draft, says, about, setAbout, drafting }: Room) {
  const router = useRouter();
  return (
    <SaveDialog
      saving={saving}
      proposed={draft.name || proposedName(says)}
      about={about}
      onAbout={setAbout}
      onNamed={drafting.setName}
      onSaved={(id) => router.push(`/reports/${id}`)}
    />
  );
}

function Meanwhile({ context, saving, draft, drafting, kept }: Room) {
  return (
    <Conflict
      context={context}
      saving={saving}
      draft={draft}
      onTheirs={() => {
        drafting.forget(saving.theirs!.version);
        location.assign(`/reports/${kept!.id}`);
      }}
    />
  );
}

function Opened(room: Room) {
  const { state, send, kept, facts, report, dress, title, link, context, draft, drafting } = room;
  const { dialog } = state;
  const router = useRouter();
  const onClose = () => send({ kind: "dialog closed" });
  const { person: people, team: teams } = facts.data.lists;
  switch (dialog?.kind) {
    case "share":
    case "mail":
      return (
        kept && (
          <Handed
            hands={dialog.kind}
            kind="report"
            id={kept.id}
            name={kept.name}
            people={people}
            teams={teams}
            mayChange={kept.mayChange}
            onClose={onClose}
          />
        )
      );
    case "download":
      return (
        <Download
          report={report}
          dress={dress}
          title={title}
          link={link}
          opened={dialog.part}
          isOpen
          onClose={onClose}
        />
      );
    case "versions":
      return (
        kept && (
          <Versions
            context={context}
            id={kept.id}
            report={draft.report}
            dress={dress}
            isOpen
            onClose={onClose}
            onTake={(old, dressed, version) => {
              drafting.set({ report: old, dress: dressed });
              tell(`Version ${version} is here again; save it to keep it.`);
            }}
          />
        )
      );
    case "filter":
      return (
        <SaveFilter
          context={context}
          report={draft.report}
          kept={room.filter}
          isOpen
          onClose={onClose}
          onSaved={() => {
            if (room.filter) {
              drafting.forget(0);
              router.push("/reports?shelf=filters");
            }
            router.refresh();
          }}
        />
      );
    default:
      return null;
  }
}
