"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import type { QuestionRead } from "@/contract/questions";
import type { Found } from "@/contract/workspace";
import { ask } from "../kit";

const SETTLED_MS = 90;
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
  const question = { question: asked.slice(0, 800) };
  const isQuestion = asked.trim().length >= SHORTEST;
  const found = useQuery({
    queryKey: ["find", asked],
    queryFn: ({ signal }) => ask("find", { words: asked }, signal),
    enabled,
    placeholderData: keepPreviousData,
  });
  const read = useQuery({
    queryKey: ["readQuestion", asked, "read"],
    queryFn: ({ signal }) => ask("readQuestion", { ...question, counted: false }, signal),
    enabled: isQuestion,
    placeholderData: keepPreviousData,
  });
  // What the others come to follows: the first figure does not wait for it.
  const counted = useQuery({
    queryKey: ["readQuestion", asked, "counted"],
    queryFn: ({ signal }) => ask("readQuestion", { ...question, counted: true }, signal),
    enabled: isQuestion && read.isSuccess && !read.isPlaceholderData,
  });
  return {
    found: found.data ?? NONE,
    read: isQuestion ? (counted.data ?? read.data ?? NOTHING) : NOTHING,
    isFetching: found.isFetching || read.isFetching,
    isAsked: !found.isPlaceholderData && !(isQuestion && read.isPlaceholderData),
  };
}
