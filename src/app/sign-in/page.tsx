import { redirect } from "next/navigation";
import { isOwnPath } from "@/core/base";
import { loadWorkspace, needsFirstAdministrator, newSession } from "@/server/web";
import { SignIn } from "@/ui/signin";

export const dynamic = "force-dynamic";
export const metadata = { title: "Sign in" };

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<{ to?: string }>;
}) {
  const em = await newSession();
  if (await needsFirstAdministrator(em)) redirect("/first");
  const workspace = await loadWorkspace(em);
  const { to } = await searchParams;
  return (
    <SignIn
      workspace={workspace.name}
      demo={workspace.demo}
      to={to !== undefined && isOwnPath(to) ? to : "/"}
    />
  );
}
