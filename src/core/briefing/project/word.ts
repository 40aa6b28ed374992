import { addDays, mondayOf, numberOfDay, type Day } from "../../time";
import { figure, paragraph, type BriefingPart } from "../part";
import type { Block, Run } from "../text";
import type { Told, ToldRow } from "../told";
import { counted, listed, shortDay } from "../words";
import { OF, showing } from "./asked";

export const WORDS = `list weekly words ${OF} showing person, week, week begins, health, done, next, worry sorted by week descending`;
const HEALTH = showing("manager", "health", "health week", "weeks silent");

/** The word that tells a project's health: the manager's own of that week, or else that of whoever said the same. */
export function healthWord(words: Told, project: ToldRow): ToldRow | undefined {
  const ofWeek = words.rows.filter((row) => row.day("week begins") === project.day("health week"));
  const own = ofWeek.find((row) => row.value("person") === project.value("manager"));
  return own?.value("health")
    ? own
    : ofWeek.find((row) => row.value("health") === project.value("health"));
}

/** Somebody's words, with a stop at their end. */
const asSentence = (text: string): string => text.trim().replace(/([^.!?…])$/, "$1.");

const ago = (weeks: number): string =>
  weeks === 1 ? "the week before" : `${counted(weeks, "week")} before`;

/** The two healths before a week's: "It was worried the week before, and well the week before that." */
function earlier(words: Told, week: Day): Run[] {
  const seen = new Map<Day, string>();
  for (const row of words.rows) {
    const [begins, health] = [row.day("week begins")!, row.words("health")];
    if (health && begins < week && !seen.has(begins)) seen.set(begins, health);
  }
  const [first, second] = [...seen].slice(0, 2).map(([begins, health]) => ({
    health,
    weeks: (numberOfDay(week) - numberOfDay(begins)) / 7,
  }));
  if (!first) return [];
  const then = second
    ? `, and ${second.health} ${second.weeks === first.weeks + 1 ? "the week before that" : ago(second.weeks)}`
    : "";
  return [`It was ${first.health} ${ago(first.weeks)}${then}. `];
}

/** Which weeks are owed: the last ones that are over. */
function owed(silent: number, today: Day): Run[] {
  if (silent === 0) return ["No week is owed since."];
  const monday = mondayOf(today);
  const weeks = Array.from({ length: Math.min(silent, 8) }, (_, i) => addDays(monday, -7 * (i + 1)))
    .reverse()
    .map((day) => [`the week of ${shortDay(day, today)}`]);
  return [
    figure("weeks silent", counted(silent, "week"), HEALTH),
    ` ${silent === 1 ? "is" : "are"} owed since: `,
    ...listed(weeks),
    ".",
  ];
}

/** What the manager said last, how it was before, and who is silent. */
export const word: BriefingPart = {
  id: "word",
  title: () => "The manager's word",
  asks: () => ({ project: HEALTH, words: WORDS }),
  write({ project, words }, { today }) {
    const row = project.rows[0];
    if (!row || (words.rows.length === 0 && !row.number("weeks silent")?.gt(0))) return [];
    const silent = row.number("weeks silent")?.toNumber() ?? 0;
    const said = healthWord(words, row);
    if (!said) return [paragraph("Nobody has said anything yet. ", ...owed(silent, today))];
    const begins = said.day("week begins")!;
    const told = (["done", "next", "worry"] as const).flatMap((part): Run[] => {
      const text = said.words(part);
      return text
        ? [{ quiet: ` ${part.charAt(0).toUpperCase() + part.slice(1)}: ` }, asSentence(text)]
        : [];
    });
    const others = words.rows.filter(
      (one) => one.day("week begins") === begins && one.value("person") !== said.value("person"),
    );
    const names = [...new Set(others.map((one) => one.words("person") ?? "Somebody"))];
    const blocks: Block[] = [
      paragraph(
        `${said.words("person") ?? "Somebody"}, week of ${shortDay(begins, today)}: `,
        figure("health", row.words("health") ?? "–", WORDS),
        ".",
        ...told,
      ),
      paragraph(
        ...earlier(words, begins),
        ...(row.number("weeks silent") === null ? [] : owed(silent, today)),
        ...(names.length
          ? [" ", ...listed(names.map((name) => [name])), " also handed in a word for this week."]
          : []),
      ),
    ];
    return blocks;
  },
};
