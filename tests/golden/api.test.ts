import { Exact } from "@/core/base";
import { parseInstant } from "@/core/time";
import { importBundle } from "@/data/importBundle";
import { readBundleFiles } from "@/data/bundleFiles";
import type { EntityManager } from "@/data/database";
import { apiAnswer } from "@/server/api/answer";
import { makeToken } from "@/server/accounts/tokens";
import { systemClock } from "@/server/clock";
import { dropDatabase, freshDatabase } from "../support/database";
import covered from "./covered.json";
import { GOLDEN_BUNDLE, goldenCases, goldenSentences, type GoldenCase } from "./load";

interface ApiCell { value: string | number | null; records: number; empties: number; percent?: string }
interface ApiRow extends ApiCell { group: (string | null | { rest: true })[]; parts?: (ApiCell & { group: string | null | { rest: true } })[]; running?: string | number; bucket?: Record<string, unknown> }
interface ApiBody { rows: ApiRow[]; total: ApiCell; columns: { name: string }[] }

let em: EntityManager;
let token: string;

beforeAll(async () => {
  em = await freshDatabase("golden");
  const outcome = await importBundle(em, await readBundleFiles(GOLDEN_BUNDLE), { now: parseInstant("2026-11-24T16:00:00Z")! });
  expect(outcome.refused).toEqual([]);
  token = (await makeToken(em, "gil"))!;
});
afterAll(dropDatabase);

const name = (group: string | null | { rest: true }) => (group !== null && typeof group === "object" ? "(rest)" : group);
const cell = ({ value, records, empties }: ApiCell) => ({ value, records, empties });
const percent = (c: ApiCell) => (c.percent === undefined ? {} : { percent: c.percent });
const keyOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

function shaped(c: GoldenCase, body: ApiBody): Record<string, unknown> {
  if (c.question.kind === "records") return { keys: body.rows.map((row) => (row as unknown as { values: string[] }).values[0]).sort(keyOrder) };
  if (c.question.kind === "flow") {
    return {
      buckets: body.rows.map((row) => {
        const { from, to, start, end, soFar } = row.bucket!;
        return { from, to, start, end, so_far: soFar, ...cell(row), ...(row.running === undefined ? {} : { cumulative: row.running }), ...(row.parts ? { parts: row.parts.filter((p) => p.records > 0).map((p) => ({ name: name(p.group), ...cell(p) })) } : {}) };
      }),
    };
  }
  const groups = body.rows.map((row) => ({ name: name(row.group[0]), ...cell(row), ...percent(row), ...(row.parts ? { parts: row.parts.map((p) => ({ name: name(p.group), ...cell(p), ...percent(p) })) } : {}) }));
  return { total: cell(body.total), ...(c.question.by ? { groups } : {}) };
}

/** Values within 1e-9, all else to the letter. */
function close(got: unknown, wanted: unknown, path = ""): string[] {
  if (Array.isArray(wanted) || Array.isArray(got)) {
    const [a, b] = [got as unknown[], wanted as unknown[]];
    if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return [`${path}: ${JSON.stringify(got)} is not ${JSON.stringify(wanted)}`];
    return b.flatMap((one, i) => close(a[i], one, `${path}[${i}]`));
  }
  if (wanted !== null && typeof wanted === "object" && got !== null && typeof got === "object") {
    const keys = new Set([...Object.keys(wanted), ...Object.keys(got)]);
    return [...keys].flatMap((key) => close((got as Record<string, unknown>)[key], (wanted as Record<string, unknown>)[key], `${path}.${key}`));
  }
  const isValue = /(value|cumulative)$/.test(path) && got !== null && wanted !== null && got !== undefined && wanted !== undefined;
  const same = isValue ? new Exact(String(got)).minus(String(wanted)).abs().lte("1e-9") : got === wanted;
  return same ? [] : [`${path}: ${JSON.stringify(got)} is not ${JSON.stringify(wanted)}`];
}

describe("golden cases through the API", () => {
  const sentences = goldenSentences();
  const cases = new Map(goldenCases().map((c) => [c.id, c]));
  test.each(covered.api.map((id) => [id, cases.get(id)!.says] as const))("%s %s", async (id) => {
    const c = cases.get(id)!;
    const reply = await apiAnswer(em, systemClock, token, { sentence: sentences[id], now: c.now, ...(c.question.percent ? { percent: c.question.percent } : {}) });
    if (!("body" in reply)) throw new Error(`${sentences[id]}: ${reply.problem.detail}`);
    expect(close(shaped(c, reply.body as ApiBody), c.expect)).toEqual([]);
  });
});
