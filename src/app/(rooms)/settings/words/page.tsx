import { notFound } from "next/navigation";
import { wordsShown } from "@/server/web";
import { Words } from "@/ui/settings";
import { signedIn } from "../../../session";

export const metadata = { title: "Words of the desk" };

export default async function WordsPage() {
  const { em, desk } = await signedIn();
  if (desk.viewer.role !== "administrator") notFound();
  return <Words shown={await wordsShown(em, desk)} />;
}
