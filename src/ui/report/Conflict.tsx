"use client";
import type { AskContext } from "@/core/catalog";
import { dressDifferences, reportDifferences } from "@/core/kinds";
import { Button, Dialog } from "../kit";
import type { Draft } from "./draft";
import type { useSaving } from "./Saving";
import { Differences } from "./Versions";

/** Two saved at once: the difference in words, and the choice between theirs, mine over theirs, and both. */
export function Conflict({
  context,
  saving,
  draft,
  onTheirs,
}: {
  context: AskContext;
  saving: ReturnType<typeof useSaving>;
  draft: Draft;
  onTheirs: () => void;
}) {
  const { theirs } = saving;
  if (!theirs) return null;
  const list = [
    ...reportDifferences(theirs.definition, draft.report, context.catalog),
    ...dressDifferences(theirs.dress, draft.dress),
  ];
  return (
    <Dialog
      title="Somebody saved meanwhile"
      isOpen
      onOpenChange={(open) => !open && saving.close()}
    >
      <p style={{ marginBottom: 10 }}>{saving.notice}</p>
      <Differences list={list} was="theirs" now="mine" />
      <div
        style={{
          display: "flex",
          gap: 8,
          justifyContent: "flex-end",
          marginTop: 16,
          flexWrap: "wrap",
        }}
      >
        <Button onPress={onTheirs}>Take theirs</Button>
        <Button onPress={saving.copy}>Keep both: save mine as a copy</Button>
        <Button $look="solid" onPress={() => void saving.send(draft.name, false, theirs.version)}>
          Save mine over it
        </Button>
      </div>
    </Dialog>
  );
}
