"use client";
import { useEffect, useState } from "react";
import { Button } from "react-aria-components";
import { later, MenuButton, tell } from "../kit";

const YouIcon = later(() => import("./YouIcon"), "YouIcon");

export interface ViewerWords {
  readonly name: string;
  readonly login: string;
  readonly role: string;
  /** Somebody of a client: reads, and books no hours. */
  readonly isClient: boolean;
}

interface YouProps {
  readonly viewer: ViewerWords;
  readonly workspace: string;
  readonly wide: boolean;
  readonly onWiden: () => void;
  readonly onKeys: () => void;
}

const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .map((word) => word[0])
    .slice(0, 2)
    .join("")
    .toUpperCase();

async function leave() {
  const reply = await fetch("/api/session", { method: "DELETE" }).catch(() => null);
  if (reply?.ok) location.assign("/sign-in");
  else tell("You could not be signed out; the server cannot be reached.");
}

/** Who is signed in, and what they may turn for themselves. */
export function You({ viewer, workspace, wide, onWiden, onKeys }: YouProps) {
  const [isNight, setNight] = useState(false);
  useEffect(() => setNight(document.documentElement.dataset.theme === "night"), []);
  const turn = () => {
    const theme = isNight ? "day" : "night";
    document.documentElement.dataset.theme = theme;
    document.cookie = `gt_theme=${theme}; path=/; max-age=31536000; samesite=lax`;
    setNight(!isNight);
  };
  return (
    <MenuButton
      label="You"
      placement="right bottom"
      button={
        <Button className="me" aria-label={`${viewer.name}, ${viewer.role} in ${workspace}`}>
          {initialsOf(viewer.name)}
        </Button>
      }
      head={
        <div style={{ padding: "10px 14px 4px" }}>
          <b style={{ fontWeight: 650 }}>{viewer.name}</b>
          <br />
          <span style={{ color: "var(--ink-3)" }}>
            {viewer.role} in {workspace}
          </span>
        </div>
      }
      entries={[
        {
          id: "theme",
          words: isNight ? "Day" : "Night watch",
          icon: <YouIcon of={isNight ? "day" : "night"} />,
          onAction: turn,
        },
        {
          id: "spine",
          words: wide ? "Narrow the spine" : "Widen the spine",
          icon: <YouIcon of="spine" />,
          onAction: onWiden,
        },
        {
          id: "keys",
          words: "Keys and help",
          icon: <YouIcon of="keys" />,
          onAction: onKeys,
        },
        {
          id: "leave",
          words: "Sign out",
          icon: <YouIcon of="leave" />,
          onAction: () => void leave(),
        },
      ]}
    />
  );
}
