import { listBriefings } from "@/server/web";
import { BriefingsRoom } from "@/ui/briefings";
import { signedIn } from "../../session";

export const metadata = { title: "Briefings" };

export default async function BriefingsPage() {
  const { em, desk } = await signedIn();
  return <BriefingsRoom lines={await listBriefings(em, desk)} />;
}
