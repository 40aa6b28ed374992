import { Exact } from "@/core/base";
import { parseInstant } from "@/core/time";
import { importBundle } from "@/data";
import { readBundleFiles } from "@/data/bundleFiles";
import { withConnection, type EntityManager } from "@/data/database";
import { apiAnswer } from "@/server/api/answer";
import { makeToken } from "@/server/accounts/tokens";
import { systemClock } from "@/server/clock";
import { dropDatabase, freshDatabase } from "../support/database";
import covered from "./covered.json";
import { GOLDEN_BUNDLE, goldenCases, goldenSentences, type GoldenCase } from "./load";

interface ApiCell {
  value: string | number | null;
  records: number;
  empties: number;
  percent?: string;
}
interface ApiRow extends ApiCell {
  group: (string | null | { rest: true })[];
  parts?: (ApiCell & { group: string | null | { rest: true } })[];
  running?: string | number;
  bucket?: Record<string, unknown>;
}
interface ApiBody {
  rows: ApiRow[];
  total: ApiCell;
  columns: { name: string }[];
}

let em: EntityManager;
let token: string;

beforeAll(async () => {
  em = await freshDatabase("golden");
  const outcome = await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), {
    now: parseInstant("2026-11-24T16:00:00Z")!,
  });
  expect(outcome.refused).toEqual([]);
  token = (await makeToken(em, "gil"))!;
});
afterAll(dropDatabase);

const name = (group: string | null | { rest: true }) =>
  group !== null && typeof group === "object" ? "(rest)" : group;
const cell = ({ value, records, empties }: ApiCell) => ({ value, records, empties });
const percent = (c: ApiCell) => (c.percent === undefined ? {} : { percent: c.percent });
const keyOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

type Told = Record<string, unknown>;
const bucketOf = ({ from, to, start, end, soFar }: Told) => ({
  from,
  to,
  start,
  end,
  so_far: soFar,
});

/** How each kind of question is answered by the API, in the words of the cases. */
const shapes: Record<string, (c: GoldenCase, body: Told & ApiBody) => Told> = {
  records: (_c, body) => ({
    keys: body.rows.map((row) => (row as unknown as { values: string[] }).values[0]).sort(keyOrder),
  }),
  flow: (_c, body) => ({
    buckets: body.rows.map((row) => ({
      ...bucketOf(row.bucket!),
      ...cell(row),
      ...(row.running === undefined ? {} : { cumulative: row.running }),
      ...(row.parts
        ? {
            parts: row.parts
              .filter((p) => p.records > 0)
              .map((p) => ({ name: name(p.group), ...cell(p) })),
          }
        : {}),
    })),
  }),
  figure: (c, body) => {
    const groups = body.rows.map((row) => ({
      name: name(row.group[0]),
      ...cell(row),
      ...percent(row),
      ...(row.parts
        ? { parts: row.parts.map((p) => ({ name: name(p.group), ...cell(p), ...percent(p) })) }
        : {}),
    }));
    return { total: cell(body.total), ...(c.question.by ? { groups } : {}) };
  },
  level: (_c, body) => ({
    ...(body.names ? { names: (body.names as (string | null)[]).map(name) } : {}),
    buckets: body.rows.map((row) => ({
      ...bucketOf(row.bucket!),
      ...cell(row),
      ...(row.parts ? { parts: row.parts.map((part) => part.value) } : {}),
    })),
  }),
  crossings: (c, body) => ({
    buckets: body.rows.map((given) => {
      const row = given as unknown as Told;
      return {
        ...bucketOf(row.bucket as Told),
        level_start: row.levelStart,
        entered: row.arrived,
        left: row.departed,
        level_end: row.levelEnd,
        ...(c.question.measure?.op === "sum" ? { revalued: row.revalued } : {}),
      };
    }),
  }),
  bridge: (_c, body) => ({
    level_from: body.levelFrom,
    level_to: body.levelTo,
    parts: (
      body.parts as { cause: string; fields?: string[]; amount: unknown; keys: string[] }[]
    ).map(({ cause, fields, amount, keys }) => ({
      cause: fields ? `${cause}: ${fields.join(", ")}` : cause,
      amount,
      keys,
    })),
  }),
  burndown: (_c, body) => {
    const { committed, added, removed, finished, reopened, remaining, notEstimated, samples } =
      body;
    if (committed === null) return { committed };
    return {
      committed,
      added,
      removed,
      finished,
      reopened,
      "re-estimated": body["re-estimated"],
      remaining,
      not_estimated: notEstimated,
      samples,
      steps: (body.steps as Told[]).map(({ at, key, cause, amount }) => ({
        at,
        key,
        cause,
        amount,
      })),
    };
  },
  pace: (c, body) => ({
    committed: body.committed,
    points: (body.pace as Record<string, unknown>)[c.question.mode!],
  }),
  velocity: (_c, body) => ({
    sprints: (body.sprints as Told[]).map(({ sprint, committed, finished, closedAt }) => ({
      sprint,
      committed,
      finished,
      closed_at: closedAt,
    })),
  }),
  promises: (_c, body) => {
    const count = (words: string | null) =>
      body.rows.find((row) => name(row.group[0]) === words)?.value ?? 0;
    const [met, missed] = [Number(count("met")), Number(count("missed"))];
    return {
      met,
      missed,
      running: count("running"),
      no_promise: count(null),
      percent_met:
        met + missed
          ? String(
              new Exact(100)
                .times(met)
                .div(met + missed)
                .toDecimalPlaces(12),
            )
          : null,
    };
  },
};
shapes["cumulative flow"] = shapes.level;

/** The field of an item as the sentence names it; stretches of time are asked as measures, in seconds of 1/60 of a minute. */
const FIELDS: Record<string, string> = {
  finished_at: "finished",
  started_at: "started",
  lead_time: "lead time",
  cycle_time: "cycle time",
  age: "age",
  age_in_status: "age in status",
  reassigned: "reassigned",
  reopened: "reopened",
  sla_response: "SLA response",
  sla_resolution: "SLA resolution",
};

async function askItem(c: GoldenCase): Promise<Told> {
  const { key, fields, working } = c.question;
  const found: Told = {};
  for (const field of fields!) {
    const words = FIELDS[field] ?? `time in ${field.slice("time_in:".length)}`;
    const isTime = /time|^age/.test(field);
    const body = (await ask(
      isTime
        ? `lowest ${words} in ${working ? "working " : ""}minutes of items where key is ${key}`
        : `list items where key is ${key} showing ${words}`,
      c,
    )) as unknown as Told & ApiBody;
    if (isTime)
      found[field] =
        body.total.value === null
          ? null
          : new Exact(String(body.total.value)).times(60).toDecimalPlaces(6).toFixed();
    else {
      const [value] = (body.rows[0] as unknown as { values: string[] }).values;
      found[field] = /^\d+$/.test(value ?? "") ? Number(value) : value;
    }
  }
  return found;
}

async function ask(sentence: string, c: GoldenCase): Promise<Told & ApiBody> {
  const reply = await apiAnswer(em, systemClock, token, {
    sentence,
    now: c.now,
    ...(c.question.percent ? { percent: c.question.percent } : {}),
  });
  if (!("body" in reply)) throw new Error(`${sentence}: ${reply.problem.detail}`);
  return reply.body as Told & ApiBody;
}

/** A question that has no sentence of its own. */
function sentenceOf(c: GoldenCase): string {
  const { kind, sprint, unit } = c.question;
  if (kind === "pace") return `burndown of sprint "${sprint}" in ${unit}`;
  throw new Error(`${c.id} has no sentence`);
}

/** Settings that a case replaces are set for it alone, as an administrator would. */
async function withWorkspace<T>(
  settings: Record<string, string | number> | undefined,
  work: () => Promise<T>,
): Promise<T> {
  if (!settings) return work();
  const set = (values: Record<string, string | null>) =>
    withConnection(em, async (client) => {
      for (const [setting, value] of Object.entries(values))
        await client.query(
          "INSERT INTO settings VALUES ($1, $2) ON CONFLICT (setting) DO UPDATE SET value = $2",
          [setting, value],
        );
      await client.query("UPDATE workspace SET names_version = names_version + 1");
    });
  const kept = await withConnection(
    em,
    async (client) =>
      (
        await client.query<{ setting: string; value: string }>(
          "SELECT setting, value FROM settings WHERE setting = ANY($1)",
          [Object.keys(settings)],
        )
      ).rows,
  );
  await set(
    Object.fromEntries(Object.entries(settings).map(([key, value]) => [key, String(value)])),
  );
  try {
    return await work();
  } finally {
    await set(Object.fromEntries(kept.map((row) => [row.setting, row.value])));
  }
}

/** Values within 1e-9, all else to the letter. */
function close(got: unknown, wanted: unknown, path = ""): string[] {
  if (Array.isArray(wanted) || Array.isArray(got)) {
    const [a, b] = [got as unknown[], wanted as unknown[]];
    if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length)
      return [`${path}: ${JSON.stringify(got)} is not ${JSON.stringify(wanted)}`];
    return b.flatMap((one, i) => close(a[i], one, `${path}[${i}]`));
  }
  if (wanted !== null && typeof wanted === "object" && got !== null && typeof got === "object") {
    const keys = new Set([...Object.keys(wanted), ...Object.keys(got)]);
    return [...keys].flatMap((key) =>
      close(
        (got as Record<string, unknown>)[key],
        (wanted as Record<string, unknown>)[key],
        `${path}.${key}`,
      ),
    );
  }
  const isNumber = (one: unknown) =>
    typeof one === "number" || (typeof one === "string" && /^-?\d+(\.\d+)?$/.test(one));
  const isValue =
    !/\.percent$/.test(path) &&
    isNumber(got) &&
    isNumber(wanted) &&
    got !== null &&
    wanted !== null &&
    got !== undefined &&
    wanted !== undefined;
  const same = isValue
    ? new Exact(String(got)).minus(String(wanted)).abs().lte("1e-9")
    : got === wanted;
  return same ? [] : [`${path}: ${JSON.stringify(got)} is not ${JSON.stringify(wanted)}`];
}

describe("golden cases through the API", () => {
  const sentences = goldenSentences();
  const cases = new Map(goldenCases().map((c) => [c.id, c]));
  test.each(covered.api.map((id) => [id, cases.get(id)!.says] as const))("%s %s", async (id) => {
    const c = cases.get(id)!;
    const got = await withWorkspace(c.question.workspace, async () =>
      c.question.kind === "item"
        ? askItem(c)
        : shapes[c.question.kind](c, await ask(sentences[id] ?? sentenceOf(c), c)),
    );
    expect(close(got, c.expect)).toEqual([]);
  });
});
