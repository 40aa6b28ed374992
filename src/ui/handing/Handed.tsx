"use client";
import { Mailing } from "./Mailing";
import { Sharing, type SharingProps } from "./Sharing";

interface HandedProps extends Omit<SharingProps, "kind" | "isOpen"> {
  readonly kind: "report" | "dashboard";
  /** Which way of handing it on is open. */
  readonly hands: "share" | "mail";
}

/** A report or dashboard handed on: shared, or mailed. */
export const Handed = ({ hands, mayChange, id, ...thing }: HandedProps) =>
  hands === "share" ? (
    <Sharing {...thing} id={id} mayChange={mayChange} isOpen />
  ) : (
    <Mailing {...thing} target={id} isOpen />
  );
