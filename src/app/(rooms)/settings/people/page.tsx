import { notFound } from "next/navigation";
import { listPeople } from "@/server/web";
import { People } from "@/ui/settings";
import { signedIn } from "../../../session";

export const metadata = { title: "People" };

export default async function PeoplePage() {
  const { em, desk } = await signedIn();
  if (desk.viewer.role !== "administrator") notFound();
  return <People people={await listPeople(em)} />;
}
