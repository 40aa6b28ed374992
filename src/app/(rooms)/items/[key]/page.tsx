import { notFound } from "next/navigation";
import { loadItem } from "@/server/web";
import { ItemRoom } from "@/ui/item";
import { signedIn } from "../../../session";

export const generateMetadata = async ({ params }: { params: Promise<{ key: string }> }) => ({
  title: decodeURIComponent((await params).key),
});

export default async function ItemRoute({ params }: { params: Promise<{ key: string }> }) {
  const { em, desk } = await signedIn();
  const item = await loadItem(em, decodeURIComponent((await params).key), desk);
  if (!item) notFound();
  const { names } = desk.view.catalog;
  const workflow = names
    .list("status")
    .find(
      (status) => String(status.id) === item.fields.find((field) => field.id === "status")?.value,
    )?.workflow;
  const choices = {
    status: names
      .list("status")
      .filter((status) => status.workflow === workflow)
      .map(({ id, label, stage }) => ({ id, label, stage: stage ?? null })),
    priority: names.list("priority").map(({ id, label }) => ({ id, label, stage: null })),
    assignee: names.list("person").map(({ id, label }) => ({ id, label, stage: null })),
  };
  return (
    <ItemRoom
      item={item}
      choices={choices}
      zone={desk.view.calendar.zone}
      statuses={names.list("status").map((status) => status.label)}
      priorities={names.list("priority").map((priority) => priority.label)}
    />
  );
}
