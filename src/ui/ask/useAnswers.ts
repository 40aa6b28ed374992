"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import type { QuestionRead } from "@/contract/questions";
import type { Found } from "@/contract/workspace";
import { ask } from "../kit";

const SETTLED_MS = 120;
/** Fewer letters are a name that is looked for. */
const SHORTEST = 3;
const NOTHING: QuestionRead = { readings: [], near: [], there: [] };
const NONE: readonly Found[] = [];

/** Words that nobody is typing at any more. */
export function useSettledWords(words: string): string {
  const [asked, setAsked] = useState(words);
  useEffect(() => {
    const timer = setTimeout(() => setAsked(words), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [words]);
  return asked;
}

/** What is called so, and what the words ask when they are a question. */
export function useAnswers(asked: string) {
  const enabled = asked.trim() !== "";
  const isQuestion = asked.trim().length >= SHORTEST;
  const found = useQuery({
    queryKey: ["find", asked],
    queryFn: ({ signal }) => ask("find", { words: asked }, signal),
    enabled,
    placeholderData: keepPreviousData,
  });
  const read = useQuery({
    queryKey: ["readQuestion", asked],
    queryFn: ({ signal }) => ask("readQuestion", { question: asked.slice(0, 800) }, signal),
    enabled: isQuestion,
    placeholderData: keepPreviousData,
  });
  return {
    found: found.data ?? NONE,
    read: isQuestion ? (read.data ?? NOTHING) : NOTHING,
    isFetching: found.isFetching || read.isFetching,
    isAsked: !found.isPlaceholderData && !(isQuestion && read.isPlaceholderData),
  };
}
