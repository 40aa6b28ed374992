import { notFound } from "next/navigation";
import { cache } from "react";
import { beginFigure, loadDraft, loadReport, reportNames, roomFacts } from "@/server/web";
import { ReportRoom } from "@/ui/report";
import { signedIn } from "../../../session";

const load = cache(async (id: string) => {
  const { em, desk } = await signedIn();
  return /^\d{1,9}$/.test(id) ? loadReport(em, desk.viewer, Number(id)) : null;
});

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ s?: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({
  title: (await load((await params).id))?.name ?? "Report",
});

export default async function ReportPage({ params, searchParams }: Props) {
  const kept = await load((await params).id);
  if (!kept) notFound();
  const { em, desk } = await signedIn();
  const sentence = (await searchParams).s ?? null;
  const draft = await loadDraft(em, desk.viewer, kept.id);
  const isAsSaved = !draft && sentence === null;
  return (
    <ReportRoom
      key={kept.id}
      facts={roomFacts(desk)}
      kept={kept}
      sentence={sentence}
      draft={draft}
      first={isAsSaved ? beginFigure(em, desk, kept.definition, kept.dress) : null}
      reports={await reportNames(em, desk.viewer)}
    />
  );
}
