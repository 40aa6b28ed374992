"use client";
import type { ComponentProps, ComponentType, ReactNode } from "react";
import { later, useFetchAhead, type AnyComponent } from "./later";

const DialogBox = later(() => import("./overlays/DialogBox"), "DialogBox");

export interface DialogProps {
  readonly title?: string;
  /** What it is called where it has no title. */
  readonly label?: string;
  /** It has a figure and more to choose from in it. */
  readonly isWide?: boolean;
  readonly isOpen: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

/** A question that has to be answered before going on; it is fetched when it is first asked. */
export function Dialog(props: DialogProps) {
  return props.isOpen ? <DialogBox {...props} /> : null;
}

/** A dialog of its own: no page carries it, and it is fetched soon after its page is there. */
export function laterDialog<N extends string, M extends { readonly [K in N]: AnyComponent }>(
  load: () => Promise<M>,
  name: N,
): ComponentType<ComponentProps<M[N]>> {
  const Opened = later(load, name);
  return function LaterDialog(props: ComponentProps<M[N]>) {
    useFetchAhead(DialogBox, Opened);
    return (props as DialogProps).isOpen ? <Opened {...props} /> : null;
  };
}
