import { Readable } from "node:stream";
import type { Problem } from "@/core/base";
import { log, type Exported } from "@/server/web";

/** What is told to somebody is kept by nobody between. */
const PRIVATE = { "cache-control": "no-store" };

export const told = (value: unknown, status = 200): Response =>
  Response.json({ value }, { status, headers: PRIVATE });
export const refusedWith = (problems: readonly Problem[], status: number): Response =>
  Response.json({ problems }, { status, headers: PRIVATE });
export const notSignedIn = (): Response =>
  refusedWith([{ code: "session", message: "You are not signed in." }], 401);

const codeOf = (error: unknown): string => {
  const { code, cause } = error as { code?: string; cause?: unknown };
  return code ?? (cause ? codeOf(cause) : "");
};

/** Whether the database, and not the request, is at fault. */
export const isUnreachable = (error: unknown): boolean =>
  /^(ECONN|57P0|08|53)/.test(codeOf(error)) ||
  /Connection terminated|Knex: Timeout acquiring|starting up|shutting down/.test(
    String((error as Error)?.message),
  );
export const isTooSlow = (error: unknown): boolean => codeOf(error) === "57014";

/** What a failure of ours is told as: never a stack, never its words. */
export function failed(error: unknown): Response {
  if (isTooSlow(error))
    return refusedWith(
      [
        {
          code: "slow",
          message: "This takes longer than 30 seconds and was stopped. Ask for less at once.",
        },
      ],
      503,
    );
  if (isUnreachable(error))
    return refusedWith(
      [
        {
          code: "database",
          message:
            "The records cannot be reached just now. Nothing is lost; it goes on by itself when they are back.",
        },
      ],
      503,
    );
  log.error({ error }, "a request failed");
  return refusedWith(
    [{ code: "internal", message: "Something went wrong on our side. Nothing is lost." }],
    500,
  );
}

/** Whether a request that changes something comes from our own pages. */
export const isOurs = (request: Request): boolean => {
  const origin = request.headers.get("origin");
  if (origin === null) return true;
  return URL.canParse(origin) && new URL(origin).host === request.headers.get("host");
};

/** A file, streamed where it is: saved under its name by whoever asked. */
export const fileReply = (
  { name, type, body }: Pick<Exported, "name" | "type" | "body">,
  headers: Readonly<Record<string, string>> = {},
): Response =>
  new Response(
    body instanceof Readable ? (Readable.toWeb(body) as ReadableStream) : (body as BodyInit),
    {
      headers: {
        ...PRIVATE,
        "content-type": type,
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
        ...headers,
      },
    },
  );

export async function readJson(request: Request): Promise<unknown> {
  if (!/^application\/json\b/.test(request.headers.get("content-type") ?? "")) return undefined;
  return request.json().catch(() => undefined);
}
