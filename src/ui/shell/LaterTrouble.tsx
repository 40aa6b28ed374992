"use client";
import { later, useFetchAhead } from "../kit";
import type { Trouble } from "./Trouble";

const load = () => import("./Trouble");

/** Where not even the words of a trouble can be fetched. */
const Unreachable: typeof Trouble = () => (
  <main style={{ padding: 32 }}>
    <h1>The records cannot be reached</h1>
    <p>
      Nothing is lost. <a href="">Look now</a>
    </p>
  </main>
);

/** What is shown where a page failed; no page carries it, and it is at hand before it is needed. */
export const LaterTrouble = later(() => load().catch(() => ({ Trouble: Unreachable })), "Trouble");

/** Fetches it while the server still answers. */
export const useTroubleAtHand = (): void => useFetchAhead(LaterTrouble);
