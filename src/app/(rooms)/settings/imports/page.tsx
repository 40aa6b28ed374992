import { notFound } from "next/navigation";
import { lastImports } from "@/server/web";
import { Imports } from "@/ui/settings";
import { signedIn } from "../../../session";

export const metadata = { title: "Bring items in" };

export default async function ImportsPage() {
  const { em, desk } = await signedIn();
  if (desk.viewer.role !== "administrator") notFound();
  return <Imports last={await lastImports(em)} workspace={desk.workspace.name} />;
}
