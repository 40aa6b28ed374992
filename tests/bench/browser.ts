import { chromium } from "@playwright/test";
import { reportOf, signIn } from "../e2e/support";

/** Measured in the browser, against a built application at E2E_URL. */
const RUNS = 9;
const baseURL = process.env.E2E_URL!;
const median = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const say = (line: string): void => void process.stdout.write(`${line}\n`);

async function main(): Promise<void> {
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium" });
  const page = await (await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } })).newPage();
  await signIn(page, "ines");
  const times: number[] = [];
  for (let i = 0; i < RUNS + 1; i += 1) {
    await page.goto("/dashboards");
    const link = page.getByRole("link", { name: "Desk morning" });
    await link.waitFor();
    const start = Date.now();
    await link.click();
    await page.waitForFunction(() => document.querySelectorAll("article[aria-label]").length >= 8 && [...document.querySelectorAll("article[aria-label]")].every((tile) => tile.querySelector("svg path, svg rect, table, .n")));
    if (i > 0) times.push(Date.now() - start);
  }
  say(`${median(times)} ms (${Math.min(...times)} to ${Math.max(...times)}, median of ${RUNS}, warm navigation): a dashboard with 8 tiles drawn`);

  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await page.waitForLoadState("networkidle");
  await page.getByRole("button", { name: "Type it" }).click();
  await page.evaluate(() => {
    const kept = ((window as unknown as { long: number[] }).long = [] as number[]);
    new PerformanceObserver((list) => list.getEntries().forEach((entry) => kept.push(entry.duration))).observe({ entryTypes: ["longtask"] });
  });
  const typed = " split by status and team is my team ";
  for (const letter of typed) await page.keyboard.type(letter, { delay: 90 });
  await page.waitForTimeout(400);
  const long = await page.evaluate(() => (window as unknown as { long: number[] }).long);
  say(`${long.length} long tasks over 50 ms in ${typed.length} keystrokes of the sentence${long.length ? ` (the longest ${Math.round(Math.max(...long))} ms)` : ""} (1 run, warm)`);
  await browser.close();
}

main().catch((error: unknown) => {
  process.stderr.write(`bench: ${(error as Error).message}\n`);
  process.exitCode = 1;
});
