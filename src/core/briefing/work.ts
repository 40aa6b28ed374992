import { numberText } from "../base";
import { figure, paragraph, type BriefingPart } from "./part";
import type { Run } from "./text";
import type { Told } from "./told";
import { counted, listed } from "./words";

/** Parts of briefings on work: of a sprint, a release, a team, or what a saved filter finds. */

const drawing =
  (id: string, title: string, says: (where: string) => string) =>
  (where: string): BriefingPart => ({
    id,
    title: () => title,
    asks: () => ({}),
    write: () => [{ kind: "drawing", title, says: says(where) }],
  });

/** How the level went over eight weeks. */
export const levelDrawn = drawing(
  "level",
  "How many were open",
  (where) => `level of items ${where} and status is open by week for last 8 weeks`,
);

/** What came in and what was finished. */
export const flowDrawn = drawing(
  "flow",
  "What came and went",
  (where) => `arrivals and departures of items ${where} by week for last 8 weeks`,
);

/** Of a sprint: how its work burns down. @param name of the sprint, as sentences write it */
export const burndownDrawn = (name: string): BriefingPart => ({
  id: "burndown",
  title: () => "Burndown",
  asks: () => ({}),
  write: () => [{ kind: "drawing", title: "What is left", says: `burndown of sprint ${name}` }],
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
export function scope(where: string): BriefingPart {
  const all = `count items ${where}`;
  return {
    id: "scope",
    title: () => "Scope",
    always: "Nothing is in it.",
    asks: () => ({ all, finished: `${all} and status is finished` }),
    write({ all: every, finished }) {
      if (every.records === 0) return [];
      const share = Math.floor((finished.records / every.records) * 100);
      return [
        paragraph(
          figure("scope", counted(every.records, "item"), every.says),
          ` ${every.records === 1 ? "is" : "are"} in it; `,
          figure("finished", String(finished.records), finished.says),
          ` of them ${finished.records === 1 ? "is" : "are"} finished (${share} %).`,
        ),
      ];
    },
  };
}

/** The same by status. */
export function byStatus(where: string): BriefingPart {
  const says = `count items ${where} and status is open by status`;
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
export function lastWeeks(where: string): BriefingPart {
  const of = (field: string) => `count items ${where} and ${field} during last 4 weeks`;
  return {
    id: "last weeks",
    title: () => "The last four weeks",
    asks: () => ({ came: of("created"), went: of("finished") }),
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
export function ages(where: string): BriefingPart {
  const open = `${where} and status is open`;
  return {
    id: "age",
    title: () => "Age",
    asks: () => ({ middle: `median of age in days of items ${open}` }),
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
export function oldest(where: string): BriefingPart {
  const says = `list items ${where} and status is open showing key, title, status, assignee, created sorted by created`;
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

/** How much of its people's days is booked. @param where of person days */
export function utilisation(where: string): BriefingPart {
  const says = `utilisation of person days ${where} for last 4 weeks by person`;
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
