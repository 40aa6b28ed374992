"use client";
import { useQuery } from "@tanstack/react-query";
import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import { ask, AskProblem, Button, Choose, Dialog, Field } from "../kit";

/** Asks for the name of a dashboard to be made, and what it begins with. */
export function NewBoard({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const [name, setName] = useState("");
  const [purpose, setPurpose] = useState("");
  const [template, setTemplate] = useState<string | null>(null);
  const { data: templates = [] } = useQuery({
    queryKey: ["boardTemplates"],
    queryFn: ({ signal }) => ask("boardTemplates", {}, signal),
    enabled: isOpen,
    staleTime: Infinity,
  });
  const [error, setError] = useState<string | null>(null);
  const router = useRouter();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const { id } = await ask("makeBoard", { name, purpose, template });
      router.push(template === null ? `/dashboards/${id}?arrange` : `/dashboards/${id}`);
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
        <Choose<string | null>
          label="Begin with"
          isBeside
          chosen={[template]}
          onChoose={setTemplate}
          options={[
            { value: null, label: "Nothing", about: "an empty dashboard" },
            ...templates.map(({ name: label, purpose: about }) => ({
              value: label as string | null,
              label,
              about,
            })),
          ]}
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
