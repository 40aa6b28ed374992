"use client";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { AskProblem } from "../../kit";

/** What is entered of a project changes what is worked out of it: all of that is asked again. */
const TOUCHED = [["project"], ["says"], ["milestones"], ["progress"], ["timeline"]];

/** Somebody was faster: what they entered is seen then, and what is kept again takes its place. */
export const wasFaster = (problem: { readonly code: string } | null): boolean =>
  Boolean(problem?.code.endsWith(".version"));

/** Enters something: tells what is wrong with it, by its part, and has what stands on it asked again. */
export function useEntering(): {
  problem: { readonly code: string; readonly path: string; readonly message: string } | null;
  enter: (act: () => Promise<unknown>) => Promise<boolean>;
} {
  const client = useQueryClient();
  const [problem, setProblem] = useState<{ code: string; path: string; message: string } | null>(
    null,
  );
  const askAnew = async () => {
    for (const queryKey of TOUCHED) await client.invalidateQueries({ queryKey });
  };
  const enter = async (act: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await act();
    } catch (error) {
      const first = error instanceof AskProblem ? error.problems[0] : undefined;
      const code = first?.code ?? "";
      if (wasFaster({ code })) await askAnew();
      setProblem({ code, path: first?.path ?? "", message: (error as Error).message });
      return false;
    }
    await askAnew();
    return true;
  };
  return { problem, enter };
}
