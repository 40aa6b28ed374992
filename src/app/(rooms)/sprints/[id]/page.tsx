import { notFound } from "next/navigation";
import { boardsOfRoom, listReleases, listSprints, mayKeep, roomFacts } from "@/server/web";
import { SprintRoom } from "@/ui/sprints";
import { signedIn } from "../../../session";

interface Props {
  readonly params: Promise<{ id: string }>;
}

const find = async ({ params }: Props) => {
  const { id } = await params;
  const { em, desk } = await signedIn();
  const sprints = listSprints(desk);
  return { em, desk, sprints, sprint: sprints.find((one) => String(one.id) === id) };
};

export const generateMetadata = async (props: Props) => ({
  title: (await find(props)).sprint?.name ?? "Sprint",
});

export default async function SprintPage(props: Props) {
  const { em, desk, sprints, sprint } = await find(props);
  if (!sprint) notFound();
  return (
    <SprintRoom
      key={sprint.id}
      facts={roomFacts(desk)}
      sprint={sprint}
      sprints={sprints}
      boards={await boardsOfRoom(em, desk, { kind: "sprint", id: sprint.id })}
      mayKeep={mayKeep(desk.viewer)}
      hasReleases={(await listReleases(em, desk)).length > 0}
    />
  );
}
