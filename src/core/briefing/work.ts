import { numberText } from "../base";
import { figure, paragraph, type BriefingPart } from "./part";
import type { Run } from "./text";
import type { Told } from "./told";
import { counted, listed } from "./words";

/** Parts of briefings on work: of a sprint, a release, a team, or what a saved filter finds. */

/** The items that a part is of: their subject, and the condition that a sentence says of them. */
export interface Work {
  readonly subject: string;
  readonly where?: string;
}

/** "items where sprint is this sprint and status is open". */
export function workText({ subject, where }: Work, ...more: readonly string[]): string {
  const tests = [...(where ? [where] : []), ...more];
  return tests.length ? `${subject} where ${tests.join(" and ")}` : subject;
}

const drawing =
  (id: string, title: string, says: (of: Work) => string) =>
  (of: Work): BriefingPart => ({
    id,
    title: () => title,
    asks: () => ({}),
    write: () => [{ kind: "drawing", title, says: says(of) }],
  });

/** How the level went over eight weeks. */
export const levelDrawn = drawing(
  "level",
  "How many were open",
  (of) => `level of ${workText(of, "status is open")} at week ends for last 8 weeks as line`,
);

/** What came in and what was finished. */
export const flowDrawn = drawing(
  "flow",
  "What came and went",
  (of) => `arrivals and departures of ${workText(of)} by week for last 8 weeks as columns`,
);

/** Of a sprint: how its work burns down. @param name of the sprint, as sentences write it */
export const burndownDrawn = (name: string): BriefingPart => ({
  id: "burndown",
  title: () => "Burndown",
  asks: () => ({}),
  write: () => [
    { kind: "drawing", title: "What is left", says: `burndown of sprint ${name} as planks` },
  ],
});

const grouped = (told: Told): Run[] =>
  listed(
    [...told.groups]
      .sort((a, b) => b.value.comparedTo(a.value))
      .map(({ name, value }): Run[] => [
        figure(`group ${name ?? ""}`, numberText(value), told.says),
        ` ${name ?? "not set"}`,
      ]),
  );

/** What is in it, and how much of that is finished. */
export function scope(of: Work): BriefingPart {
  const all = `count ${workText(of)}`;
  const finished = `count ${workText(of, "status is finished")}`;
  return {
    id: "scope",
    title: () => "Scope",
    always: "Nothing is in it.",
    asks: () => ({ all, finished }),
    write({ all: every, finished: done }) {
      if (every.records === 0) return [];
      const share = Math.floor((done.records / every.records) * 100);
      return [
        paragraph(
          figure("scope", counted(every.records, "item"), every.says),
          ` ${every.records === 1 ? "is" : "are"} in it; `,
          figure("finished", String(done.records), done.says),
          ` of them ${done.records === 1 ? "is" : "are"} finished (${share} %).`,
        ),
      ];
    },
  };
}

/** The same by status. */
export function byStatus(of: Work): BriefingPart {
  const says = `count ${workText(of, "status is open")} by status`;
  return {
    id: "by status",
    title: () => "Where it stands",
    asks: () => ({ groups: says }),
    write({ groups }) {
      if (groups.records === 0) return [];
      return [
        paragraph(
          "Of ",
          figure("open by status", counted(groups.records, "open item"), says),
          ": ",
          ...grouped(groups),
          ".",
        ),
      ];
    },
  };
}

/** What came and what went in the last four weeks. */
export function lastWeeks(of: Work): BriefingPart {
  const during = (field: string) => `count ${workText(of, `${field} during last 4 weeks`)}`;
  return {
    id: "last weeks",
    title: () => "The last four weeks",
    asks: () => ({ came: during("created"), went: during("finished") }),
    write: ({ came, went }) => [
      paragraph(
        figure("came", counted(came.records, "item"), came.says),
        " came in and ",
        figure("went", String(went.records), went.says),
        ` ${went.records === 1 ? "was" : "were"} finished.`,
      ),
    ],
  };
}

/** How old what is open is. */
export function ages(of: Work): BriefingPart {
  const says = `median age in days of ${workText(of, "status is open")}`;
  return {
    id: "age",
    title: () => "Age",
    asks: () => ({ middle: says }),
    write: ({ middle }) =>
      middle.total
        ? [
            paragraph(
              "Half of what is open is older than ",
              figure("median age", counted(middle.total.toDecimalPlaces(0), "day"), middle.says),
              ".",
            ),
          ]
        : [],
  };
}

/** The oldest of what is open. */
export function oldest(of: Work): BriefingPart {
  const says = `list ${workText(of, "status is open")} showing key, title, status, assignee, created sorted by created`;
  return {
    id: "oldest",
    title: () => "The oldest",
    asks: () => ({ items: says }),
    write: ({ items }) =>
      items.rows.length
        ? [
            {
              kind: "table",
              title: "The oldest that are open",
              says,
              columns: ["key", "title", "status", "assignee", "created"].map((words) => ({
                words,
                align: "left",
              })),
              rows: items.rows
                .slice(0, 8)
                .map((row) =>
                  ["key", "title", "status", "assignee", "created"].map(
                    (column) => row.words(column) ?? "",
                  ),
                ),
              more: Math.max(0, items.records - 8),
            },
          ]
        : [],
  };
}

/** How much of the days of its people was worked. @param where of person days */
export function utilisation(where: string): BriefingPart {
  const says = `measure "utilisation" of person days where ${where} and date during last 4 weeks by person`;
  return {
    id: "utilisation",
    title: () => "Utilisation",
    asks: () => ({ people: says }),
    write({ people }) {
      if (!people.total) return [];
      return [
        paragraph(
          figure("utilisation", `${numberText(people.total.times(100), 0)} %`, says),
          " of the working time of the last four weeks was worked: ",
          ...listed(
            people.groups.map(({ name, value }): Run[] => [
              `${name ?? "nobody by name"} `,
              figure(`utilisation ${name ?? ""}`, `${numberText(value.times(100), 0)} %`, says),
            ]),
          ),
          ".",
        ),
      ];
    },
  };
}
