import AxeBuilder from "@axe-core/playwright";
import { expect, test, type Page } from "./lanes";
import { reportOf, signIn } from "./support";

// Each goes its own way, so that the long ones are shared out among the lanes.
test.describe.configure({ mode: "parallel" });

const seriousIn = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations
    .filter(({ impact }) => impact === "serious" || impact === "critical")
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 2)
          .map((node) => node.html.slice(0, 160))
          .join(" | ")}`,
    );
};

const PAGES = [
  ["dashboards", "/dashboards"],
  ["a dashboard", "/dashboards/1"],
  ["library", "/reports"],
  ["new report", "/reports/new"],
  [
    "bars",
    reportOf("count faults where status is open by priority split by status as stacked bars"),
  ],
  ["line", reportOf("count items by month of created for last 12 months split by kind as line")],
  ["donut", reportOf("count faults where status is open by service top 5 as donut")],
  ["list", reportOf("list faults where status is open showing key, title, assignee as list")],
  ["pivot", reportOf("count items where status is open by team split by priority as pivot")],
  [
    "heat map",
    reportOf(
      "count items where created during last 3 full months by weekday of created split by hour of created as heat map",
    ),
  ],
  [
    "month calendar",
    reportOf("count faults where created during last 3 months by day of created as month calendar"),
  ],
  [
    "several pies",
    reportOf("count faults where status is open by team split by priority as several pies"),
  ],
  [
    "level",
    reportOf(
      "level of faults where status is open at month ends for last 12 months split by priority as area",
    ),
  ],
  [
    "bridge",
    reportOf("bridge of faults where status is open from 2026-10-01 to 2026-11-01 as waterfall"),
  ],
  ["burndown", reportOf("burndown of sprint current in points as planks")],
  [
    "bubbles",
    reportOf(
      "count and average age in days and median age in days of faults where status is open by team as bubbles",
    ),
  ],
  [
    "grouped list",
    reportOf("list faults where status is open grouped by team showing key, title, age as list"),
  ],
  ["a sprint", "/sprints"],
  ["a release", "/releases"],
  ["items of a release", "/releases/1?leaf=items"],
  ["projects", "/projects"],
  ["a timeline", "/projects?leaf=timeline"],
  ["a project", "/projects/1"],
  ["words of a project", "/projects/1?leaf=words"],
  ["hours", "/hours"],
  ["briefings", "/briefings"],
  ["a briefing", "/briefings/1"],
  ["mailings", "/mailings"],
  ["saved filters", "/reports?shelf=filters"],
  ["print settings", "/settings/print"],
  ["item", "/items/D100"],
  ["people", "/settings/people"],
  ["imports", "/settings/imports"],
  ["words of the desk", "/settings/words"],
] as const;

for (const theme of ["day", "night"] as const) {
  test(`axe finds nothing serious on any page by ${theme}`, async ({ page, context }) => {
    test.setTimeout(900_000);
    await page.goto("/sign-in");
    expect(await seriousIn(page)).toEqual([]);
    await signIn(page, "runa");
    await context.addCookies([{ name: "gt_theme", value: theme, url: page.url() }]);
    for (const [name, path] of PAGES) {
      await page.goto(path);
      await page.waitForLoadState("networkidle");
      expect(await seriousIn(page), name).toEqual([]);
    }
    await page.goto(reportOf("count faults where status is open by priority as bars"));
    await page.getByRole("button", { name: /^condition: / }).click();
    await expect(page.getByRole("radio", { name: "is any of" })).toBeVisible();
    expect(await seriousIn(page), "picker").toEqual([]);
    await page.keyboard.press("Escape");
    await page.keyboard.press("w");
    await expect(page.getByRole("cell", { name: "counted, each once" })).toBeVisible();
    expect(await seriousIn(page), "workings").toEqual([]);
  });
}

test("a phone can read, narrow and build", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  await expect(page.getByRole("article").first()).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(391);
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(391);
});

test("on a phone every picture is drawn, high enough to be read", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, "ines");
  for (const shape of [
    "count faults where status is open by team as bars",
    "count faults where status is open by team split by priority as stacked columns",
    "count faults by month of created split by priority for last 12 months to date as line",
    "level of faults where status is open at month ends for last 12 months split by priority as area",
    "count, average age of faults where status is open by team as scatter",
    "count faults where status is open by service as donut",
  ]) {
    await page.goto(reportOf(shape));
    const drawing = page.locator(".draw .recharts-surface").first();
    await expect(drawing, shape).toBeVisible();
    const box = await drawing.boundingBox();
    expect(box!.height, shape).toBeGreaterThanOrEqual(200);
    expect(box!.width, shape).toBeGreaterThanOrEqual(250);
  }
});

test("the quick box takes a key, a name and a sentence", async ({ page }) => {
  await signIn(page, "ines");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("d100");
  await page
    .getByRole("option", { name: /^D100 / })
    .first()
    .click();
  await page.waitForURL("**/items/D100");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("who carries");
  await page.getByRole("option", { name: /Who carries what/ }).click();
  await page.waitForURL(/\/reports\/\d+/);
});

test("pins are kept and found in the spine", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/reports");
  await page.getByLabel("Find a report").fill("Days to finish, by team");
  await page.getByRole("button", { name: "Pin Days to finish, by team" }).click();
  await page.getByRole("button", { name: "2 pins" }).click();
  await page.getByRole("menuitem", { name: "Days to finish, by team" }).click();
  await page.waitForURL(/\/reports\/\d+/);
});
