import type { Plan } from "@/core/plan";
import { inTransaction, type EntityManager } from "./database";
import { asText, startOfRead } from "./runPlan";

/** How the database answered one statement of a plan. */
export interface Explained {
  readonly text: string;
  readonly values: readonly unknown[];
  /** The lines of `EXPLAIN (ANALYZE, BUFFERS)`. */
  readonly lines: readonly string[];
}

/** Runs a plan as {@link runPlan} does, and tells of each of its statements how the database answered it. */
export function explainPlan(em: EntityManager, plan: Plan<unknown>): Promise<Explained[]> {
  return inTransaction(
    em,
    async (client) => {
      const told: Explained[] = [];
      let step = plan.next();
      while (!step.done) {
        const answers = [];
        for (const { text, values } of step.value) {
          const ask = async (words: string) => {
            const query = { text: words, values: [...values], rowMode: "array" as const };
            return (await client.query<(string | null)[]>({ ...query, types: asText })).rows;
          };
          const lines = await ask(`EXPLAIN (ANALYZE, BUFFERS) ${text}`);
          told.push({ text, values, lines: lines.map(([line]) => line ?? "") });
          answers.push(await ask(text));
        }
        step = plan.next(answers);
      }
      return told;
    },
    startOfRead(),
  );
}
