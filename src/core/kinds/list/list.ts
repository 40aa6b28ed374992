import type { AskContext } from "../../catalog";
import type { Sort } from "../../definition";
import { allOfParts, type Condition } from "../../filter";
import {
  fieldText,
  groupText,
  parseDateOf,
  parseGroup,
  parseListed,
  parsePath,
  parsePeriodHere,
  parseSubject,
  said,
  shapeClause,
  stoodClause,
  subjectPiece,
  whereClause,
  type Clause,
  type Cursor,
} from "../../sentence";
import { periodText } from "../../time";
import { defineKind, pastShapeInput } from "../defineKind";
import { basePlaces, groupPlace, withoutAt } from "../places";
import { type ListReport } from "./definition";

type ListClause = Clause<ListReport>;

const groupedByClause: ListClause = {
  name: "grouped by",
  words: ["grouped by"],
  read: (cursor, context, report) => {
    report.by = parseGroup(cursor, context, report.subject.id);
  },
  print: ({ by, subject }, catalog) =>
    by ? said("grouped by", groupText(by, catalog, subject.id), "groupedBy") : [],
};

const parseFieldIds = (cursor: Cursor, context: AskContext, { subject }: ListReport): string[] =>
  parsePath(cursor, context.catalog, subject.id).map((field) => field.id);

const showingClause: ListClause = {
  name: "showing",
  words: ["showing"],
  read: (cursor, context, report) => {
    report.showing = parseListed(cursor, () => parseFieldIds(cursor, context, report));
  },
  print: ({ showing, subject }, catalog) =>
    showing.length
      ? said(
          "showing",
          showing.map((ids) => fieldText(catalog, subject.id, ids)).join(", "),
          "showing",
        )
      : [],
};

function parseSort(cursor: Cursor, context: AskContext, report: ListReport): Sort {
  const field = parseFieldIds(cursor, context, report);
  return cursor.phrase("descending", "keyword") ? { field, descending: true } : { field };
}

const sortedByClause: ListClause = {
  name: "sorted by",
  words: ["sorted by"],
  read: (cursor, context, report) => {
    report.sorts = parseListed(cursor, () => parseSort(cursor, context, report));
  },
  print: ({ sorts, subject }, catalog) => {
    const words = ({ field, descending }: Sort) =>
      fieldText(catalog, subject.id, field) + (descending ? " descending" : "");
    return sorts.length ? said("sorted by", sorts.map(words).join(", "), "sorts") : [];
  },
};

/** Other words for an order by creation; they are printed as `sorted by`. */
const byAge = (words: string, sort: Sort): ListClause => ({
  name: "sorted by",
  words: [words],
  isHidden: true,
  read: (_cursor, _context, report) => {
    report.sorts = [sort];
  },
});

/** Another way to say a condition: it is printed as one. */
const forClause: ListClause = {
  name: "for",
  words: ["for"],
  isHidden: true,
  read: (cursor, context, report) => {
    const period = parsePeriodHere(cursor, context);
    if (!cursor.phrase("of", "keyword"))
      cursor.stop({
        code: "sentence.whichDate",
        message: "a list has no date of its own",
        hint: `say which date: for ${periodText(period)} of created`,
      });
    const field = parseDateOf(cursor, context, report.subject.id);
    const during: Condition = {
      kind: "test",
      field,
      operator: "during",
      values: [{ kind: "period", period }],
    };
    report.where = report.where ? allOfParts([report.where, during]) : during;
  },
};

export const list = defineKind<ListReport>({
  words: "list",
  tells: "the records themselves",
  isPast: false,
  isRecords: true,
  opens: ["list"],
  begin: (cursor, context) => ({
    kind: "list",
    subject: parseSubject(cursor, context),
    showing: [],
    sorts: [],
  }),
  opening: ({ subject }, catalog) => [{ text: "list" }, subjectPiece(subject, catalog)],
  clauses: () => [
    whereClause,
    forClause,
    groupedByClause,
    showingClause,
    sortedByClause,
    byAge("newest first", { field: ["created"], descending: true }),
    byAge("oldest first", { field: ["created"] }),
    stoodClause,
    shapeClause,
  ],
  needed: () => [],
  conflicts: ({ shape, subject }) =>
    shape === "timeline" && subject.id !== "projects"
      ? [
          {
            clause: "as",
            problem: {
              code: "sentence.timeline",
              message: "a timeline is drawn of projects and their parts: list projects as timeline",
            },
          },
        ]
      : [],
  places: (report) => [
    ...basePlaces(report),
    ...groupPlace(report, "by", "grouped by"),
    ...report.showing.map((field, i) => ({
      kind: "field" as const,
      path: "showing",
      clause: "showing",
      field,
      without: { ...report, showing: withoutAt(report.showing, i) },
    })),
    ...report.sorts.map(({ field }, i) => ({
      kind: "field" as const,
      path: "sorted by",
      clause: "sorted by",
      field,
      without: { ...report, sorts: withoutAt(report.sorts, i) },
    })),
  ],
  shapeInput: ({ by }) => pastShapeInput("list", { hasDays: by?.grain === "day" }),
  axis: () => null,
});
