import { redirect } from "next/navigation";
import { firstRelease, listReleases } from "@/server/web";
import { NoReleases } from "@/ui/releases";
import { signedIn } from "../../session";

export const metadata = { title: "Releases" };

export default async function ReleasesPage() {
  const { em, desk } = await signedIn();
  const first = firstRelease(await listReleases(em, desk));
  if (first) redirect(`/releases/${first.id}`);
  return <NoReleases />;
}
