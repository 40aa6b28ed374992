import { invariant } from "../base";

/** A value on its way into a query; lists go in as one array parameter. */
export type Parameter = string | number | boolean | null | readonly (string | number | null)[];

/** A piece of SQL: texts with holes, each filled by another piece or by a parameter. Values never become text. */
export class Fragment {
  constructor(
    readonly texts: readonly string[],
    readonly holes: readonly (Fragment | Bound)[],
  ) {}
}

/** A value with the type it is cast to. */
export class Bound {
  constructor(
    readonly value: Parameter,
    readonly type: SqlType,
  ) {}
}

export type SqlType =
  | "int"
  | "int[]"
  | "bigint"
  | "numeric"
  | "numeric[]"
  | "text"
  | "text[]"
  | "boolean"
  | "timestamptz"
  | "timestamptz[]"
  | "date"
  | "date[]"
  | "jsonb"
  | "bigint[]";

/** Builds a fragment; interpolated fragments are joined in, bound values become parameters. */
export const sql = (texts: TemplateStringsArray, ...holes: (Fragment | Bound)[]): Fragment =>
  new Fragment(texts, holes);
export const bind = (value: Parameter, type: SqlType): Bound => new Bound(value, type);
export const EMPTY = new Fragment([""], []);

/** A table, alias or column name. Only names written in the code get here; anything else is our bug. */
export function identifier(name: string): Fragment {
  invariant(/^[a-z_][a-z0-9_.]*$/.test(name), `not an identifier: ${name}`);
  return new Fragment([name], []);
}

export function joined(parts: readonly Fragment[], between: string): Fragment {
  if (parts.length === 0) return EMPTY;
  return new Fragment(["", ...Array<string>(parts.length - 1).fill(between), ""], parts);
}

export const allOf = (tests: readonly Fragment[]): Fragment =>
  tests.length ? joined(tests, " AND ") : sql`TRUE`;

/** A statement as the driver takes it: $1, $2 … and their values. */
export interface Statement {
  readonly text: string;
  readonly values: readonly Parameter[];
}

/** Numbers the parameters; equal values of one type share one. */
export function compile(fragment: Fragment): Statement {
  const values: Parameter[] = [];
  const seen = new Map<string, number>();
  const text: string[] = [];
  const write = (piece: Fragment): void => {
    piece.texts.forEach((words, index) => {
      text.push(words);
      const hole = piece.holes[index];
      if (hole instanceof Fragment) write(hole);
      else if (hole) {
        const key = hole.type + JSON.stringify(hole.value);
        let place = seen.get(key);
        if (!place) seen.set(key, (place = values.push(hole.value)));
        text.push(`$${place}::${hole.type}`);
      }
    });
  };
  write(fragment);
  return { text: text.join(""), values };
}
