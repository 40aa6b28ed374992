import { execFileSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test, type Page } from "./lanes";
import Excel from "exceljs";
import { choose, marks, recordsInDrawer, reportOf, saveAs, signIn, valueOf } from "./support";

/** The questions that managers bring, each answered from the sign-in to the records behind it. */
const figure = (page: Page) => page.getByLabel("Figure", { exact: true });
const numberIn = (text: string | null) => Number((text ?? "").replace(/[^\d.-]/g, ""));

/** Opens the n-th mark and holds what it says against the number of records behind it. */
async function opensItsRecords(page: Page, index: number): Promise<number> {
  const mark = marks(page).nth(index);
  const value = await valueOf(mark);
  await mark.click();
  await expect.poll(() => recordsInDrawer(page)).toBe(value);
  return value;
}

test("finished requests of the last 30 business days by assignee, with the list behind them, by keys alone", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.keyboard.press("Control+k");
  await page.keyboard.type(
    "count requests where finished during last 30 business days by assignee top 12 as bars",
  );
  await expect(page.getByRole("dialog")).toContainText("30 business days");
  await page.keyboard.press("Enter");
  await expect(marks(page).first()).toBeVisible();
  const value = await valueOf(marks(page).first());
  await marks(page).first().focus();
  await page.keyboard.press("Enter");
  await expect.poll(() => recordsInDrawer(page)).toBe(value);
  await page.keyboard.press("w");
  await expect(page.getByRole("tabpanel", { name: "Workings" })).toContainText(
    "finished during last 30 business days",
  );
});

test("open faults by status and person, with four statuses folded into Remaining and the finished ones called Done with", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      'count faults where created during last 6 months by assignee top 6 split by status folding (Logged, Triaged, "In hand", "Waiting for parts" as Remaining; "Signed off", Withdrawn as "Done with") as stacked bars',
    ),
  );
  await expect(figure(page).getByLabel("Legend")).toContainText("Remaining");
  await expect(figure(page).getByLabel("Legend")).toContainText("Done with");
  await expect(figure(page).getByLabel("Legend")).not.toContainText("Triaged");
  await opensItsRecords(page, 0);
});

test("created this month beside still open, per person", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "count where created during this month, count where status is open, of faults by assignee top 6 as columns",
    ),
  );
  await expect(marks(page).first()).toBeVisible();
  const first = await opensItsRecords(page, 0);
  expect(first).toBeGreaterThan(0);
  await page.keyboard.press("t");
  const table = figure(page).getByRole("table");
  await expect(table).toContainText("count where created during this month");
  await expect(table).toContainText("count where status is open");
});

test("promises met by team: what is running and what was missed open, too", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "count faults where priority is any of (P1, P2) by team split by SLA resolution as stacked bars to 100 %",
    ),
  );
  await expect(figure(page).getByLabel("Legend")).toContainText("met");
  await opensItsRecords(page, 0);
  await page.getByLabel("Close the drawer").click();
  await opensItsRecords(page, 1);
});

test("how often items were handed on, and who passed what to whom", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "list items where reassigned over 0 showing key, title, assignee, reassigned sorted by reassigned descending as list",
    ),
  );
  const rows = figure(page).getByRole("row");
  await expect(rows.nth(1)).toBeVisible();
  const counts = await Promise.all(
    [1, 2, 3].map(async (n) => numberIn(await rows.nth(n).getByRole("cell").last().textContent())),
  );
  expect(counts).toEqual([...counts].sort((a, b) => b - a));
  expect(counts[2]).toBeGreaterThan(0);
  await page.goto(
    reportOf(
      "count moves where field is assignee and old value is not empty and new value is not empty by old value top 6 split by new value top 6 as heat map",
    ),
  );
  await opensItsRecords(page, 1);
});

test("open work by team and priority as a two-way table, the odd cells standing out, by keys alone", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count items where status is open by team split by priority as pivot"));
  const dress = page.getByRole("complementary", { name: "Dress" });
  await dress.getByRole("button", { name: /^Rules/ }).focus();
  await page.keyboard.press("Enter");
  await dress.getByRole("button", { name: /rule/i }).last().focus();
  await page.keyboard.press("Enter");
  await expect(
    figure(page)
      .getByText(/cells?$/)
      .first(),
  ).toBeVisible();
  const cell = figure(page).getByRole("cell").getByRole("button").nth(2);
  const value = numberIn(await cell.textContent());
  await cell.focus();
  await page.keyboard.press("Enter");
  await expect.poll(() => recordsInDrawer(page)).toBe(value);
  await page.getByRole("button", { name: "Swap" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count items where status is open by priority split by team as pivot",
  );
});

test("a donut whose percentages add up", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by service as donut"));
  await expect(marks(page).first()).toBeVisible();
  await page.keyboard.press("t");
  await expect(figure(page).getByRole("table")).toBeVisible();
  const shares = await figure(page)
    .getByRole("row")
    .evaluateAll((rows) =>
      rows
        .map((row) => row.lastElementChild?.textContent ?? "")
        .filter((text) => /^\d+\.\d$/.test(text)),
    );
  expect(shares.length).toBeGreaterThan(3);
  expect(shares.reduce((sum, share) => sum + Math.round(Number(share) * 10), 0)).toBe(1000);
});

test("one report for every manager, showing each only their own, and readers choose what the builder lets them", async ({
  page,
  browser,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("count faults where status is open and team is my team by priority as bars"),
  );
  await page.getByRole("button", { name: /^condition: status/ }).click();
  await page.getByRole("button", { name: "In groups" }).click();
  await page
    .getByRole("group", { name: /^team is my team/ })
    .getByText("readers may")
    .click();
  await page.getByRole("button", { name: "Done" }).click();
  await saveAs(page, "Each their own");
  await page.getByRole("button", { name: "Share", exact: true }).click();
  await page.getByRole("button", { name: "With everyone" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save", exact: true }).click();
  const total = async (one: Page) =>
    numberIn(
      /(\d+) faults/.exec((await one.getByText(/^On \d+ \w+ .* faults/).textContent())!)![1],
    );
  const own = await total(page);
  const context = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const other = await context.newPage();
  await signIn(other, "tomas");
  await other.goto(page.url());
  const theirs = await total(other);
  expect(theirs).not.toBe(own);
  await expect(other.getByRole("button", { name: "Save", exact: true })).toHaveCount(0);
  await other.getByRole("button", { name: /^team: .*Change it/ }).click();
  await other
    .getByRole("dialog")
    .getByRole("radio", { name: "is", exact: true })
    .or(other.getByRole("dialog").getByText("Engine shop"))
    .first()
    .waitFor();
  await other.keyboard.press("Escape");
  await other.goto(
    `${page.url()}?r=${encodeURIComponent(JSON.stringify({ team: "team is not empty" }))}`,
  );
  await expect.poll(() => total(other)).toBeGreaterThan(theirs);
  await other.getByRole("button", { name: "team as its builder said" }).click();
  await expect.poll(() => total(other)).toBe(theirs);
  await context.close();
});

test("a figure checked against a second way of asking", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "count faults where status is open and priority is any of (P1, P2) by priority as bars",
    ),
  );
  await expect(marks(page).first()).toBeVisible();
  await page.keyboard.press("c");
  await choose(page, "Compare with", "a sentence");
  await page
    .getByLabel("A second way of asking")
    .fill(
      "count faults where stage is any of (waiting, under way) and priority is any of (P1, P2)",
    );
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await expect(page.getByText(/^The same records as/)).toBeVisible();
  await page
    .getByLabel("A second way of asking")
    .fill("count faults where status is open and priority is P2");
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  const compare = page.getByRole("region", { name: "Compare" });
  await expect(compare).toContainText("only here");
  await expect(compare).toContainText("priority is P2");
  await page.getByLabel("A second way of asking").fill("count faults were");
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await expect(compare.getByRole("alert")).toContainText(/not understood|expected/);
});

test("handed on: shared, mailed as PDF into the mail room, and taken along as a spreadsheet", async ({
  page,
}, info) => {
  test.setTimeout(150_000);
  await signIn(page, "runa");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  const total = numberIn(
    /(\d+) faults/.exec((await page.getByText(/^On \d+ \w+ .* faults/).textContent())!)![1],
  );
  await saveAs(page, "To hand on");
  await page.getByRole("button", { name: "Export" }).click();
  const download = page.waitForEvent("download");
  await page.getByRole("dialog").getByRole("button", { name: "Download", exact: true }).click();
  const file = await (await download).path();
  const book = new Excel.Workbook();
  await book.xlsx.load(readFileSync(file) as never);
  expect(book.worksheets.length).toBe(3);
  const records = book.worksheets[1];
  expect(records.rowCount - 1).toBe(total);
  expect(records.views[0]).toMatchObject({ state: "frozen", ySplit: 1 });
  await page.getByRole("button", { name: "Mail", exact: true }).click();
  await page.getByLabel("To a person or a team").fill("runa");
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^Runa Vale/ })
    .click();
  await page.getByLabel(/^At/).fill("25:00");
  await expect(page.getByText("Write it as 07:30.")).toBeVisible();
  await page.getByLabel(/^At/).fill("06:45");
  await page.getByRole("button", { name: "Save and send once now" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.goto("/mailings");
  await expect(page.getByRole("link", { name: "To hand on" })).toBeVisible();
  await page.getByRole("button", { name: "Mail room" }).click();
  await expect(async () => {
    await page.getByRole("button", { name: "Look again" }).first().click();
    await expect(page.getByRole("button", { name: /^To hand on/ }).first()).toBeVisible({
      timeout: 3000,
    });
  }).toPass({ timeout: 110_000 });
  await page
    .getByRole("button", { name: /^To hand on/ })
    .first()
    .click();
  const href = await page.getByRole("link", { name: /To-hand-on\.pdf/ }).getAttribute("href");
  const pdf = join(info.outputDir, "mailed.pdf");
  const body = await (await page.request.get(href!)).body();
  execFileSync("mkdir", ["-p", info.outputDir]);
  writeFileSync(pdf, body);
  const text = execFileSync("pdftotext", ["-layout", pdf, "-"]).toString();
  expect(text).toContain("To hand on");
  expect(text).toContain("count faults where status is open by priority as bars");
  expect(text).toMatch(new RegExp(`${total} faults`));
  expect(text).toContain("How it was counted");
  expect(text).toMatch(/The live report: http:\/\/127\.0\.0\.1:\d+\/reports\/\d+/);
});
