import { notFound } from "next/navigation";
import { cache } from "react";
import { Refused, showBriefing } from "@/server/web";
import { BriefingRoom } from "@/ui/briefings";
import { signedIn } from "../../../session";

interface Props {
  readonly params: Promise<{ id: string }>;
}

const load = cache(async (id: string) => {
  if (!/^\d{1,9}$/.test(id)) return null;
  const { em, desk } = await signedIn();
  try {
    return await showBriefing(em, desk, Number(id));
  } catch (error) {
    if (error instanceof Refused) return null;
    throw error;
  }
});

export const generateMetadata = async ({ params }: Props) => ({
  title: (await load((await params).id))?.title ?? "Briefing",
});

export default async function BriefingPage({ params }: Props) {
  const briefing = await load((await params).id);
  if (!briefing) notFound();
  const { desk } = await signedIn();
  const { names } = desk.view.catalog;
  const { mayMail } = briefing;
  return (
    <BriefingRoom
      key={briefing.id}
      briefing={briefing}
      role={desk.viewer.role}
      people={mayMail ? names.list("person") : []}
      teams={mayMail ? names.list("team") : []}
    />
  );
}
