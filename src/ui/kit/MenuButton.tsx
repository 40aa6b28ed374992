"use client";
import type { ReactElement, ReactNode } from "react";
import { ButtonContext } from "react-aria-components";
import { later } from "./later";
import { useOpening } from "./Opens";
import type { HangingProps } from "./overlays/Panel";

const MenuPanel = later(() => import("./overlays/MenuPanel"), "MenuPanel");

/** One line of a menu: an act or a way. */
export interface MenuEntry {
  readonly id: string;
  readonly words: string;
  readonly icon?: ReactNode;
  readonly href?: string;
  readonly onAction?: () => void;
}

interface MenuButtonProps extends Pick<HangingProps, "label" | "placement"> {
  readonly button: ReactElement;
  /** What stands above the entries. */
  readonly head?: ReactNode;
  /** An entry that is not for this viewer is false. */
  readonly entries: readonly (MenuEntry | false)[];
}

/** A button, and the menu that it opens. */
export function MenuButton({ button, entries, ...menu }: MenuButtonProps) {
  const opening = useOpening("menu", MenuPanel.fetch);
  const { isOpen, setOpen, triggerRef } = opening;
  return (
    <>
      <ButtonContext.Provider value={opening.button}>{button}</ButtonContext.Provider>
      {isOpen && (
        <MenuPanel
          {...menu}
          {...{ isOpen, triggerRef }}
          onOpenChange={setOpen}
          entries={entries.filter((entry) => entry !== false)}
        />
      )}
    </>
  );
}
