import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { expect, test, type Page } from "./lanes";
import { PASSWORD, recordsInDrawer, signIn } from "./support";

const strip = (page: Page) => page.getByLabel("What narrows");
const tile = (page: Page, name: string) => page.getByRole("article", { name, exact: true });
/** What the tile of one number says. */
const numberOf = async (page: Page, name: string): Promise<number> => {
  const label = await tile(page, name)
    .getByRole("button", { name: /Open the records$/ })
    .first()
    .getAttribute("aria-label");
  return Number(/: ([\d\u202f]+)/.exec(label!)![1].replace(/\u202f/g, ""));
};

test("filters narrow the tiles that listen, one offers what another leaves, and what was chosen is kept for oneself", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  await expect(tile(page, "Open faults")).toContainText("as of");
  const all = await numberOf(page, "Open faults");
  await strip(page)
    .getByRole("button", { name: /^team: any/ })
    .click();
  const picker = page.getByRole("dialog", { name: "team" });
  await picker.locator(".rows").getByRole("checkbox").first().check({ force: true });
  await picker.getByRole("button", { name: "Done" }).click();
  await expect(strip(page).getByText("set by you")).toBeVisible();
  await expect(
    strip(page)
      .getByText(/depends on team: offers \d+/)
      .first(),
  ).toBeVisible();
  await expect(tile(page, "Open faults")).toContainText("1 filter");
  await expect.poll(() => numberOf(page, "Open faults")).toBeLessThan(all);
  const narrowed = await numberOf(page, "Open faults");

  await page.waitForTimeout(900);
  await page.goto("/dashboards");
  await page.goto("/dashboards/1");
  await expect(page.getByText("The dashboard is narrowed as you left it.")).toBeVisible();
  await expect.poll(() => numberOf(page, "Open faults")).toBe(narrowed);
  await strip(page).getByRole("button", { name: "Clear all" }).click();
  await expect.poll(() => numberOf(page, "Open faults")).toBe(all);
  await expect(strip(page).getByRole("button", { name: "Clear all" })).toHaveCount(0);
  await page.waitForTimeout(900);
});

test("a part of a chart narrows the other tiles, opens its records in one step more, and ends when pressed again", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  const bars = tile(page, "Open faults by priority");
  const part = bars.getByRole("button", { name: /^P3, Waiting for parts: / });
  await expect(part).toBeVisible();
  const value = Number(/: (\d+)/.exec((await part.getAttribute("aria-label"))!)![1]);
  const all = await numberOf(page, "Open faults");
  await part.click();
  await expect(strip(page)).toContainText("beam from Open faults by priority");
  await expect.poll(() => numberOf(page, "Open faults")).toBe(value);
  await expect(bars).toContainText("beam starts here");
  await expect(bars.getByRole("button", { name: /^P2, / }).first()).toBeVisible();

  await strip(page).getByRole("button", { name: "Records" }).click();
  await expect(page.getByRole("table", { name: `${value} records` })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.reload();
  await expect.poll(() => numberOf(page, "Open faults")).toBe(value);
  await strip(page)
    .getByRole("button", { name: /^End the beam/ })
    .click();
  await expect.poll(() => numberOf(page, "Open faults")).toBe(all);
});

test("a filter for oneself and a word for every tile narrow, and are named by a tile that they empty", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  await expect(tile(page, "Open faults")).toContainText("as of");
  await strip(page).getByLabel("Find in the records of every tile").fill("no title is called this");
  await page.keyboard.press("Enter");
  await expect(tile(page, "Open faults")).toContainText("nothing left by your own filter");
  await strip(page).getByRole("button", { name: "Clear all" }).click();
  await expect(tile(page, "Open faults")).not.toContainText("nothing left");
});

test("a builder lays out decks, filters and words; a deck that is put away shows its figures", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards");
  await page.getByRole("button", { name: "New dashboard" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Laid out");
  await page.getByRole("dialog").getByRole("button", { name: "Make it" }).click();
  await page.waitForURL(/\/dashboards\/\d+/);
  await page.getByRole("button", { name: "Deck", exact: true }).click();
  await page.getByLabel("Title of the deck").fill("Every morning");
  await page.getByLabel("Find a report").fill("Open faults");
  await page.getByRole("button", { name: "Open faults", exact: true }).click();
  await page.getByRole("button", { name: "Words", exact: true }).click();
  await page.getByRole("button", { name: "Settings of this tile" }).last().click();
  await page.getByLabel("Words, in Markdown").fill("Look at *P1* first. <b>Not markup</b>");
  await page.getByLabel("Title of its own").fill("How to read it");
  await page.getByRole("dialog").getByRole("button", { name: "Done" }).click();
  await page
    .getByRole("region", { name: "Filters" })
    .getByRole("button", { name: "Filter" })
    .click();
  await page
    .getByRole("dialog")
    .getByRole("radio", { name: "priority", exact: true })
    .click({ force: true });
  await expect(page.getByText("The one tile listens to priority.")).toBeVisible();
  await page.getByRole("button", { name: "Save dashboard" }).click();

  await expect(page.getByRole("heading", { name: "Every morning" })).toBeVisible();
  await expect(tile(page, "How to read it").getByText("<b>Not markup</b>")).toBeVisible();
  await expect(strip(page).getByRole("button", { name: /^priority: any/ })).toBeVisible();
  await page.getByRole("button", { name: "Put away Every morning" }).click();
  await expect(page.getByText("2 tiles, put away")).toBeVisible();
  await page.getByRole("button", { name: /^\d+ Open faults$/ }).click();
  expect(await recordsInDrawer(page).catch(() => -1)).not.toBe(0);
});

test("all of it goes out as PDF, as it is seen: narrowed, in words at its head, tile by tile", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  const whole = await numberOf(page, "Open faults");
  await tile(page, "Open faults by priority")
    .getByRole("button", { name: /^P3, Waiting for parts: / })
    .click();
  await expect(strip(page)).toContainText("beam from Open faults by priority");
  await expect.poll(() => numberOf(page, "Open faults")).not.toBe(whole);
  const value = await numberOf(page, "Open faults");
  await page.getByRole("button", { name: "More", exact: true }).click();
  const [file] = await Promise.all([
    page.waitForEvent("download", { timeout: 60_000 }),
    page.getByRole("menuitem", { name: "All of it as PDF" }).click(),
  ]);
  const text = execFileSync("pdftotext", ["-layout", await file.path(), "-"], { encoding: "utf8" });
  expect(text).toContain("Desk morning");
  expect(text).toMatch(/where priority is P3 and status is "?Waiting for parts/);
  for (const name of ["Right now", "The long view", "What came and went", "Oldest open faults"])
    expect(text).toContain(name);
  expect(text).toMatch(new RegExp(`\\b${value}\\b`));
  expect(text).toMatch(/page 1 of \d/);
  // The same on sheets.
  await page.getByRole("button", { name: "More", exact: true }).click();
  const [sheets] = await Promise.all([
    page.waitForEvent("download", { timeout: 60_000 }),
    page.getByRole("menuitem", { name: "All of it on sheets" }).click(),
  ]);
  expect(sheets.suggestedFilename()).toBe("Desk morning.xlsx");
  expect(
    readFileSync(await sheets.path())
      .subarray(0, 2)
      .toString(),
  ).toBe("PK");
});

test("the wall shows page after page by itself, turned by arrows and held by Space", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("menuitem", { name: "On the wall" }).click();
  await page.waitForURL("**/wall/1");
  await expect(page.getByText("Right now")).toBeVisible();
  await expect(page.getByRole("article", { name: "Open faults", exact: true })).toContainText(/\d/);
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("The long view")).toBeVisible();
  await page.keyboard.press(" ");
  await expect(page.getByText("held; Space goes on")).toBeVisible();
});

test("an open dashboard hears of a change that its viewer may see", async ({ page, browser }) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  await expect(tile(page, "Open faults")).toContainText("as of");
  const before = await numberOf(page, "Open faults");
  const key = await tile(page, "Oldest open faults")
    .getByRole("link", { name: /^D\d+$/ })
    .first()
    .textContent();
  const other = await (await browser.newContext()).newPage();
  const { origin } = new URL(page.url());
  await other.goto(`${origin}/sign-in`);
  await other.getByLabel("Login or mail address").fill("ines");
  await other.getByLabel("Password", { exact: true }).fill(PASSWORD);
  await other.getByRole("button", { name: "Come in", exact: true }).click();
  await other.waitForURL(/\/dashboards/);
  await other.goto(`${origin}/items/${key}`);
  await other.getByRole("button", { name: /^status: / }).click();
  await other.getByRole("radio", { name: /^Withdrawn/ }).click({ force: true });
  await expect.poll(() => numberOf(page, "Open faults"), { timeout: 15_000 }).toBe(before - 1);
  await other.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => numberOf(page, "Open faults"), { timeout: 15_000 }).toBe(before);
  await other.close();
});
