"use client";
import { useRef, useState, type ReactElement, type ReactNode } from "react";
import { ButtonContext, type ButtonProps } from "react-aria-components";
import { later } from "./later";
import type { HangingProps } from "./overlays/Panel";

const Panel = later(() => import("./overlays/Panel"), "Panel");

/** Whether what a button opens is open, and what the button has to be told for it. */
export function useOpening(
  popup: "dialog" | "menu" | "listbox",
  fetchAhead: () => Promise<unknown>,
) {
  const triggerRef = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const approach = () => void fetchAhead().catch(() => undefined);
  const button: ButtonProps = {
    "aria-haspopup": popup,
    "aria-expanded": isOpen,
    onPress: () => setOpen(!isOpen),
    onHoverStart: approach,
    onFocus: approach,
    onKeyDown: (event) => {
      if (popup !== "dialog" && event.key === "ArrowDown") setOpen(true);
      else event.continuePropagation();
    },
  };
  return { isOpen, setOpen, triggerRef, button: { ...button, ref: triggerRef } };
}

interface OpensProps extends Pick<HangingProps, "label" | "placement" | "maxHeight"> {
  readonly button: ReactElement;
  /** Fetches the code of what is inside, when the button is approached. */
  readonly ahead?: () => Promise<unknown>;
  readonly children: (close: () => void) => ReactNode;
}

/** A button, and the panel that it opens beside itself; the panel's code comes when the button is approached. */
export function Opens({ button, ahead, children, ...hanging }: OpensProps) {
  const opening = useOpening("dialog", () => Promise.all([Panel.fetch(), ahead?.()]));
  const { isOpen, setOpen, triggerRef } = opening;
  return (
    <>
      <ButtonContext.Provider value={opening.button}>{button}</ButtonContext.Provider>
      {isOpen && (
        <Panel {...hanging} {...{ isOpen, triggerRef }} onOpenChange={setOpen}>
          {children(() => setOpen(false))}
        </Panel>
      )}
    </>
  );
}
