import { listMailings, listMails, mailAddress, mayBuild } from "@/server/web";
import { Mailings } from "@/ui/mailings";
import { signedIn } from "../../session";

export const metadata = { title: "Mailings" };

export default async function MailingsPage() {
  const { em, desk } = await signedIn();
  const { names } = desk.view.catalog;
  const address = await mailAddress(em, desk.viewer);
  return (
    <Mailings
      mailings={await listMailings(em, desk)}
      mails={await listMails(em, address)}
      people={names.list("person")}
      teams={names.list("team")}
      mayBuild={mayBuild(desk.viewer)}
      seesAll={address === null}
    />
  );
}
