import { localDay } from "@/server/web";
import { ProjectsRoom } from "@/ui/projects";
import { signedIn } from "../../session";

export const metadata = { title: "Projects" };

export default async function ProjectsPage() {
  const { desk } = await signedIn();
  const { view, viewer } = desk;
  return (
    <ProjectsRoom
      today={localDay(view.now, view.calendar.zone)}
      healthWords={view.catalog.data.money.healthWords}
      mayRemind={!viewer.isClient}
    />
  );
}
