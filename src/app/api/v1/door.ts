import {
  badRequest,
  log,
  newSession,
  ourBug,
  systemClock,
  tooSlow,
  unreachable,
  type EntityManager,
  type Reply,
} from "@/server/web";
import type { ProblemDetails } from "@/contract/api";
import { isTooSlow, isUnreachable, readJson } from "../../reply";

type Answerer = (
  em: EntityManager,
  clock: typeof systemClock,
  token: string | null,
  body: unknown,
) => Promise<Reply>;
const problem = (details: ProblemDetails): Response =>
  new Response(JSON.stringify(details), {
    status: details.status,
    headers: {
      "content-type": "application/problem+json",
      "cache-control": "no-store",
      ...(details.status === 401 ? { "www-authenticate": "Bearer" } : {}),
    },
  });

/** The door for programs: a bearer token and JSON in, JSON or problem details out. */
export const programDoor =
  (answer: Answerer) =>
  async (request: Request): Promise<Response> => {
    try {
      const token = /^Bearer (\S+)$/i.exec(request.headers.get("authorization") ?? "")?.[1] ?? null;
      const body = await readJson(request);
      if (body === undefined && token !== null)
        return problem(badRequest("send a JSON object as application/json"));
      const reply = await answer(await newSession(), systemClock, token, body ?? {});
      return "body" in reply
        ? Response.json(reply.body, { headers: { "cache-control": "no-store" } })
        : problem(reply.problem);
    } catch (error) {
      if (isTooSlow(error)) return problem(tooSlow());
      if (isUnreachable(error)) return problem(unreachable());
      log.error({ error }, "a request of a program failed");
      return problem(ourBug());
    }
  };
