import { invitedPerson, newSession } from "@/server/web";
import { Invited } from "@/ui/signin";

export const dynamic = "force-dynamic";
export const metadata = { title: "Your invitation" };

export default async function InvitePage({ params }: { params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const person = await invitedPerson(await newSession(), secret);
  return <Invited secret={secret} name={person?.name ?? null} login={person?.login ?? null} />;
}
