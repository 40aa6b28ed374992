"use client";
import { Pencil } from "lucide-react";
import { useState } from "react";
import { Button, Input } from "../kit";

/** A name that is changed where it stands: Enter keeps it, Escape leaves it as it was, nothing goes back to its own. */
export function Rename({
  label,
  value,
  own,
  onName,
}: {
  label: string;
  value: string;
  own: string;
  onName: (name: string | undefined) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  if (text === null)
    return (
      <Button $small $icon aria-label={label} onPress={() => setText(value)}>
        <Pencil aria-hidden />
      </Button>
    );
  const keep = () => {
    const name = text.trim();
    onName(name && name !== own ? name.slice(0, 200) : undefined);
    setText(null);
  };
  return (
    <Input
      aria-label={label}
      value={text}
      autoFocus
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === "Enter") keep();
        else if (event.key === "Escape") {
          event.stopPropagation();
          setText(null);
        }
      }}
    />
  );
}
