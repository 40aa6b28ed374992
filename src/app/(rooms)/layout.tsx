import type { ReactNode } from "react";
import { listPins, sightOf } from "@/server/web";
import { Shell } from "@/ui/shell";
import { signedIn } from "../session";

export const dynamic = "force-dynamic";

export default async function Rooms({ children }: { children: ReactNode }) {
  const { em, desk } = await signedIn();
  const { viewer, workspace } = desk;
  return (
    <Shell
      viewer={{
        name: viewer.name,
        login: viewer.login,
        role: viewer.role,
        isClient: viewer.isClient,
      }}
      workspace={workspace.name}
      zone={desk.view.calendar.zone}
      sight={sightOf(desk)}
      pins={await listPins(em, viewer)}
    >
      {children}
    </Shell>
  );
}
