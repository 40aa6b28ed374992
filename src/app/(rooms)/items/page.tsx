import { listsRecords, type ListReport } from "@/core/kinds";
import { type Desk, parseSentence, roomFacts } from "@/server/web";
import { ItemsRoom } from "@/ui/item";
import { signedIn } from "../../session";

export const metadata = { title: "Items" };

const FIRST =
  "list items where status is open showing key, title, status, priority, assignee, due, age sorted by age descending as list";

/** The list that the address asks for; the open items, the oldest first, where it asks for none. */
function listOf(sentence: string | undefined, { view }: Desk): ListReport {
  for (const asked of [sentence ?? FIRST, FIRST, "list items as list"]) {
    const read = parseSentence(asked, view);
    if (read.ok && listsRecords(read.value)) return read.value;
  }
  return { kind: "list", subject: { id: "items" }, showing: [], sorts: [] };
}

export default async function ItemsPage({
  searchParams,
}: {
  searchParams: Promise<{ s?: string }>;
}) {
  const { desk } = await signedIn();
  const { s } = await searchParams;
  return <ItemsRoom key={s ?? ""} facts={roomFacts(desk)} first={listOf(s, desk)} />;
}
