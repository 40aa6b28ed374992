import { notFound } from "next/navigation";
import { cache } from "react";
import { boardsOfRoom, mayKeep, projectRoom } from "@/server/web";
import { ProjectRoom } from "@/ui/projects";
import { signedIn } from "../../../session";

interface Props {
  readonly params: Promise<{ id: string }>;
}

const load = cache(async (id: string) => {
  const { em, desk } = await signedIn();
  const project = /^\d{1,9}$/.test(id)
    ? desk.view.catalog.names.find("project", Number(id))
    : undefined;
  return project ? projectRoom(em, desk, project.id) : null;
});

export const generateMetadata = async ({ params }: Props) => ({
  title: (await load((await params).id))?.name ?? "Project",
});

export default async function ProjectPage({ params }: Props) {
  const project = await load((await params).id);
  if (!project) notFound();
  const { em, desk } = await signedIn();
  return (
    <ProjectRoom
      key={project.id}
      project={project}
      boards={await boardsOfRoom(em, desk, { kind: "project", id: project.id })}
      mayKeep={mayKeep(desk.viewer)}
    />
  );
}
