import { redirect } from "next/navigation";
import { firstBoard, needsFirstAdministrator, newSession } from "@/server/web";
import { signedIn } from "./session";

export const dynamic = "force-dynamic";

export default async function Home() {
  if (await needsFirstAdministrator(await newSession())) redirect("/first");
  const { em, desk } = await signedIn();
  const first = await firstBoard(em, desk.viewer);
  redirect(first === null ? "/dashboards" : `/dashboards/${first}`);
}
