import { ReportRoom } from "@/ui/report";
import { roomFacts } from "../../../room";
import { signedIn } from "../../../session";

export const metadata = { title: "New report" };

export default async function NewReportPage({ searchParams }: { searchParams: Promise<{ s?: string }> }) {
  const { desk } = await signedIn();
  const { s } = await searchParams;
  return <ReportRoom key={s ?? ""} facts={roomFacts(desk)} kept={null} sentence={s ?? null} />;
}
