"use client";
import { useEffect } from "react";

let call: (() => void) | undefined;
let again = "";

/** Calls the box again that takes questions, with these words in it. */
export function askAgain(words: string): void {
  again = words;
  call?.();
}

/** The words that are to be asked again; they are taken once. */
export function takeAgain(): string {
  const words = again;
  again = "";
  return words;
}

/** What calls the box. */
export const useAskAgain = (box: () => void): void => useEffect(() => void (call = box));
