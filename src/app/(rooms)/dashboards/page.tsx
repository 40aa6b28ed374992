import { listDashboards, mayBuild } from "@/server/web";
import { Dashboards } from "@/ui/dashboard";
import { signedIn } from "../../session";

export const metadata = { title: "Dashboards" };

export default async function DashboardsPage() {
  const { em, desk } = await signedIn();
  return (
    <Dashboards boards={await listDashboards(em, desk.viewer)} mayBuild={mayBuild(desk.viewer)} />
  );
}
