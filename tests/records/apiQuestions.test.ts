import type { EntityManager } from "@/data";
import { makeToken } from "@/server/accounts/tokens";
import { apiAnswer, apiRead, apiRecords } from "@/server/api/answer";
import { bodyOf } from "../support/api";
import { dropDatabase } from "../support/database";
import { fixedClock as clock } from "../support/desk";
import { goldenDatabase } from "../support/golden";

const NOW = "2026-11-24T15:30:00Z";
let em: EntityManager;
let token: string;
let members: string;

beforeAll(async () => {
  em = await goldenDatabase("api_questions");
  token = (await makeToken(em, "gil"))!;
  members = (await makeToken(em, "tove"))!;
});
afterAll(dropDatabase);

describe("questions in everyday words", () => {
  const readAs = (question: string, more: object = {}) =>
    apiRead(em, clock, token, { question, ...more });
  test("are read into sentences, with what each stretch became", async () => {
    const { readings } = bodyOf<{
      readings: { sentence: string; sure: boolean; uses: { from: number; to: number }[] }[];
    }>(await readAs("how many open faults per team"));
    expect(readings).toMatchObject([
      { sentence: "count faults where status is open by team", sure: true, doubts: [] },
    ]);
    expect(readings[0].uses[0]).toMatchObject({ from: 0, part: "measure" });
    expect(bodyOf(await readAs("xyzzy plugh"))).toEqual({ readings: [] });
  });
  test("are answered as their sentence is, and opened as it is", async () => {
    const question = "open faults by priority";
    const sentence = "count faults where status is open by priority";
    expect(bodyOf(await apiAnswer(em, clock, token, { question }))).toEqual(
      bodyOf(await apiAnswer(em, clock, token, { sentence })),
    );
    expect(bodyOf(await apiRecords(em, clock, token, { question }))).toEqual(
      bodyOf(await apiRecords(em, clock, token, { sentence })),
    );
  });
  test("that are doubtful are refused with their readings, and nothing is guessed", async () => {
    const reply = await apiAnswer(em, clock, token, { question: "urgent open faults" });
    expect(reply).toMatchObject({ status: 422, problem: { type: "/problems/doubtful" } });
    expect(
      ("problem" in reply ? reply.problem.readings! : []).map(
        (one) => (one as { sure: boolean }).sure,
      ),
    ).toEqual([false, false]);
    expect(await apiAnswer(em, clock, token, { question: "are we good?" })).toMatchObject({
      status: 422,
      problem: { readings: [] },
    });
  });
  test.each([
    [{}, 400],
    [{ question: "open faults", sentence: "count items" }, 400],
    [{ question: "x".repeat(500) }, 400],
    [{ question: "open\u0000faults" }, 400],
  ])("%j is refused with %i", async (body, status) => {
    expect(await apiAnswer(em, clock, token, body)).toMatchObject({ status });
  });
  test("nobody without a token reads any", async () => {
    expect(await apiRead(em, clock, null, { question: "open faults" })).toMatchObject({
      status: 401,
    });
    expect(await apiRead(em, clock, members, { question: "open faults", now: NOW })).toMatchObject({
      status: 403,
    });
  });
});
