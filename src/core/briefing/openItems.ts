import { longDayText, numberOfDay } from "../time";
import { figure, paragraph, type BriefingPart, type BriefingPlace } from "./part";
import type { Run } from "./text";
import type { ToldRow } from "./told";
import { counted } from "./words";
import { workText, type Work } from "./work";

const MOST_ITEMS = 10;
const MOST_HOLDING = 5;

/** "Fri 20 Nov 2026, 4 days ago"; only what is past says how long. */
function dueWords(row: ToldRow, { today }: BriefingPlace): string {
  const due = row.day("due");
  if (!due) return "";
  const days = numberOfDay(today) - numberOfDay(due);
  return `${longDayText(due)}${days > 0 ? `, ${counted(days, "day")} ago` : ""}`;
}

/** What is open among some items, what of it is overdue, and which holds up another. */
export function openItemsOf(of: Work): BriefingPart {
  const open = `count ${workText(of, "status is open")}`;
  const list = `list ${workText(of, "status is open")} showing key, title, status, assignee, due sorted by due`;
  return {
    id: "open items",
    title: () => "Open items",
    always: "No item is open.",
    asks: () => ({ open, overdue: `${open} and due before today`, list }),
    write({ open: count, overdue, list: items }, place) {
      if (count.records === 0) return [];
      const holding = items.holds
        .slice(0, MOST_HOLDING)
        .map(([first, other]): Run => ` ${first} holds up ${other}.`);
      return [
        paragraph(
          figure("open", counted(count.records, "item"), open),
          ` ${count.records === 1 ? "is" : "are"} open`,
          ...(overdue.records > 0
            ? [
                ", ",
                figure("overdue", String(overdue.records), overdue.says),
                count.records === 1 ? " is overdue" : " of them overdue",
              ]
            : []),
          ".",
          ...holding,
        ),
        {
          kind: "table",
          title: "Open items",
          says: list,
          columns: ["key", "title", "status", "assignee", "due"].map((words) => ({
            words,
            align: "left",
          })),
          rows: items.rows
            .slice(0, MOST_ITEMS)
            .map((row) => [
              row.words("key") ?? "",
              row.words("title") ?? "",
              row.words("status") ?? "",
              row.words("assignee") ?? "",
              dueWords(row, place),
            ]),
          more: Math.max(0, count.records - Math.min(MOST_ITEMS, items.rows.length)),
        },
      ];
    },
  };
}
