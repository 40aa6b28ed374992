import type { Problem } from "@/core/base";
import type { ActId, Answer, Sent } from "@/contract/acts";

/** Why a request did not go through, in words for people. */
export interface Failure {
  readonly problems: readonly Problem[];
}

export class AskProblem extends Error {
  constructor(
    readonly problems: readonly Problem[],
    readonly status: number,
  ) {
    super(problems[0]?.message ?? "Something went wrong.");
  }
}

const pathOf = (act: ActId): string => `/api/room/${act}`;

/** Has the server do an act and takes its answer; problems come as AskProblem, a lost connection too. */
export const ask = <K extends ActId>(
  act: K,
  asked: Sent<K>,
  signal?: AbortSignal,
): Promise<Answer<K>> => post<Answer<K>>(pathOf(act), asked, signal);

/** Sends an act as the page is left; nobody is there any more to hear of its answer. */
export function sendLast<K extends ActId>(act: K, asked: Sent<K>): void {
  const body = new Blob([JSON.stringify(asked)], { type: "application/json" });
  navigator.sendBeacon?.(pathOf(act), body);
}

/** The same at another door: what signs in. */
export async function post<T>(path: string, body: unknown, signal?: AbortSignal): Promise<T> {
  let reply: Response;
  try {
    reply = await fetch(path, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new AskProblem(
      [
        {
          code: "offline",
          message: "The server cannot be reached. Nothing is lost; try again in a moment.",
        },
      ],
      0,
    );
  }
  const told = (await reply.json().catch(() => null)) as { value?: T; problems?: Problem[] } | null;
  if (reply.status === 401)
    location.assign(`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`);
  if (!reply.ok || !told || told.problems)
    throw new AskProblem(
      told?.problems ?? [
        { code: "failed", message: "Something went wrong on our side. Nothing is lost." },
      ],
      reply.status,
    );
  return told.value as T;
}
