import { notFound } from "next/navigation";
import { cache } from "react";
import { beginTiles, listReports, loadDashboard, mayBuild, systemClock, visit } from "@/server/web";
import { Board, narrowingsAt } from "@/ui/dashboard";
import { signedIn } from "../../../session";

const load = cache(async (id: string) => {
  const { em, desk } = await signedIn();
  return /^\d{1,9}$/.test(id) ? loadDashboard(em, desk.viewer, Number(id), desk.view) : null;
});

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({
  title: (await load((await params).id))?.name ?? "Dashboard",
});

export default async function DashboardPage({ params }: Props) {
  const board = await load((await params).id);
  if (!board) notFound();
  const { em, desk } = await signedIn();
  const reports = board.mayChange ? await listReports(em, desk.viewer, desk.view.catalog) : [];
  const { chosen, before } = await visit(em, desk.viewer, systemClock, board.id);
  return (
    <Board
      key={board.id}
      board={board}
      chosen={chosen}
      since={before}
      begun={beginTiles(em, desk, board, narrowingsAt(board.filters, chosen))}
      reports={reports.map(({ id, name, shape, mine, takesConditions }) => ({
        id,
        name,
        shape,
        mine,
        takesConditions,
      }))}
      people={desk.view.catalog.names.list("person")}
      teams={desk.view.catalog.names.list("team")}
      mayBuild={mayBuild(desk.viewer)}
    />
  );
}
