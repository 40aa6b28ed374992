import { notFound } from "next/navigation";
import { loadItem, unreadableIn } from "@/server/web";
import { ItemRoom } from "@/ui/item";
import { signedIn } from "../../../session";

/** The key in the address; null for one that no item can have. */
async function keyIn(params: Promise<{ key: string }>): Promise<string | null> {
  try {
    const key = decodeURIComponent((await params).key);
    return unreadableIn(key) ? null : key;
  } catch {
    return null;
  }
}

export const generateMetadata = async ({ params }: { params: Promise<{ key: string }> }) => ({
  title: (await keyIn(params)) ?? "Item",
});

export default async function ItemRoute({ params }: { params: Promise<{ key: string }> }) {
  const { em, desk } = await signedIn();
  const key = await keyIn(params);
  const item = key === null ? null : await loadItem(em, key, desk);
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
