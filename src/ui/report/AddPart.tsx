"use client";
import { useState } from "react";
import { builderKindOf, CONDITIONS, stoodAddition, type Addition, type PartProps } from "./kinds";
import { Choose } from "../kit";

/** What can be said beyond what is there: by every kind, and by this one. */
export function AddPart(props: Omit<PartProps, "index">) {
  const { context, report, onChange, onDone, onGroups } = props;
  const [chosen, setChosen] = useState<Addition | null>(null);
  if (chosen && "choose" in chosen) return chosen.choose({ ...props, index: 0 });
  const additions: readonly Addition[] = [
    ...CONDITIONS,
    ...builderKindOf(report).additions(report, context),
    ...stoodAddition(report),
  ];
  const take = (addition: Addition) => {
    if ("choose" in addition) return setChosen(addition);
    if ("say" in addition) onChange(addition.say(report, context));
    else onGroups();
    onDone();
  };
  return (
    <div style={{ width: 420, paddingTop: 4 }}>
      <Choose
        label="Say more"
        options={additions.map((addition) => ({ value: addition, ...addition }))}
        chosen={[]}
        onChoose={take}
      />
    </div>
  );
}
