import { notFound } from "next/navigation";
import { cache } from "react";
import { boardsOfRoom, listReleases, localDay, mayKeep } from "@/server/web";
import { ReleaseRoom } from "@/ui/releases";
import { signedIn } from "../../../session";

interface Props {
  readonly params: Promise<{ id: string }>;
}

const find = cache(async (id: string) => {
  const { em, desk } = await signedIn();
  const releases = await listReleases(em, desk);
  return { em, desk, releases, release: releases.find((one) => String(one.id) === id) };
});

export const generateMetadata = async ({ params }: Props) => ({
  title: (await find((await params).id)).release?.name ?? "Release",
});

export default async function ReleasePage({ params }: Props) {
  const { em, desk, releases, release } = await find((await params).id);
  if (!release) notFound();
  return (
    <ReleaseRoom
      key={release.id}
      release={release}
      releases={releases}
      boards={await boardsOfRoom(em, desk, { kind: "release", id: release.id })}
      today={localDay(desk.view.now, desk.view.calendar.zone)}
      mayKeep={mayKeep(desk.viewer)}
    />
  );
}
