import { Client } from "pg";

/** How long a lost listener waits before it listens again. */
const AGAIN_MS = 1_000;

/**
 * Listens to what the database tells of, on a connection of its own; one that is lost is made again.
 * @param onTold gets each payload; null after a loss, when something may have been missed
 * @returns how to stop
 */
export function listen(channel: string, onTold: (payload: string | null) => void): () => void {
  let [client, isOver]: [Client | null, boolean] = [null, false];
  const again = () => {
    client = null;
    if (!isOver) setTimeout(() => void begin(true), AGAIN_MS).unref();
  };
  async function begin(isAgain: boolean): Promise<void> {
    if (isOver || client) return;
    const next = new Client({ connectionString: process.env.DATABASE_URL });
    client = next;
    next.on("notification", ({ payload }) => onTold(payload ?? ""));
    next.once("error", () => void next.end().catch(() => undefined));
    next.once("end", again);
    try {
      await next.connect();
      await next.query(`LISTEN ${channel}`);
      if (isAgain) onTold(null);
    } catch {
      await next.end().catch(() => undefined);
    }
  }
  void begin(false);
  return () => {
    isOver = true;
    void client?.end().catch(() => undefined);
  };
}
