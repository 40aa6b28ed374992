import fc from "fast-check";
import { isDate, typeOf, type AskContext, type Field } from "@/core/catalog";
import {
  OPERATOR_IDS,
  operators,
  type Condition,
  type Leaf,
  type Test,
  type Value,
} from "@/core/filter";

import { type Period } from "@/core/time";

/** Conditions of every part, made from the registries: a new operator or field type is tested unasked. */
export const text = fc.oneof(
  fc.string({ minLength: 1, maxLength: 12 }),
  fc.constantFrom(
    "open",
    "me",
    "a b",
    'say "hi"',
    "back\\slash",
    "it's",
    "x's",
    "🚢",
    "where",
    "5",
    "عربي",
    "(",
    "a,b;c:d",
  ),
);
const number = fc.oneof(
  fc.integer({ min: -5, max: 500 }).map(String),
  fc.constantFrom("0.5", "13.25"),
);

export const arbitraryPeriod: fc.Arbitrary<Period> = fc.oneof(
  fc.constantFrom<Period>(
    { kind: "day", which: "today" },
    { kind: "day", which: "yesterday" },
    { kind: "unit", which: "this", unit: "month", soFar: true },
    { kind: "named", name: "2026-W14" },
    { kind: "named", name: "FY26-Q2" },
    { kind: "named", name: "2026-10-31" },
    { kind: "span", from: "2026-04-03", to: "2026-05-01" },
    { kind: "span", from: "2026-Q2", to: "2026-09" },
    { kind: "hours", count: 96 },
    { kind: "rolling", way: "last", count: 4, unit: "month", toDate: true },
  ),
  fc
    .record({
      which: fc.constantFrom("last", "this", "next"),
      unit: fc.constantFrom("week", "month", "quarter", "year", "fiscal quarter", "fiscal year"),
    })
    .map((p) => ({ kind: "unit", ...p }) as Period),
  fc
    .record({
      way: fc.constantFrom("last", "next"),
      count: fc.integer({ min: 1, max: 40 }),
      unit: fc.constantFrom("day", "week", "month", "quarter", "year", "business day"),
    })
    .map((p) => ({ kind: "rolling", ...p }) as Period),
  fc
    .record({
      way: fc.constantFrom("last", "next"),
      count: fc.integer({ min: 1, max: 40 }),
      unit: fc.constantFrom("day", "week", "month"),
    })
    .map((p) => ({ kind: "rolling", ...p, full: true }) as Period),
);

export function arbitraryValue(field: Field, context: AskContext): fc.Arbitrary<Value> {
  if (field.thing) {
    const things = context.catalog.names
      .list(field.thing)
      .map((thing): Value => ({ kind: "thing", thing: field.thing!, id: thing.id }));
    const words: Value[] =
      field.thing === "person"
        ? [{ kind: "viewer", word: "me" }]
        : field.thing === "team"
          ? [
              { kind: "viewer", word: "my team" },
              { kind: "viewer", word: "my teams" },
            ]
          : field.thing === "status"
            ? [
                { kind: "stage", stage: "open" },
                { kind: "stage", stage: "finished" },
              ]
            : field.thing === "sprint"
              ? [{ kind: "current" }]
              : field.thing === "project"
                ? [{ kind: "viewer", word: "my projects" }]
                : [];
    return fc.constantFrom(...things, ...words);
  }
  if (isDate(field)) return arbitraryPeriod.map((period) => ({ kind: "period", period }));
  if (field.id === "stage")
    return fc.constantFrom<Value>(
      { kind: "stage", stage: "open" },
      { kind: "stage", stage: "under way" },
      { kind: "stage", stage: "finished" },
    );
  const { kept } = typeOf(field);
  if (kept === "number")
    return fc
      .record({ number, unit: fc.constantFrom("minutes", "hours", "days") })
      .map(
        ({ number: n, unit }) =>
          ({ kind: "number", number: n, ...(field.type === "duration" ? { unit } : {}) }) as Value,
      );
  if (kept === "flag") return fc.boolean().map((yes) => ({ kind: "flag", yes }));
  return field.choices
    ? fc.constantFrom(...field.choices).map((choice) => ({ kind: "text", text: choice }))
    : text.map((one) => ({ kind: "text", text: one }));
}

function arbitraryTest(context: AskContext, fields: readonly Field[]): fc.Arbitrary<Test> {
  return fc.constantFrom(...fields).chain((field) =>
    fc.constantFrom(...OPERATOR_IDS.filter((id) => operators[id].fits(field))).chain((operator) => {
      const { takes } = operators[operator];
      const value =
        takes === "text"
          ? text.map((one): Value => ({ kind: "text", text: one }))
          : takes === "period" || takes === "day" || takes === "days"
            ? arbitraryPeriod.map((period): Value => ({ kind: "period", period }))
            : arbitraryValue(field, context);
      const count = { nothing: [0, 0], values: [1, 3], days: [2, 2], numbers: [2, 2] }[
        takes as string
      ] ?? [1, 1];
      return fc.array(value, { minLength: count[0], maxLength: count[1] }).map((values): Test => {
        const unit = values[1]?.kind === "number" ? values[1].unit : undefined;
        const same =
          takes === "numbers"
            ? values.map((v) => (v.kind === "number" && unit ? { ...v, unit } : v))
            : values;
        return { kind: "test", field: [field.id], operator, values: same };
      });
    }),
  );
}

/** A test of a tracked field as it was on some day. */
const arbitraryAsOf = (context: AskContext, fields: readonly Field[]): fc.Arbitrary<Test> =>
  fc
    .tuple(
      arbitraryTest(
        context,
        fields.filter((field) => field.tracked),
      ),
      arbitraryPeriod,
    )
    .map(([test, asOf]) => ({ ...test, asOf }));

/** A field that became a value, from another perhaps, in some period perhaps. */
const arbitraryBecame = (context: AskContext, fields: readonly Field[]): fc.Arbitrary<Leaf> =>
  fc.constantFrom(...fields.filter((field) => field.tracked && field.thing)).chain((field) =>
    fc
      .record({
        to: arbitraryValue(field, context),
        from: fc.option(arbitraryValue(field, context), { nil: undefined }),
        during: fc.option(arbitraryPeriod, { nil: undefined }),
      })
      .map(({ to, from, during }): Leaf => ({
        kind: "became",
        field: [field.id],
        to,
        ...(from ? { from } : {}),
        ...(during ? { during } : {}),
      })),
  );

const arbitraryLink = (context: AskContext): fc.Arbitrary<Leaf> =>
  fc
    .record({
      link: fc.constantFrom(...context.catalog.links),
      toIt: fc.boolean(),
      no: fc.boolean(),
    })
    .map(({ link, toIt, no }): Leaf => ({
      kind: "link",
      link,
      ...(toIt ? { toIt: true as const } : {}),
      ...(no ? { no: true as const } : {}),
    }));

/** Every kind of leaf: tests now and as of a day, changes, links, saved filters. */
function arbitraryLeaf(context: AskContext, fields: readonly Field[]): fc.Arbitrary<Leaf> {
  const hasHistory = fields.some((field) => field.tracked && field.thing);
  return fc.oneof(
    { weight: 6, arbitrary: arbitraryTest(context, fields) as fc.Arbitrary<Leaf> },
    ...(hasHistory
      ? [
          { weight: 2, arbitrary: arbitraryAsOf(context, fields) as fc.Arbitrary<Leaf> },
          { weight: 2, arbitrary: arbitraryBecame(context, fields) },
        ]
      : []),
    { weight: 1, arbitrary: arbitraryLink(context) },
    ...(context.catalog.filters.length
      ? [
          {
            weight: 1,
            arbitrary: fc
              .constantFrom(
                ...context.catalog.filters.filter((filter) => filter.subject.id === "items"),
              )
              .map((filter): Leaf => ({ kind: "filter", filter: filter.id })),
          },
        ]
      : []),
  );
}

export function arbitraryCondition(
  context: AskContext,
  fields: readonly Field[],
  depth = 2,
): fc.Arbitrary<Condition> {
  const test: fc.Arbitrary<Condition> = arbitraryLeaf(context, fields);
  if (depth === 0) return test;
  const inner = arbitraryCondition(context, fields, depth - 1);
  const joined = (kind: "all" | "any") =>
    fc.array(inner, { minLength: 2, maxLength: 3 }).map((of): Condition => ({
      kind,
      of: of.flatMap((part) => (part.kind === kind ? [...part.of] : [part])),
    }));
  return fc.oneof(
    { weight: 3, arbitrary: test },
    { weight: 1, arbitrary: joined("all") },
    { weight: 1, arbitrary: joined("any") },
    { weight: 1, arbitrary: inner.map((of): Condition => ({ kind: "not", of })) },
  );
}

/** Fields that some value can be named for. */
export const namedFields = (context: AskContext): readonly Field[] =>
  context.catalog
    .fieldsOf("items")
    .filter((field) => !field.thing || context.catalog.names.list(field.thing).length > 0);
