import { listReports, mayBuild } from "@/server/web";
import { Library } from "@/ui/library";
import { signedIn } from "../../session";

export const metadata = { title: "Reports" };

export default async function ReportsPage({ searchParams }: { searchParams: Promise<{ q?: string }> }) {
  const { em, desk } = await signedIn();
  return <Library reports={await listReports(em, desk.viewer, desk.view.catalog)} mayBuild={mayBuild(desk.viewer)} words={(await searchParams).q ?? ""} />;
}
