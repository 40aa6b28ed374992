"use client";
import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import { ask, AskProblem, Button, Dialog, Field } from "../kit";

/** Asks for the name of a dashboard to be made. */
export function NewBoard({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const [name, setName] = useState("");
  const [purpose, setPurpose] = useState("");
  const [error, setError] = useState<string | null>(null);
  const router = useRouter();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const { id } = await ask("saveDashboard", {
        name,
        purpose,
        tiles: [],
      });
      router.push(`/dashboards/${id}?arrange`);
    } catch (problem) {
      setError(problem instanceof AskProblem ? problem.message : "It could not be saved.");
    }
  };
  return (
    <Dialog title="New dashboard" isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      <form onSubmit={(event) => void submit(event)} style={{ display: "grid", gap: 12 }}>
        <Field label="Name" value={name} onChange={setName} error={error} autoFocus />
        <Field
          label="What question does it answer? (may stay empty)"
          value={purpose}
          onChange={setPurpose}
        />
        <div style={{ display: "flex", gap: 8, justifyContent: "flex-end", marginTop: 6 }}>
          <Button onPress={onClose}>Leave it</Button>
          <Button type="submit" $look="solid">
            Make it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
