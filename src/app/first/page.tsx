import { redirect } from "next/navigation";
import { needsFirstAdministrator, newSession } from "@/server/web";
import { First } from "@/ui/signin";

export const dynamic = "force-dynamic";
export const metadata = { title: "A workspace of your own" };

export default async function FirstPage() {
  if (!(await needsFirstAdministrator(await newSession()))) redirect("/sign-in");
  return <First />;
}
