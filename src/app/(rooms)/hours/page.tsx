import { notFound } from "next/navigation";
import { localDay } from "@/server/web";
import { HoursRoom } from "@/ui/hours";
import { signedIn } from "../../session";

export const metadata = { title: "Your hours" };

export default async function HoursPage() {
  const { desk } = await signedIn();
  if (desk.viewer.isClient) notFound();
  return <HoursRoom today={localDay(desk.view.now, desk.view.calendar.zone)} />;
}
