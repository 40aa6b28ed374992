import { FirstAsk, InviteAcceptAsk, SignInAsk } from "@/contract/signIn";
import { cookies } from "next/headers";

import { acceptInvite, firstAdministrator, newSession, signIn, signOut } from "@/server/web";
import { failed, isOurs, readJson, refusedWith, told } from "../../reply";
import { COOKIE, senderOf, setSession } from "../../session";

/** Signing in: with a password, by an invitation, or as the first administrator of an empty workspace. */
export async function POST(request: Request): Promise<Response> {
  try {
    if (!isOurs(request))
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    const body = await readJson(request);
    const em = await newSession();
    const [password, invited, first] = [
      SignInAsk.safeParse(body),
      InviteAcceptAsk.safeParse(body),
      FirstAsk.safeParse(body),
    ];
    const opened = first.success
      ? await firstAdministrator(em, first.data)
      : invited.success
        ? await acceptInvite(
            em,
            invited.data.secret,
            invited.data.password,
            invited.data.endsTokens,
          )
        : password.success
          ? await signIn(em, password.data.login, password.data.password, senderOf(request))
          : null;
    if (!opened)
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    if (!opened.ok)
      return refusedWith(
        opened.problems,
        opened.problems[0].code === "signIn.throttled" ? 429 : 422,
      );
    const before = (await cookies()).get(COOKIE)?.value;
    if (before) await signOut(em, before);
    await setSession(opened.value);
    return told(true);
  } catch (error) {
    return failed(error);
  }
}

/** Signing out. */
export async function DELETE(request: Request): Promise<Response> {
  try {
    if (!isOurs(request))
      return refusedWith([{ code: "request", message: "The request is not understood." }], 400);
    const jar = await cookies();
    const secret = jar.get(COOKIE)?.value;
    if (secret) await signOut(await newSession(), secret);
    jar.delete(COOKIE);
    return told(true);
  } catch (error) {
    return failed(error);
  }
}
