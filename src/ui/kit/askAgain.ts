"use client";
import { useEffect } from "react";

const AGAIN = "grand-tally:ask-again";

/** Calls the box again that takes questions, with these words in it. */
export const askAgain = (words: string): boolean =>
  window.dispatchEvent(new CustomEvent<string>(AGAIN, { detail: words }));

/** What is done when words are to be asked again. */
export function useAskAgain(onAsk: (words: string) => void): void {
  useEffect(() => {
    const hear = (event: Event) => onAsk((event as CustomEvent<string>).detail);
    window.addEventListener(AGAIN, hear);
    return () => window.removeEventListener(AGAIN, hear);
  });
}
