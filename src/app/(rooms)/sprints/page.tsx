import { redirect } from "next/navigation";
import { firstSprint } from "@/server/web";
import { NoSprints } from "@/ui/sprints";
import { signedIn } from "../../session";

export const metadata = { title: "Sprints" };

export default async function SprintsPage() {
  const { desk } = await signedIn();
  const first = firstSprint(desk);
  if (first !== null) redirect(`/sprints/${first}`);
  return <NoSprints />;
}
