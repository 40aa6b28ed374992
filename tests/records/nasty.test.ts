import fc from "fast-check";
import { actContracts, type ActId } from "@/contract/acts";
import { PLAIN_DRESS } from "@/core/definition";
import { parseSentence, printReport } from "@/core/kinds";
import { type EntityManager } from "@/data";
import { perform } from "@/server/acts";
import { Refused } from "@/server/refused";
import type { Desk } from "@/server/viewer/viewpoint";
import { programOf } from "../support/api";
import { arbitraryReport } from "../support/arbitrary";
import { dropDatabase } from "../support/database";
import { goldenDatabase } from "../support/golden";
import { deskFor, fixedClock } from "../support/desk";

/** Whatever is sent is answered or refused in words: nothing of it is a fault of ours. */
let em: EntityManager;
let desk: Desk;

beforeAll(async () => {
  em = await goldenDatabase("nasty");
  desk = await deskFor(em, "gil", fixedClock);
});
afterAll(dropDatabase);

const NASTY: readonly unknown[] = [
  "\u0000",
  "a\u0000b",
  "\ud800",
  "2026-13-45",
  "2026-02-30",
  "0000-01-01",
  "9999-12-31",
  "275760-09-13",
  "-0001-01-01",
  "2026-11-24T25:61:00Z",
  "1e400",
  "NaN",
  "99999999999999999999",
  "-0",
  "%_\\\\",
  "'; DROP TABLE items; --",
  "x".repeat(5_000),
  "",
  2_147_483_648,
  -2_147_483_649,
  9_007_199_254_740_993,
  0,
  -1,
  1.5,
  1e300,
  null,
  true,
  [],
  {},
  [[[[[[[[[[]]]]]]]]]],
];

/** The paths of all leaves of something, and of all its parts. */
function pathsOf(value: unknown, path: readonly (string | number)[] = []): (string | number)[][] {
  const own = [[...path]];
  if (typeof value !== "object" || value === null) return own;
  return [...own, ...Object.entries(value).flatMap(([key, part]) => pathsOf(part, [...path, key]))];
}

function replaced(
  value: unknown,
  [key, ...rest]: readonly (string | number)[],
  by: unknown,
): unknown {
  if (key === undefined) return by;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<
    string,
    unknown
  >;
  copy[key] = replaced(copy[key], rest, by);
  return copy;
}

/** What is no refusal is a fault. */
const faultOf = async (asked: Promise<unknown>): Promise<string | null> =>
  asked.then(
    () => null,
    (error: unknown) => (error instanceof Refused ? null : String((error as Error).stack ?? error)),
  );

const ACTS: readonly (readonly [ActId, (definition: unknown) => object])[] = [
  ["figure", (definition) => ({ definition, dress: PLAIN_DRESS })],
  [
    "records",
    (definition) => ({
      definition,
      showing: [["key"]],
      sorts: [],
      offset: 0,
      limit: 20,
      opened: { path: [] },
    }),
  ],
  ["workings", (definition) => ({ definition })],
  ["emptied", (definition) => ({ definition })],
  ["values", (definition) => ({ definition, field: ["status"] })],
  ["forecast", (definition) => ({ definition })],
  ["twins", (definition) => ({ definition, except: null })],
  ["saveReport", (definition) => ({ name: "Nasty", definition, dress: PLAIN_DRESS })],
];

test("definitions and requests with any part made nasty are answered or refused", async () => {
  const place = fc.record({
    report: fc.constant(null).chain(() => arbitraryReport(desk.view)),
    act: fc.integer({ min: 0, max: ACTS.length - 1 }),
    at: fc.nat(),
    nasty: fc.integer({ min: 0, max: NASTY.length - 1 }),
  });
  await fc.assert(
    fc.asyncProperty(place, async ({ report, act: which, at, nasty }) => {
      const [act, bodyOf] = ACTS[which];
      const body = bodyOf(report);
      const paths = pathsOf(body);
      const sent = replaced(body, paths[at % paths.length], NASTY[nasty]);
      const fault = await faultOf(perform(act, { em, desk, clock: fixedClock }, sent));
      expect([act, JSON.stringify(sent).slice(0, 2_000), fault]).toEqual([
        act,
        JSON.stringify(sent).slice(0, 2_000),
        null,
      ]);
    }),
    { numRuns: 1_500, endOnFailure: true },
  );
}, 240_000);

test("sentences with a word made nasty are read or refused, by people and by programs", async () => {
  const gil = await programOf(em, fixedClock, "gil");
  const words = NASTY.filter((one): one is string | number =>
    ["string", "number"].includes(typeof one),
  );
  await fc.assert(
    fc.asyncProperty(
      fc.constant(null).chain(() => arbitraryReport(desk.view)),
      fc.nat(),
      fc.integer({ min: 0, max: words.length - 1 }),
      async (report, at, nasty) => {
        const parts = printReport(report, desk.view.catalog).split(" ");
        parts[at % parts.length] = String(words[nasty]);
        const sentence = parts.join(" ");
        const parsed = parseSentence(sentence, desk.view);
        if (parsed.ok) {
          const body = { definition: parsed.value, dress: PLAIN_DRESS };
          expect([
            sentence,
            await faultOf(perform("figure", { em, desk, clock: fixedClock }, body)),
          ]).toEqual([sentence, null]);
        }
        const reply = await gil.asked(sentence).catch((error: Error) => ({ status: error.stack }));
        expect([
          sentence,
          [200, 400, 422].includes(reply.status as number) ? null : reply.status,
        ]).toEqual([sentence, null]);
      },
    ),
    { numRuns: 600, endOnFailure: true },
  );
}, 240_000);

test("every act takes nothing at all, and everything that is nasty, without a fault", async () => {
  for (const act of Object.keys(actContracts) as ActId[])
    for (const nasty of [
      ...NASTY,
      { id: 2_147_483_647 },
      { id: -1, kind: "report" },
      { id: 0, report: 1 },
    ])
      expect([
        act,
        nasty,
        await faultOf(perform(act, { em, desk, clock: fixedClock }, nasty)),
      ]).toEqual([act, nasty, null]);
}, 120_000);
