import { notFound } from "next/navigation";
import { brandOf } from "@/server/web";
import { PrintSettings } from "@/ui/settings";
import { signedIn } from "../../../session";

export const metadata = { title: "Print" };

export default async function PrintSettingsPage() {
  const { em, desk } = await signedIn();
  if (desk.viewer.role !== "administrator") notFound();
  return <PrintSettings brand={await brandOf(em)} workspace={desk.workspace.name} />;
}
