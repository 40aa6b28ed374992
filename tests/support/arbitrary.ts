import {
  shapeInput,
  BESIDES,
  type CountReport,
  type ListReport,
  type Report,
  checkReport,
  conflictsIn,
} from "@/core/kinds";
import fc from "fast-check";
import { isDate, typeOf, type AskContext, type Field } from "@/core/catalog";
import {
  WORK_UNITS,
  type Group,
  type Measure,
  type PlainMeasure,
  type SimpleMeasure,
} from "@/core/definition";
import { MEASURE_IDS, measures } from "@/core/measure";
import { SHAPE_IDS, shapes, whyNot } from "@/core/shapes";

import {
  BUCKET_GRAINS,
  COMPARISONS,
  GRAINS,
  hasTooManyBuckets,
  resolvePeriod,
  type BucketGrain,
} from "@/core/time";

import {
  arbitraryCondition,
  arbitraryPeriod,
  arbitraryValue,
  namedFields,
  text,
} from "./arbitraryConditions";

/** Reports of every part, made from the registries: a new operator, measure, shape or field type is tested unasked. */
function arbitrarySimple(
  context: AskContext,
  fields: readonly Field[],
): fc.Arbitrary<SimpleMeasure> {
  const own = fc.option(arbitraryCondition(context, fields, 0), { nil: undefined, freq: 2 });
  return fc.constantFrom(...MEASURE_IDS).chain((measure): fc.Arbitrary<SimpleMeasure> => {
    const fitting = fields.filter(measures[measure].fits);
    if (!measures[measure].needsField || fitting.length === 0)
      return own.map((where) => ({ measure: "count", ...(where ? { where } : {}) }));
    return fc
      .record({ field: fc.constantFrom(...fitting), working: fc.boolean(), where: own })
      .map(({ field, working, where }): SimpleMeasure => ({
        measure,
        field: [field.id],
        ...(field.type === "duration" && field.timed && working
          ? { unit: "hours" as const, working: true as const }
          : field.type === "duration"
            ? { unit: "hours" as const }
            : {}),
        ...(where ? { where } : {}),
      }));
  });
}

/** Measures of their own conditions and in working time, ratios, and those that have a name. */
function arbitraryMeasure(context: AskContext, fields: readonly Field[]): fc.Arbitrary<Measure> {
  const simple = arbitrarySimple(context, fields);
  return fc.oneof(
    { weight: 6, arbitrary: simple as fc.Arbitrary<Measure> },
    {
      weight: 1,
      arbitrary: fc.tuple(simple, simple).map(([one, per]): PlainMeasure => ({ ...one, per })),
    },
    ...(context.catalog.measures.length
      ? [
          {
            weight: 1,
            arbitrary: fc
              .constantFrom(...context.catalog.measures)
              .map((measure): Measure => ({ named: measure.id })),
          },
        ]
      : []),
  );
}

function arbitraryGroup(context: AskContext, fields: readonly Field[]): fc.Arbitrary<Group> {
  const cases = fc
    .uniqueArray(fc.record({ name: text, where: arbitraryCondition(context, fields, 1) }), {
      minLength: 1,
      maxLength: 3,
      selector: (one) => one.name.toLowerCase(),
    })
    .map((all): Group => ({ field: [], cases: all }));
  const byField = fc
    .constantFrom(...fields.filter((field) => field.id !== "description"))
    .chain((field): fc.Arbitrary<Group> => {
      if (isDate(field))
        return fc.constantFrom(...GRAINS).map((grain) => ({ field: [field.id], grain }));
      if (typeOf(field).kept === "number" && !field.thing)
        return fc
          .uniqueArray(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 5 })
          .map((borders) => ({
            field: [field.id],
            ranges: borders.sort((a, b) => a - b).map(String),
          }));
      const values = fc.uniqueArray(arbitraryValue(field, context), {
        minLength: 1,
        maxLength: 4,
        selector: (value) => JSON.stringify(value).toLowerCase(),
      });
      return fc
        .record({
          values,
          fold: fc.boolean(),
          without: fc.boolean(),
          always: fc.boolean(),
          top: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
          withoutRest: fc.boolean(),
          name: text,
        })
        .map((g) => ({
          field: [field.id],
          ...(g.fold && g.values.length > 1 ? { folds: [{ name: g.name, values: g.values }] } : {}),
          ...(g.top ? { top: { count: g.top } } : {}),
          ...(g.without && g.values.length ? { without: [g.values[0]] } : {}),
          ...(g.top && g.withoutRest ? { withoutRest: true as const } : {}),
          ...(g.always && g.values.length ? { always: g.values } : {}),
        }));
    });
  return fc.oneof({ weight: 8, arbitrary: byField }, { weight: 1, arbitrary: cases });
}

export function arbitraryReport(context: AskContext): fc.Arbitrary<Report> {
  const fields = namedFields(context);
  const condition = fc.option(arbitraryCondition(context, fields), { nil: undefined });
  const withShape = (report: Report, pick: number): Report => {
    const fitting = SHAPE_IDS.filter(
      (id) => whyNot(shapes[id], shapeInput(report, context.catalog)) === null,
    );
    return pick % 2 && fitting.length
      ? ({ ...report, shape: fitting[pick % fitting.length] } as Report)
      : report;
  };
  const count = fc
    .record({
      measures: fc.array(arbitraryMeasure(context, fields), { minLength: 1, maxLength: 2 }),
      where: condition,
      by: fc.array(arbitraryGroup(context, fields), { maxLength: 2 }),
      kind: fc.option(fc.constantFrom(1, 2, 3), { nil: undefined }),
      pick: fc.nat(99),
      period: arbitraryPeriod,
      split: fc.option(arbitraryGroup(context, fields), { nil: undefined }),
    })
    .map(({ where, kind, pick, period, split, ...rest }) => {
      const report: CountReport = {
        kind: "count",
        subject: { id: "items", ...(kind ? { kind } : {}) },
        ...rest,
        ...(where ? { where: where as CountReport["where"] } : {}),
        ...(split && rest.by.length ? { split } : {}),
      };
      const dated = [...report.by, ...(report.split ? [report.split] : [])].filter((group) =>
        (BUCKET_GRAINS as readonly string[]).includes(group.grain ?? ""),
      );
      const fits =
        dated.length === 1 &&
        !hasTooManyBuckets(
          resolvePeriod(period, context.now, context.calendar),
          dated[0].grain as BucketGrain,
        );
      return withShape(fits && pick % 3 ? { ...report, period } : report, pick);
    });
  const paths = fc.uniqueArray(
    fc.constantFrom(...fields).map((field) => [field.id]),
    { maxLength: 4, selector: (path) => path[0] },
  );
  const list = fc
    .record({
      where: condition,
      showing: paths,
      sorts: paths,
      pick: fc.nat(99),
      by: fc.option(arbitraryGroup(context, fields), { nil: undefined, freq: 2 }),
    })
    .map(({ where, showing, sorts, pick, by }) =>
      withShape(
        {
          kind: "list",
          subject: { id: "items" },
          showing,
          sorts: sorts.map((field, i) => ({
            field,
            ...(i % 2 ? { descending: true as const } : {}),
          })),
          ...(where ? { where: where as ListReport["where"] } : {}),
          ...(by ? { by } : {}),
        },
        pick,
      ),
    );
  const compared = fc
    .record({ report: count, compared: fc.constantFrom(...COMPARISONS) })
    .map(({ report, compared: before }) => ({ ...report, compared: before }) as Report);
  return fc
    .oneof(
      { weight: 6, arbitrary: count as fc.Arbitrary<Report> },
      { weight: 1, arbitrary: compared },
      { weight: 2, arbitrary: list as fc.Arbitrary<Report> },
      { weight: 2, arbitrary: arbitraryHistory(context) },
    )
    .filter(
      (report) =>
        checkReport(report, context).length === 0 && conflictsIn(report, context).length === 0,
    );
}

const day = fc
  .integer({ min: 0, max: 700 })
  .map((n) => new Date(Date.UTC(2025, 0, 1 + n)).toISOString().slice(0, 10));

/** Levels, flows, bridges, burndowns and velocities of items. */
export function arbitraryHistory(context: AskContext): fc.Arbitrary<Report> {
  const fields = namedFields(context);
  const where = fc.option(arbitraryCondition(context, fields, 1), { nil: undefined });
  const shared = where.map((condition) => ({
    subject: { id: "items" as const },
    ...(condition ? { where: condition as CountReport["where"] } : {}),
  }));
  const stretch = fc
    .record({ grain: fc.constantFrom(...BUCKET_GRAINS), period: arbitraryPeriod })
    .filter(
      ({ grain, period }) =>
        !hasTooManyBuckets(resolvePeriod(period, context.now, context.calendar), grain),
    );
  const unit = fc.constantFrom(...WORK_UNITS);
  const sprints = context.catalog.names.list("sprint").map((sprint) => sprint.id);
  const teams = context.catalog.names.list("team").map((team) => team.id);
  return fc.oneof(
    fc.tuple(shared, stretch).map(([base, at]): Report => ({ kind: "level", ...base, ...at })),
    fc
      .tuple(
        shared,
        stretch,
        arbitraryGroup(
          context,
          fields.filter((field) => field.tracked && field.thing),
        ),
      )
      .map(([base, at, split]): Report => ({ kind: "level", ...base, ...at, split })),
    fc
      .tuple(
        shared,
        stretch,
        fc.constantFrom("arrivals" as const, "departures" as const, "both" as const),
        fc.boolean(),
        fc.subarray([...BESIDES]),
      )
      .map(([base, at, which, isRunning, said]): Report => {
        const beside = said.filter((one) => one === "level" || which === "both");
        return {
          kind: "crossings",
          which,
          ...base,
          ...at,
          ...(isRunning ? { runningTotal: true } : {}),
          ...(beside.length ? { beside } : {}),
        };
      }),
    fc.tuple(shared, day, day).map(([base, one, other]): Report => ({
      kind: "bridge",
      ...base,
      from: one < other ? one : other,
      to: one < other ? other : one,
    })),
    fc.tuple(fc.constantFrom(...sprints), unit).map(([sprint, work]): Report => ({
      kind: "burndown",
      subject: { id: "items" },
      of: { kind: "sprint", sprint },
      unit: work,
    })),
    fc
      .tuple(fc.constantFrom(...teams), unit, fc.integer({ min: 1, max: 9 }))
      .map(([team, work, last]): Report => ({
        kind: "velocity",
        subject: { id: "items" },
        team,
        unit: work,
        last,
      })),
  );
}
