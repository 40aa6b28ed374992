import fc from "fast-check";
import { isDate, typeOf, type AskContext, type Field } from "@/core/catalog";
import { shapeInput, type CountReport, type Group, type ListReport, type Measure, type Report } from "@/core/definition";
import { OPERATOR_IDS, operators, type Condition, type Test, type Value } from "@/core/filter";
import { MEASURE_IDS, measures } from "@/core/measure";
import { SHAPE_IDS, shapes, whyNot } from "@/core/shapes";
import { BUCKET_GRAINS, GRAINS, hasTooManyBuckets, resolvePeriod, type BucketGrain, type Period } from "@/core/time";

/** Reports of every part, made from the registries: a new operator, measure, shape or field type is tested unasked. */
const text = fc.oneof(fc.string({ minLength: 1, maxLength: 12 }), fc.constantFrom("open", "me", "a b", 'say "hi"', "back\\slash", "it's", "x's", "🚢", "where", "5", "عربي", "(", "a,b;c:d"));
const number = fc.oneof(fc.integer({ min: -5, max: 500 }).map(String), fc.constantFrom("0.5", "13.25"));

export const arbitraryPeriod: fc.Arbitrary<Period> = fc.oneof(
  fc.constantFrom<Period>({ kind: "day", which: "today" }, { kind: "day", which: "yesterday" }, { kind: "unit", which: "this", unit: "month", soFar: true }, { kind: "named", name: "2026-W14" }, { kind: "named", name: "FY26-Q2" }, { kind: "named", name: "2026-10-31" }, { kind: "span", from: "2026-04-03", to: "2026-05-01" }),
  fc.record({ which: fc.constantFrom("last", "this", "next"), unit: fc.constantFrom("week", "month", "quarter", "year", "fiscal quarter", "fiscal year") }).map((p) => ({ kind: "unit", ...p }) as Period),
  fc.record({ way: fc.constantFrom("last", "next"), count: fc.integer({ min: 1, max: 40 }), unit: fc.constantFrom("day", "week", "month", "quarter", "year", "business day") }).map((p) => ({ kind: "rolling", ...p }) as Period),
  fc.record({ way: fc.constantFrom("last", "next"), count: fc.integer({ min: 1, max: 40 }), unit: fc.constantFrom("day", "week", "month") }).map((p) => ({ kind: "rolling", ...p, full: true }) as Period),
);

export function arbitraryValue(field: Field, context: AskContext): fc.Arbitrary<Value> {
  if (field.thing) {
    const things = context.catalog.names.list(field.thing).map((thing): Value => ({ kind: "thing", thing: field.thing!, id: thing.id }));
    const words: Value[] = field.thing === "person" ? [{ kind: "viewer", word: "me" }] : field.thing === "team" ? [{ kind: "viewer", word: "my team" }, { kind: "viewer", word: "my teams" }] : field.thing === "status" ? [{ kind: "stage", stage: "open" }, { kind: "stage", stage: "finished" }] : field.thing === "sprint" ? [{ kind: "current" }] : field.thing === "project" ? [{ kind: "viewer", word: "my projects" }] : [];
    return fc.constantFrom(...things, ...words);
  }
  if (isDate(field)) return arbitraryPeriod.map((period) => ({ kind: "period", period }));
  if (field.id === "stage") return fc.constantFrom<Value>({ kind: "stage", stage: "open" }, { kind: "stage", stage: "under way" }, { kind: "stage", stage: "finished" });
  const { kept } = typeOf(field);
  if (kept === "number") return fc.record({ number, unit: fc.constantFrom("minutes", "hours", "days") }).map(({ number: n, unit }) => ({ kind: "number", number: n, ...(field.type === "duration" ? { unit } : {}) }) as Value);
  if (kept === "flag") return fc.boolean().map((yes) => ({ kind: "flag", yes }));
  return field.choices ? fc.constantFrom(...field.choices).map((choice) => ({ kind: "text", text: choice })) : text.map((one) => ({ kind: "text", text: one }));
}

function arbitraryTest(context: AskContext, fields: readonly Field[]): fc.Arbitrary<Test> {
  return fc.constantFrom(...fields).chain((field) =>
    fc.constantFrom(...OPERATOR_IDS.filter((id) => operators[id].fits(field))).chain((operator) => {
      const { takes } = operators[operator];
      const value = takes === "text" ? text.map((one): Value => ({ kind: "text", text: one })) : takes === "period" || takes === "day" || takes === "days" ? arbitraryPeriod.map((period): Value => ({ kind: "period", period })) : arbitraryValue(field, context);
      const count = { nothing: [0, 0], values: [1, 3], days: [2, 2], numbers: [2, 2] }[takes as string] ?? [1, 1];
      return fc.array(value, { minLength: count[0], maxLength: count[1] }).map((values): Test => {
        const unit = values[1]?.kind === "number" ? values[1].unit : undefined;
        const same = takes === "numbers" ? values.map((v) => (v.kind === "number" && unit ? { ...v, unit } : v)) : values;
        return { kind: "test", field: [field.id], operator, values: same };
      });
    }),
  );
}

export function arbitraryCondition(context: AskContext, fields: readonly Field[], depth = 2): fc.Arbitrary<Condition> {
  const test = arbitraryTest(context, fields);
  if (depth === 0) return test;
  const inner = arbitraryCondition(context, fields, depth - 1);
  const joined = (kind: "all" | "any") => fc.array(inner, { minLength: 2, maxLength: 3 }).map((of): Condition => ({ kind, of: of.flatMap((part) => (part.kind === kind ? [...part.of] : [part])) }));
  return fc.oneof({ weight: 3, arbitrary: test }, { weight: 1, arbitrary: joined("all") }, { weight: 1, arbitrary: joined("any") }, { weight: 1, arbitrary: inner.map((of): Condition => ({ kind: "not", of })) });
}

function arbitraryMeasure(fields: readonly Field[]): fc.Arbitrary<Measure> {
  return fc.constantFrom(...MEASURE_IDS).chain((measure): fc.Arbitrary<Measure> => {
    const fitting = fields.filter(measures[measure].fits);
    if (!measures[measure].needsField || fitting.length === 0) return fc.constant({ measure: "count" });
    return fc.constantFrom(...fitting).map((field) => ({ measure, field: [field.id], ...(field.type === "duration" ? { unit: "hours" as const } : {}) }));
  });
}

function arbitraryGroup(context: AskContext, fields: readonly Field[]): fc.Arbitrary<Group> {
  return fc.constantFrom(...fields.filter((field) => field.id !== "description")).chain((field): fc.Arbitrary<Group> => {
    if (isDate(field)) return fc.constantFrom(...GRAINS).map((grain) => ({ field: [field.id], grain }));
    const values = fc.uniqueArray(arbitraryValue(field, context), { minLength: 1, maxLength: 4, selector: (value) => JSON.stringify(value).toLowerCase() });
    return fc.record({ values, fold: fc.boolean(), without: fc.boolean(), top: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }), name: text }).map((g) => ({
      field: [field.id],
      ...(g.fold && g.values.length > 1 ? { folds: [{ name: g.name, values: g.values }] } : {}),
      ...(g.top ? { top: { count: g.top } } : {}),
      ...(g.without && g.values.length ? { without: [g.values[0]] } : {}),
    }));
  });
}

/** Fields that some value can be named for. */
export const namedFields = (context: AskContext): readonly Field[] => context.catalog.fieldsOf("items").filter((field) => !field.thing || context.catalog.names.list(field.thing).length > 0);

export function arbitraryReport(context: AskContext): fc.Arbitrary<Report> {
  const fields = namedFields(context);
  const condition = fc.option(arbitraryCondition(context, fields), { nil: undefined });
  const withShape = (report: Report, pick: number): Report => {
    const fitting = SHAPE_IDS.filter((id) => whyNot(shapes[id], shapeInput(report, context.catalog)) === null);
    return pick % 2 && fitting.length ? ({ ...report, shape: fitting[pick % fitting.length] } as Report) : report;
  };
  const count = fc.record({ measures: fc.array(arbitraryMeasure(fields), { minLength: 1, maxLength: 2 }), where: condition, by: fc.array(arbitraryGroup(context, fields), { maxLength: 2 }), kind: fc.option(fc.constantFrom(1, 2, 3), { nil: undefined }), pick: fc.nat(99), period: arbitraryPeriod, split: fc.option(arbitraryGroup(context, fields), { nil: undefined }) }).map(({ where, kind, pick, period, split, ...rest }) => {
    const report: CountReport = { kind: "count", subject: { id: "items", ...(kind ? { kind } : {}) }, ...rest, ...(where ? { where: where as CountReport["where"] } : {}), ...(split && rest.by.length ? { split } : {}) };
    const dated = [...report.by, ...(report.split ? [report.split] : [])].filter((group) => (BUCKET_GRAINS as readonly string[]).includes(group.grain ?? ""));
    const fits = dated.length === 1 && !hasTooManyBuckets(resolvePeriod(period, context.now, context.calendar), dated[0].grain as BucketGrain);
    return withShape(fits && pick % 3 ? { ...report, period } : report, pick);
  });
  const paths = fc.uniqueArray(fc.constantFrom(...fields).map((field) => [field.id]), { maxLength: 4, selector: (path) => path[0] });
  const list = fc.record({ where: condition, showing: paths, sorts: paths, pick: fc.nat(99) }).map(({ where, showing, sorts, pick }) => withShape({ kind: "list", subject: { id: "items" }, showing, sorts: sorts.map((field, i) => ({ field, ...(i % 2 ? { descending: true as const } : {}) })), ...(where ? { where: where as ListReport["where"] } : {}) }, pick));
  return fc.oneof({ weight: 3, arbitrary: count }, { weight: 1, arbitrary: list });
}
