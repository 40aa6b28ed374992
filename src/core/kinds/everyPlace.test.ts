import type { z } from "zod";
import type { ReportKind } from "./registry";
import { ReportSchema } from "./schemas";
import { visitReport } from "./visit";

const FILTER = 77;

type Shape = Readonly<Record<string, z.ZodType>>;
/** What a schema is made of, by its kind; only what definitions use. */
interface Def {
  readonly type: string;
  readonly shape?: Shape;
  readonly element?: z.ZodType;
  readonly innerType?: z.ZodType;
  readonly options?: readonly z.ZodType[];
  readonly items?: readonly z.ZodType[];
  readonly values?: readonly unknown[];
  readonly entries?: Readonly<Record<string, unknown>>;
  readonly getter?: () => z.ZodType;
  readonly in?: z.ZodType;
}
const defOf = (schema: z.ZodType): Def => (schema as unknown as { def: Def }).def;

/** Texts that one or the other place takes: a name, a day, a clock. */
const TEXTS = ["status", "2026-03-01", "08:00"];

/** The least that a schema takes. */
function least(schema: z.ZodType, depth = 0): unknown {
  const def = defOf(schema);
  switch (def.type) {
    case "object":
      return Object.fromEntries(
        Object.entries(def.shape!)
          .filter(([, inner]) => defOf(inner).type !== "optional")
          .map(([key, inner]) => [key, least(inner, depth + 1)]),
      );
    case "array":
      return [
        [],
        [least(def.element!, depth + 1)],
        [0, 1].map(() => least(def.element!, depth + 1)),
      ].find((value) => schema.safeParse(value).success);
    case "tuple":
      return def.items!.map((item) => least(item, depth + 1));
    case "union":
      return depth > 12 ? undefined : least(def.options![0], depth + 1);
    case "literal":
      return def.values![0];
    case "enum":
      return Object.values(def.entries!)[0];
    case "string":
      return TEXTS.find((text) => schema.safeParse(text).success);
    case "number":
      return 1;
    case "boolean":
      return true;
    case "lazy":
      return least(def.getter!(), depth + 1);
    case "pipe":
      return least(def.in!, depth + 1);
    case "optional":
    case "nullable":
    case "default":
    case "readonly":
      return least(def.innerType!, depth + 1);
    default:
      return undefined;
  }
}

/** Every way to put the filter into what a schema takes, once each, with the path to it. Conditions nest twice. */
function* withFilter(schema: z.ZodType, path = "", nested = 0): Generator<[unknown, string]> {
  const def = defOf(schema);
  switch (def.type) {
    case "object":
      for (const [key, inner] of Object.entries(def.shape!)) {
        const at = `${path}.${key}`;
        const isPlace = key === "filter" && least(inner) === 1;
        for (const [value, place] of isPlace
          ? [[FILTER, at] as const]
          : withFilter(inner, at, nested))
          yield [{ ...(least(schema) as object), [key]: value }, place];
      }
      return;
    case "array":
      for (const [value, place] of withFilter(def.element!, `${path}[]`, nested)) {
        const one = [value];
        yield [schema.safeParse(one).success ? one : [value, least(def.element!)], place];
      }
      return;
    case "union":
      for (const option of def.options!) yield* withFilter(option, path, nested);
      return;
    case "lazy":
      if (nested < 2) yield* withFilter(def.getter!(), path, nested + 1);
      return;
    case "pipe":
      yield* withFilter(def.in!, path, nested);
      return;
    case "optional":
    case "nullable":
    case "default":
    case "readonly":
      yield* withFilter(def.innerType!, path, nested);
  }
}

const kinds = defOf(ReportSchema).options!.map(
  (schema) => [least(defOf(schema).shape!.kind) as ReportKind, schema] as const,
);

describe.each(kinds)("a saved filter in a report of the kind %s", (_kind, schema) => {
  const reports = [...withFilter(schema)].flatMap(([value, place]) => {
    const read = ReportSchema.safeParse(value);
    return read.success ? [{ report: read.data, place }] : [];
  });

  test.each(reports)("is found at $place", ({ report }) => {
    const found: number[] = [];
    visitReport(report, { filter: (id) => found.push(id) });
    expect(found).toEqual([FILTER]);
  });
});

test("the places are those that the schema allows", () => {
  const places = new Set(
    kinds.flatMap(([kind, schema]) =>
      [...withFilter(schema)]
        .filter(([value]) => ReportSchema.safeParse(value).success)
        .map(([, place]) => kind + place),
    ),
  );
  for (const place of [
    "count.subject.filter",
    "count.where.filter",
    "count.where.of[].filter",
    "count.measures[].where.filter",
    "count.by[].cases[].where.filter",
    "count.split.cases[].where.filter",
    "level.split.cases[].where.filter",
    "list.by.cases[].where.filter",
  ])
    expect(places).toContain(place);
});
