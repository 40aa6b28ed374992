import { defineConfig } from "@playwright/test";

/** Browser tests against a production build that bin/test has started; its address comes in E2E_URL. */
export default defineConfig({
  testDir: "tests/e2e",
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 1,
  fullyParallel: false,
  retries: 0,
  reporter: process.env.E2E_REPORT
    ? [["list"], ["json", { outputFile: process.env.E2E_REPORT }]]
    : [["list"]],
  outputDir: "test-results",
  use: {
    baseURL: process.env.E2E_URL ?? "http://127.0.0.1:4310",
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: "/usr/bin/chromium" },
    contextOptions: { reducedMotion: "reduce" },
    trace: "retain-on-failure",
    actionTimeout: 10_000,
    navigationTimeout: 20_000,
  },
});
