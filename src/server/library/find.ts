import type { Found } from "@/contract/workspace";
import {
  offersOf,
  parseSentence,
  printReport,
  soughtWords,
  type ListReport,
  type Report,
} from "@/core/kinds";
import { isFound } from "@/core/base";
import { planRecords, type RecordsAnswer } from "@/core/kinds/planned";
import { type EntityManager, readableBoardNames, readableNames, runPlan } from "@/data";
import type { Desk } from "../viewer/viewpoint";

const MOST_FOUND = 12;
const MOST_ITEMS = 5;
const MOST_OFFERS = 3;
/** Fewer letters than these stand in too many titles. */
const LEAST_LETTERS = 3;

/** What the quick box offers for some words: a sentence or questions like it, an item of that key, and dashboards, reports and items by name. */
export async function find(em: EntityManager, desk: Desk, words: string): Promise<Found[]> {
  const asked = words.trim();
  if (!asked) return [];
  const keyed = await itemsBy(em, desk, "key", "is", asked);
  const boards = await readableBoardNames(em, desk.viewer, asked, MOST_FOUND);
  const reports = await readableNames(em, desk.viewer, asked, MOST_FOUND);
  const titled =
    asked.length >= LEAST_LETTERS ? await itemsBy(em, desk, "title", "contains", asked) : [];
  const known = new Set(keyed.map(({ href }) => href));
  return [
    ...sentencesOf(asked, desk),
    ...keyed,
    ...boards.map(({ id, name }) => named("dashboard", id, name)),
    ...reports.map(({ id, name }) => named("report", id, name)),
    ...titled.filter(({ href }) => !known.has(href)),
  ].slice(0, MOST_FOUND);
}

const named = (kind: "dashboard" | "report", id: number, name: string): Found => ({
  kind,
  words: name,
  about: kind,
  href: `/${kind}s/${id}`,
});

/** The words as a sentence; or else likely questions that are found by them. */
function sentencesOf(asked: string, { view }: Desk): Found[] {
  const parsed = parseSentence(asked, view);
  const reports = parsed.ok ? [parsed.value] : sought(asked, view);
  return reports.map((report): Found => {
    const words = printReport(report, view.catalog);
    const href = `/reports/new?s=${encodeURIComponent(words)}`;
    return { kind: "sentence", words, about: "count it", href };
  });
}

/** Words that join what is looked for, and say nothing of it. */
const JOINING = /\b(and|or|vs|versus|against|the|of|over|what)\b\.?/gi;

function sought(asked: string, view: Desk["view"]): Report[] {
  const words = asked.replace(JOINING, " ").trim();
  if (words.length < LEAST_LETTERS) return [];
  return offersOf({ id: "items" }, view)
    .filter((offer) =>
      isFound(words, [printReport(offer, view.catalog), soughtWords(offer, view.catalog)]),
    )
    .slice(0, MOST_OFFERS);
}

async function itemsBy(
  em: EntityManager,
  { view }: Desk,
  field: "key" | "title",
  operator: "is" | "contains",
  text: string,
): Promise<Found[]> {
  const list: ListReport = {
    kind: "list",
    subject: { id: "items" },
    showing: [],
    sorts: [],
    where: { kind: "test", field: [field], operator, values: [{ kind: "text", text }] },
  };
  const asked = { showing: [["title"]], sorts: [], offset: 0, limit: MOST_ITEMS };
  const { rows }: RecordsAnswer = await runPlan(em, planRecords(list, asked, view));
  return rows.map(({ key, values }) => ({
    kind: "item",
    words: `${key} ${String(values[0] ?? "")}`,
    about: "item",
    href: `/items/${encodeURIComponent(key!)}`,
  }));
}
