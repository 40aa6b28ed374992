"use client";
import type { ReactNode } from "react";
import { later } from "./later";

const DialogBox = later(() => import("./overlays/DialogBox"), "DialogBox");

export interface DialogProps {
  readonly title?: string;
  /** What it is called where it has no title. */
  readonly label?: string;
  readonly isOpen: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

/** A question that has to be answered before going on; it is fetched when it is first asked. */
export function Dialog(props: DialogProps) {
  return props.isOpen ? <DialogBox {...props} /> : null;
}
