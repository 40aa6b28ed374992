"use client";
import { Funnel, LayoutDashboard, Pin, ScrollText } from "lucide-react";
import Link from "next/link";
import { Button } from "react-aria-components";
import type { PinLine } from "@/contract/library";
import { MenuButton } from "../kit";

/** A pinned filter opens as the list of what it holds. */
const pinHref = (pin: PinLine): string =>
  pin.kind === "filter" ? `/reports/new?held=${pin.id}` : `/${pin.kind}s/${pin.id}`;

const ICONS = {
  dashboard: <LayoutDashboard aria-hidden />,
  filter: <Funnel aria-hidden />,
  report: <ScrollText aria-hidden />,
} as const satisfies Record<PinLine["kind"], unknown>;

/** What the viewer has pinned, one under another. */
export function PinList({ pins }: { pins: readonly PinLine[] }) {
  return (
    <div className="pins">
      {pins.map((pin) => (
        <Link key={pin.kind + pin.id} className="pin" href={pinHref(pin)}>
          {pin.name}
        </Link>
      ))}
    </div>
  );
}

/** The same behind one button, where the spine is narrow. */
export function PinMenu({ pins }: { pins: readonly PinLine[] }) {
  const words = pins.length === 1 ? "1 pin" : `${pins.length} pins`;
  return (
    <MenuButton
      label="Your pins"
      placement="right bottom"
      button={
        <Button className="room" aria-label={words}>
          <Pin aria-hidden />
          <span>{words}</span>
        </Button>
      }
      entries={pins.map((pin) => ({
        id: pin.kind + pin.id,
        words: pin.name,
        icon: ICONS[pin.kind],
        href: pinHref(pin),
      }))}
    />
  );
}
