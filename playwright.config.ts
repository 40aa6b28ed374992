import { defineConfig } from "@playwright/test";

/** Each lane is a workspace of its own with its own servers; journeys of one file stay in one lane. */
const lanes = (process.env.E2E_URLS ?? process.env.E2E_URL ?? "http://127.0.0.1:4310").split(" ");

/** Browser tests against a production build whose servers bin/test has started. */
export default defineConfig({
  testDir: "tests/e2e",
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: lanes.length,
  fullyParallel: false,
  // A machine that is busy with other things may let one wait too long; what passes at the second go is called flaky in the list.
  retries: 1,
  reporter: process.env.E2E_REPORT
    ? [["list"], ["json", { outputFile: process.env.E2E_REPORT }]]
    : [["list"]],
  outputDir: "test-results",
  use: {
    baseURL: lanes[0],
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: "/usr/bin/chromium" },
    contextOptions: { reducedMotion: "reduce" },
    trace: "on-first-retry",
    actionTimeout: 10_000,
    navigationTimeout: 20_000,
  },
  projects: [
    { name: "journeys", testIgnore: /last-.*\.spec\.ts/ },
    // It stops the cluster of all lanes, so it comes when nobody else is on the way.
    { name: "last", testMatch: /last-.*\.spec\.ts/, dependencies: ["journeys"] },
  ],
});
