"use client";
import type { MailedKind, MailingLine } from "@/contract/mail";
import { useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { useState } from "react";
import { scheduleText } from "@/core/delivery";
import type { Thing } from "@/core/catalog";

import { ask, AskProblem, Button, Checkbox, Choice, Dialog, Field, tell } from "../kit";
import { FindThing } from "./FindThing";
import { Strangers } from "./Strangers";

const DAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

export interface MailingProps {
  readonly kind: MailedKind;
  readonly target: number;
  readonly name: string;
  readonly people: readonly Thing[];
  readonly teams: readonly Thing[];
  readonly kept?: MailingLine;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** A report, dashboard or briefing delivered on a schedule: to whom, when, on which paper. */
export function Mailing({
  kind,
  target,
  name,
  people,
  teams,
  kept,
  isOpen,
  onClose,
}: MailingProps) {
  const client = useQueryClient();
  const [every, setEvery] = useState(kept?.schedule.every ?? "week");
  const [on, setOn] = useState(kept?.schedule.on ?? 1);
  const [at, setAt] = useState(kept?.schedule.at ?? "07:30");
  const [to, setTo] = useState<readonly { type: "person" | "team"; id: number }[]>(
    kept
      ? [
          ...kept.teams.map((id) => ({ type: "team" as const, id })),
          ...kept.people.map((id) => ({ type: "person" as const, id })),
        ]
      : [],
  );
  const [skipEmpty, setSkipEmpty] = useState(kept?.skipEmpty ?? true);
  const [paper, setPaper] = useState<"A4" | "Letter">(kept?.page.paper ?? "A4");
  const [across, setAcross] = useState(kept?.page.across ?? true);
  const [error, setError] = useState<{ path?: string; message: string } | null>(null);
  const isTime = /^([01]\d|2[0-3]):[0-5]\d$/.test(at);
  const save = async (now: boolean) => {
    try {
      await ask("saveMailing", {
        ...(kept ? { id: kept.id } : {}),
        kind,
        target,
        every,
        on: every === "month" ? Math.min(Math.max(on, 1), 31) : Math.min(on, 7),
        at,
        people: to.filter((one) => one.type === "person").map((one) => one.id),
        teams: to.filter((one) => one.type === "team").map((one) => one.id),
        skipEmpty,
        paper,
        across,
        now,
      });
      await client.invalidateQueries({ queryKey: ["mailings"] });
      tell(
        now
          ? "It goes out within a minute; look into the mail room."
          : `It goes out ${scheduleText({ every, on, at })}.`,
        { words: "Mailings", run: () => location.assign("/mailings") },
      );
      onClose();
    } catch (problem) {
      const [first] = problem instanceof AskProblem ? problem.problems : [];
      setError({
        message: (problem as Error).message,
        ...(first?.path ? { path: first.path } : {}),
      });
    }
  };
  return (
    <Dialog title={`Mail ${name}`} isOpen={isOpen} onOpenChange={(open) => !open && onClose()}>
      <div style={{ display: "grid", gap: 10 }}>
        <FindThing
          label="To a person or a team"
          people={people}
          teams={teams}
          onChoose={(type, thing) => {
            setError(null);
            setTo((now) => [
              ...now.filter((one) => one.type !== type || one.id !== thing.id),
              { type, id: thing.id },
            ]);
          }}
        />
        <div style={{ display: "flex", gap: 6, flexWrap: "wrap" }}>
          {to.map((one) => {
            const thing = (one.type === "team" ? teams : people).find(
              (known) => known.id === one.id,
            );
            return (
              <span
                key={`${one.type}${one.id}`}
                style={{
                  background: "var(--mallow)",
                  display: "inline-flex",
                  alignItems: "center",
                  paddingLeft: 8,
                }}
              >
                {thing?.label ?? "somebody"}
                <Button
                  $small
                  $icon
                  aria-label={`Not to ${thing?.label}`}
                  onPress={() => setTo(to.filter((known) => known !== one))}
                >
                  <X aria-hidden />
                </Button>
              </span>
            );
          })}
        </div>
        {kind === "briefing" ? (
          <p>Each gets it as they may read it; who does not see what it is of gets nothing.</p>
        ) : (
          <Strangers
            kind={kind}
            id={target}
            people={to.filter((one) => one.type === "person").map((one) => one.id)}
            teams={to.filter((one) => one.type === "team").map((one) => one.id)}
          />
        )}
        {error && (
          <p role="alert" style={{ color: "var(--alarm)" }}>
            {error.message}
          </p>
        )}
        <Choice
          label="Each"
          value={every}
          options={[
            ["day", "day"],
            ["week", "week"],
            ["month", "month"],
          ]}
          onChange={setEvery}
        />
        {every === "week" && (
          <Choice
            label="On"
            value={String(on)}
            options={DAYS.map((day, i) => [String(i + 1), day] as const)}
            onChange={(day) => setOn(Number(day))}
          />
        )}
        {every === "month" && (
          <Choice
            label="On the"
            value={String(on)}
            options={Array.from(
              { length: 31 },
              (_, i) => [String(i + 1), i === 30 ? "last day" : `${i + 1}.`] as const,
            )}
            onChange={(day) => setOn(Number(day))}
          />
        )}
        <Field
          label="At (hours and minutes)"
          value={at}
          onChange={setAt}
          error={isTime ? null : "Write it as 07:30."}
        />
        <Checkbox isSelected={skipEmpty} onChange={setSkipEmpty}>
          Skip it for those for whom it is empty
        </Checkbox>
        <div style={{ display: "flex", gap: 18 }}>
          <Choice
            label="PDF on"
            value={paper}
            options={[
              ["A4", "A4"],
              ["Letter", "Letter"],
            ]}
            onChange={setPaper}
          />
          <Choice
            label="Page"
            value={across ? "across" : "upright"}
            options={[
              ["across", "across"],
              ["upright", "upright"],
            ]}
            onChange={(way) => setAcross(way === "across")}
          />
        </div>
        <p style={{ color: "var(--ink-2)" }}>Everyone gets what they may see themselves.</p>
        <div style={{ display: "flex", gap: 8, justifyContent: "flex-end" }}>
          <Button onPress={onClose}>Leave it</Button>
          <Button $look="line" isDisabled={!isTime} onPress={() => void save(true)}>
            Save and send once now
          </Button>
          <Button $look="solid" isDisabled={!isTime} onPress={() => void save(false)}>
            Save
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
