import { execFileSync } from "node:child_process";
import { expect, test } from "./lanes";
import { signIn } from "./support";

const cluster = process.env.E2E_CLUSTER;
const run = (act: string) =>
  execFileSync("bash", ["-c", `. bin/lib/base.sh; ${act}`], { encoding: "utf8" });

/** Stops and starts the cluster of bin/test; elsewhere there is none to stop. */
const withCluster = cluster ? test : test.fixme;

withCluster(
  "while the database is gone a page says so, and it comes back by itself",
  async ({ page }) => {
    await signIn(page, "ines");
    const port = process.env.E2E_DATABASE_PORT!;
    run(`stop_cluster ${cluster}`);
    try {
      await page.goto("/reports");
      await expect(
        page.getByRole("heading", { name: /records cannot be reached|One moment/ }),
      ).toBeVisible();
      const body = (await page.textContent("body"))!;
      expect(body).not.toMatch(/at \w+ \(|ECONNREFUSED|Knex|node_modules/);
    } finally {
      run(`start_cluster ${cluster} ${port} fsync=off synchronous_commit=off full_page_writes=off`);
    }
    await expect(page.getByRole("heading", { level: 1, name: "Reports" })).toBeVisible({
      timeout: 30_000,
    });
  },
);
