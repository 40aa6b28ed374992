import { listBriefings, mayKeep } from "@/server/web";
import { BriefingsRoom } from "@/ui/briefings";
import { signedIn } from "../../session";

export const metadata = { title: "Briefings" };

export default async function BriefingsPage() {
  const { em, desk } = await signedIn();
  const { names, data } = desk.view.catalog;
  const named = (kind: "project" | "sprint" | "release" | "team") =>
    names.list(kind).map(({ id, label }) => ({ id, name: label }));
  return (
    <BriefingsRoom
      lines={await listBriefings(em, desk)}
      mayKeep={mayKeep(desk.viewer)}
      subjects={{
        project: named("project"),
        sprint: named("sprint"),
        release: named("release"),
        team: named("team"),
        filter: (data.filters ?? []).map(({ id, name }) => ({ id, name })),
      }}
    />
  );
}
