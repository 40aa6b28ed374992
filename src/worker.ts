import { run } from "graphile-worker";
import { closeDatabase, newSession, withConnection } from "@/data";
import { runImport, type ImportJob } from "@/server/bundles/imports";
import { systemClock } from "@/server/clock";
import { log } from "@/server/log";

/** The background process: imports, and clearing away what is over. */
async function main(): Promise<void> {
  const runner = await run({
    connectionString: process.env.DATABASE_URL!,
    concurrency: 1,
    noHandleSignals: true,
    pollInterval: 1000,
    crontab: "17 3 * * * sweep",
    taskList: {
      import: async (payload) => runImport(await newSession(), systemClock, payload as ImportJob),
      sweep: async () => {
        await withConnection(await newSession(), (client) => client.query("DELETE FROM sessions WHERE expires_at < now(); DELETE FROM invites WHERE expires_at < now() - interval '30 days'; DELETE FROM reports WHERE deleted_at < now() - interval '30 days'; DELETE FROM dashboards WHERE deleted_at < now() - interval '30 days'"));
      },
    },
  });
  const stop = async () => {
    await runner.stop().catch(() => undefined);
    await closeDatabase();
    process.exit(0);
  };
  process.once("SIGTERM", () => void stop());
  process.once("SIGINT", () => void stop());
  await runner.promise;
}

main().catch((error: unknown) => {
  log.error({ error }, "the worker ended");
  process.exitCode = 1;
});
