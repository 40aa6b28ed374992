"use client";
import { useEffect } from "react";

let box: ((words: string) => void) | undefined;

/** Calls the box again that takes questions, with these words in it. */
export const askAgain = (words: string): void => box?.(words);

/** What is done when words are to be asked again. */
export const useAskAgain = (onAsk: (words: string) => void): void =>
  useEffect(() => void (box = onAsk));
