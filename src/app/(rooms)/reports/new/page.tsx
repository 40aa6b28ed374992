import { PLAIN_DRESS } from "@/core/definition";
import {
  beginFigure,
  listFilters,
  loadDraft,
  parseSentence,
  reportNames,
  roomFacts,
} from "@/server/web";
import { ReportRoom } from "@/ui/report";
import { signedIn } from "../../../session";

export const metadata = { title: "New report" };

/** A new report: from a sentence, from the conditions of a saved filter to change or its list, or from what was being made. */
export default async function NewReportPage({
  searchParams,
}: {
  searchParams: Promise<{ s?: string; filter?: string; held?: string }>;
}) {
  const { em, desk } = await signedIn();
  const { s, filter: changed, held } = await searchParams;
  const found =
    changed || held
      ? (await listFilters(em, desk.viewer, desk.view.catalog)).find(
          (one) => String(one.id) === (changed ?? held),
        )
      : undefined;
  const filter = found?.mayChange && changed ? found : null;
  const sentence = filter ? filter.conditions : (found?.sentence ?? s ?? null);
  const read = sentence ? parseSentence(sentence, desk.view) : null;
  return (
    <ReportRoom
      key={sentence ?? ""}
      facts={roomFacts(desk)}
      kept={null}
      sentence={sentence}
      first={read?.ok ? beginFigure(em, desk, read.value, PLAIN_DRESS) : null}
      filter={filter}
      draft={filter ? null : await loadDraft(em, desk.viewer, 0)}
      reports={await reportNames(em, desk.viewer)}
    />
  );
}
