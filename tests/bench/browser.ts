import { chromium, type Page } from "@playwright/test";
import { reportOf, signIn } from "../e2e/support";

/** Measured in the browser, against a built application at E2E_URL. */
const RUNS = 9;
const baseURL = process.env.E2E_URL!;
const median = (list: number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const say = (line: string): void => void process.stdout.write(`${line}\n`);

async function main(): Promise<void> {
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium" });
  const page = await (
    await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } })
  ).newPage();
  await signIn(page, "ines");
  const times: number[] = [];
  for (let i = 0; i < RUNS + 1; i += 1) {
    await page.goto("/dashboards");
    const link = page.getByRole("link", { name: "Desk morning" });
    await link.waitFor();
    const start = Date.now();
    await link.click();
    await page.waitForFunction(
      () =>
        document.querySelectorAll("article[aria-label]").length >= 8 &&
        [...document.querySelectorAll("article[aria-label]")].every((tile) =>
          tile.querySelector("svg path, svg rect, table, .n"),
        ),
    );
    if (i > 0) times.push(Date.now() - start);
  }
  say(
    `${median(times)} ms (${Math.min(...times)} to ${Math.max(...times)}, median of ${RUNS}, warm navigation): a dashboard with 8 tiles drawn`,
  );

  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await page.waitForLoadState("networkidle");
  await page.getByRole("button", { name: "Type it" }).click();
  await page.evaluate(() => {
    const kept = ((window as unknown as { long: number[] }).long = [] as number[]);
    new PerformanceObserver((list) =>
      list.getEntries().forEach((entry) => kept.push(entry.duration)),
    ).observe({ entryTypes: ["longtask"] });
  });
  const typed = " split by status and team is my team ";
  for (const letter of typed) await page.keyboard.type(letter, { delay: 90 });
  await page.waitForTimeout(400);
  const long = await page.evaluate(() => (window as unknown as { long: number[] }).long);
  await follow(page);
  await asked(page);
  await scrolled(page);
  say(
    `${long.length} long tasks over 50 ms in ${typed.length} keystrokes of the sentence${long.length ? ` (the longest ${Math.round(Math.max(...long))} ms)` : ""} (1 run, warm)`,
  );
  await browser.close();
}

/** From the last letter of a sentence to the figure that it asks for. */
async function follow(page: Page): Promise<void> {
  const box = page.getByRole("combobox").or(page.locator("textarea")).first();
  const times: number[] = [];
  for (const field of [
    "team",
    "service",
    "assignee",
    "status",
    "raised by",
    "sprint",
    "project",
    "category",
  ]) {
    await box.fill(`count faults where status is open by ${field.slice(0, -1)}`);
    await page.waitForTimeout(600);
    await box.press("End");
    const answered = page.waitForResponse(
      (reply) => reply.url().endsWith("/api/room/figure") && reply.ok(),
    );
    const start = Date.now();
    await page.keyboard.type(field.slice(-1));
    await answered;
    await page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
    );
    times.push(Date.now() - start);
  }
  say(
    `${median(times)} ms (${Math.min(...times)} to ${Math.max(...times)}, median of ${times.length}, warm): a figure drawn after the last letter of its sentence`,
  );
}

/** From the last letter of a question in everyday words to its first figure, in the box that takes questions. */
async function asked(page: Page): Promise<void> {
  const times: number[] = [];
  await page.keyboard.press("Control+k");
  const dialog = page.getByRole("dialog", { name: "Say or find" });
  const box = dialog.getByLabel("Say what to count, or find something");
  const questions = ["team", "service", "priority", "status", "assignee", "project", "landing"];
  for (const field of questions) {
    await box.fill(`how many open faults do we have per ${field.slice(0, -1)}`);
    await page.waitForTimeout(900);
    await box.press("End");
    const answered = page.waitForResponse(
      (reply) => reply.url().endsWith("/api/room/figure") && reply.ok(),
    );
    const start = Date.now();
    await page.keyboard.type(field.slice(-1));
    await answered;
    await dialog.getByText(`by ${field}`, { exact: true }).first().waitFor();
    await page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
    );
    times.push(Date.now() - start);
  }
  await page.keyboard.press("Escape");
  say(
    `${median(times)} ms (${Math.min(...times)} to ${Math.max(...times)}, median of ${times.length}, warm): the first figure after the last letter of a question`,
  );
}

/** Frames while a pivot of 200 by 50 cells is scrolled from end to end. */
async function scrolled(page: Page): Promise<void> {
  await page.goto(
    reportOf("count items by day of created for last 200 days split by assignee top 49 as pivot"),
  );
  const table = page.getByRole("grid").or(page.getByRole("table")).first();
  await table.waitFor();
  await page.waitForLoadState("networkidle");
  const frames = await page.evaluate(async () => {
    const pane = [...document.querySelectorAll("*")]
      .filter(
        (one) =>
          one !== document.scrollingElement &&
          one.scrollHeight > one.clientHeight + 200 &&
          getComputedStyle(one).overflowY === "auto",
      )
      .sort((a, b) => b.scrollHeight - a.scrollHeight)[0];
    const gaps: number[] = [];
    let last = performance.now();
    for (let step = 0; step <= 160; step += 1) {
      if (step < 100) pane.scrollTop += 60;
      else pane.scrollLeft += 60;
      await new Promise((next) => requestAnimationFrame(next));
      const now = performance.now();
      gaps.push(now - last);
      last = now;
    }
    return gaps.slice(1);
  });
  const cells = await page.getByRole("cell").count();
  say(
    `${median(frames).toFixed(1)} ms a frame (the longest ${Math.max(...frames).toFixed(0)} ms, ${frames.length} frames, 1 run): a pivot of 200 by 50 cells scrolled down and across (${cells} cells in the page)`,
  );
}

main().catch((error: unknown) => {
  process.stderr.write(`bench: ${(error as Error).message}\n`);
  process.exitCode = 1;
});
