"use client";
import { Keyboard, LogOut, Moon, PanelLeftOpen, Sun } from "lucide-react";

const ICONS = {
  day: Sun,
  night: Moon,
  spine: PanelLeftOpen,
  keys: Keyboard,
  leave: LogOut,
} as const;

/** The sign before an entry of one's own menu; it comes when the menu is opened. */
export function YouIcon({ of }: { of: keyof typeof ICONS }) {
  const Icon = ICONS[of];
  return <Icon aria-hidden />;
}
