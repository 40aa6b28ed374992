import { redirect } from "next/navigation";
import { needsFirstAdministrator, newSession } from "@/server/web";
import { signedIn } from "./session";

export const dynamic = "force-dynamic";

export default async function Home() {
  if (await needsFirstAdministrator(await newSession())) redirect("/first");
  await signedIn();
  redirect("/dashboards");
}
