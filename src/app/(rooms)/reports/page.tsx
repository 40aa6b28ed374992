import {
  listFilters,
  listNotices,
  listReports,
  mayBuild,
  printReport,
  readyMade,
} from "@/server/web";
import { Library } from "@/ui/library";
import { signedIn } from "../../session";

export const metadata = { title: "Reports" };

export default async function ReportsPage({
  searchParams,
}: {
  searchParams: Promise<{ q?: string; shelf?: string }>;
}) {
  const { em, desk } = await signedIn();
  const { q = "", shelf } = await searchParams;
  const { catalog } = desk.view;
  const [reports, filters, notices] = [
    await listReports(em, desk.viewer, catalog),
    await listFilters(em, desk.viewer, catalog),
    await listNotices(em, desk.viewer),
  ];
  const ready = readyMade(desk.view).map(({ name, category, report }) => ({
    name,
    category,
    sentence: printReport(report, catalog),
    shape: report.shape ?? ("list" as const),
  }));
  return (
    <Library
      reports={reports}
      filters={filters}
      notices={notices}
      ready={ready}
      people={catalog.names.list("person")}
      teams={catalog.names.list("team")}
      mayBuild={mayBuild(desk.viewer)}
      words={q}
      leaf={shelf === "filters" ? "filters" : "reports"}
    />
  );
}
