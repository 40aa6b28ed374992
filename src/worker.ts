import { run } from "graphile-worker";
import { closeDatabase, newSession, sweep, takeUpImports, type ImportJob } from "@/data";
import { runImport } from "@/server/bundles/imports";
import { systemClock } from "@/server/clock";
import { openMailRoom } from "@/server/mail/mailRoom";
import { sendDue } from "@/server/mail/mailings";
import { chromiumDrawer, closeBrowser } from "@/server/render/chromium";
import { log } from "@/server/log";

/** The background process: imports, mailings, the mail room, and clearing away what is over. */
async function main(): Promise<void> {
  const mailRoom = await openMailRoom().catch((error: Error) => {
    log.error({ error }, "the mail room is closed: its port is taken");
    return null;
  });
  const runner = await run({
    connectionString: process.env.DATABASE_URL!,
    concurrency: 2,
    noHandleSignals: true,
    pollInterval: 1000,
    crontab: "17 3 * * * sweep\n* * * * * mailings\n* * * * * takeUp",
    taskList: {
      import: async (payload) => runImport(await newSession(), systemClock, payload as ImportJob),
      takeUp: async () => void (await takeUpImports(await newSession())),
      mailings: async () => {
        const em = await newSession();
        await sendDue(em, systemClock, chromiumDrawer(em));
      },
      sweep: async () => sweep(await newSession()),
    },
  });
  const stop = async () => {
    await runner.stop().catch(() => undefined);
    await mailRoom?.close();
    await closeBrowser();
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
