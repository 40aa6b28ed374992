"use client";
import { lazy, Suspense, type ReactNode } from "react";

const DialogBox = lazy(() => import("./overlays/DialogBox"));

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
  if (!props.isOpen) return null;
  return (
    <Suspense fallback={null}>
      <DialogBox {...props} />
    </Suspense>
  );
}
