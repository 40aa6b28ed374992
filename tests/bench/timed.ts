import { viewerNamed } from "../support/viewer";
import { performance } from "node:perf_hooks";
import { type EntityManager } from "@/data";
import { systemClock } from "@/server/clock";
import { deskOf, type Desk } from "@/server/viewer/viewpoint";

/** Runs of each figure; all warm, after two that are thrown away. */
export const RUNS = 15;
export const say = (line: string): void => void process.stdout.write(`${line}\n`);
export const ms = (n: number): string => `${n.toFixed(1)} ms`;

export async function timed(
  work: () => Promise<unknown>,
  runs = RUNS,
): Promise<{ median: number; least: number; most: number }> {
  const times: number[] = [];
  for (let i = 0; i < runs + 2; i += 1) {
    const start = performance.now();
    await work();
    if (i >= 2) times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return {
    median: times[Math.floor(times.length / 2)],
    least: times[0],
    most: times[times.length - 1],
  };
}

export async function deskFor(em: EntityManager, login: string): Promise<Desk> {
  const viewer = await viewerNamed(em, login);
  return deskOf(em, viewer!, systemClock);
}
