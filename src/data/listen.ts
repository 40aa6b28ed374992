import { Client } from "pg";

/** How long a lost listener waits before it listens again. */
const AGAIN_MS = 1_000;

/**
 * Listens to what the database tells of, on a connection of its own; one that is lost is made again.
 * @param onTold gets each payload; null after a loss, when something may have been missed
 * @returns how to stop
 */
export function listen(channel: string, onTold: (payload: string | null) => void): () => void {
  let client: Client | null = null;
  let isOver = false;
  /** Whichever end of a connection is heard of first makes the next one. */
  const lost = (gone: Client) => {
    if (client !== gone) return;
    client = null;
    void gone.end().catch(() => undefined);
    if (!isOver) setTimeout(() => void begin(true), AGAIN_MS).unref();
  };
  async function begin(isAgain: boolean): Promise<void> {
    if (isOver || client) return;
    const next = new Client({ connectionString: process.env.DATABASE_URL });
    client = next;
    next.on("notification", ({ payload }) => onTold(payload ?? ""));
    next.on("error", () => lost(next));
    next.on("end", () => lost(next));
    try {
      await next.connect();
      await next.query(`LISTEN ${channel}`);
      if (isAgain) onTold(null);
    } catch {
      lost(next);
    }
  }
  void begin(false);
  return () => {
    isOver = true;
    void client?.end().catch(() => undefined);
  };
}
