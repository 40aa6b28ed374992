"use client";
import type { FilterLine } from "@/contract/library";
import type { Report } from "@/core/kinds";
import { useState, type FormEvent } from "react";
import type { AskContext } from "@/core/catalog";

import { conditionText } from "@/core/sentence";

import { FilterUses } from "./FilterUses";
import { ask, AskProblem, Button, Dialog, Field, tell } from "../kit";

interface SaveFilterProps {
  readonly context: AskContext;
  readonly report: Report;
  /** The filter that is changed; null for a new one. */
  readonly kept: FilterLine | null;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onSaved: (id: number) => void;
}

/** Keeps the conditions of a report as a filter, for any number of reports, tiles and lists. */
export function SaveFilter({ context, report, kept, isOpen, onClose, onSaved }: SaveFilterProps) {
  const [name, setName] = useState(kept?.name ?? "");
  const [purpose, setPurpose] = useState(kept?.purpose ?? "");
  const [error, setError] = useState<string | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const { id } = await ask("saveFilter", {
        ...(kept ? { id: kept.id, version: kept.version } : {}),
        name,
        purpose,
        subject: report.subject,
        where: report.where ?? null,
      });
      tell(`${name.trim()} is saved. Say “filter” and its name wherever you count.`);
      onSaved(id);
      onClose();
    } catch (problem) {
      setError(
        problem instanceof AskProblem ? problem.message : "It could not be saved; nothing is lost.",
      );
    }
  };
  return (
    <Dialog
      title={kept ? `Change ${kept.name}` : "Save these conditions as a filter"}
      isOpen={isOpen}
      onOpenChange={(open) => !open && onClose()}
    >
      <form onSubmit={(event) => void submit(event)} style={{ display: "grid", gap: 10 }}>
        <p style={{ font: "400 17px/24px var(--serif)" }}>
          {context.catalog.subjectWords(report.subject)} <i>where</i>{" "}
          {report.where
            ? conditionText(report.where, context.catalog, report.subject.id)
            : "all of them"}
        </p>
        <Field
          label="Name"
          value={name}
          onChange={(next) => {
            setName(next);
            setError(null);
          }}
          error={error}
          autoFocus
        />
        <Field label="What is it for? (may stay empty)" value={purpose} onChange={setPurpose} />
        {kept && <FilterUses id={kept.id} />}
        <div style={{ display: "flex", gap: 8, justifyContent: "flex-end" }}>
          <Button onPress={onClose}>Leave it</Button>
          <Button type="submit" $look="solid">
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
