import { notFound } from "next/navigation";
import { loadDashboard } from "@/server/web";
import { Wall } from "@/ui/wall";
import { signedIn } from "../../session";

export const metadata = { title: "On the wall" };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ with?: string; seconds?: string }>;
}

const IDS = /^\d{1,9}(,\d{1,9}){0,9}$/;
const [USUAL, LEAST, MOST] = [20, 5, 3600];

/** A dashboard, and others after it (`with=2,3`), on a wall; each page stands for `seconds`. */
export default async function WallPage({ params, searchParams }: Props) {
  const [{ id }, asked] = [await params, await searchParams];
  if (!IDS.test(id)) notFound();
  const { em, desk } = await signedIn();
  const more = asked.with && IDS.test(asked.with) ? asked.with.split(",") : [];
  const found = await Promise.all(
    [id, ...more].map((one) => loadDashboard(em, desk.viewer, Number(one), desk.view)),
  );
  if (!found[0]) notFound();
  const seconds = /^\d{1,5}$/.test(asked.seconds ?? "") ? Number(asked.seconds) : USUAL;
  return (
    <Wall
      zone={desk.view.calendar.zone}
      boards={found.filter((board) => board !== null)}
      seconds={Math.min(Math.max(seconds, LEAST), MOST)}
    />
  );
}
