import { cookies } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import { connection } from "next/server";
import {
  deskOf,
  newSession,
  systemClock,
  viewerOfSession,
  type Desk,
  type EntityManager,
} from "@/server/web";

export const COOKIE = "gt_session";

/** The desk of whoever is signed in, once per request; null for nobody. */
export const currentDesk = cache(async (): Promise<{ em: EntityManager; desk: Desk } | null> => {
  await connection();
  const secret = (await cookies()).get(COOKIE)?.value;
  if (!secret) return null;
  const em = await newSession();
  const viewer = await viewerOfSession(em, secret);
  return viewer && { em, desk: await deskOf(em, viewer, systemClock) };
});

/** The same for pages: who is not signed in goes to the sign-in page. */
export async function signedIn(): Promise<{ em: EntityManager; desk: Desk }> {
  const found = await currentDesk();
  if (!found) redirect("/sign-in");
  return found;
}

/** Whether people reach this application by https. */
const isServedSafely = (): boolean => (process.env.GRAND_TALLY_URL ?? "").startsWith("https:");

export async function setSession(secret: string): Promise<void> {
  (await cookies()).set(COOKIE, secret, {
    httpOnly: true,
    sameSite: "lax",
    path: "/",
    maxAge: 30 * 86_400,
    secure: isServedSafely(),
  });
}

/**
 * Where a request comes from, for counting tries: the address that the last of the operator's proxies saw. Each proxy in front
 * (GRAND_TALLY_PROXIES, none unless said) adds one to the right; what stands further left anybody can write.
 */
export function senderOf(request: Request): string {
  const hops = (request.headers.get("x-forwarded-for") ?? "").split(",").map((hop) => hop.trim());
  const proxies = Number(process.env.GRAND_TALLY_PROXIES ?? 0);
  return (hops.at(-Math.max(1, proxies)) ?? hops[0] ?? "").slice(0, 64) || "unknown";
}
