import { execFileSync } from "node:child_process";
import { expect, test, type Page } from "./lanes";
import { choose, signIn } from "./support";

test.describe.configure({ mode: "serial" });

const leaf = (page: Page, name: string | RegExp) => page.getByRole("tab", { name });

async function openHeron(page: Page, login = "runa"): Promise<void> {
  await signIn(page, login);
  await page.goto("/projects");
  await page
    .getByRole("table", { name: "Verdicts" })
    .getByRole("link", { name: "Heron refit" })
    .click();
  await expect(page.getByRole("heading", { name: "Heron refit", level: 1 })).toBeVisible();
}

test("the portfolio says which need a hand, is narrowed by a sentence, and keeps that in its address", async ({
  page,
}) => {
  await signIn(page, "runa");
  await page.goto("/projects");
  await expect(page.getByText(/^Of 10 projects, /)).toBeVisible();
  const verdicts = page.getByRole("table", { name: "Verdicts" });
  await expect(verdicts.getByRole("row")).toHaveCount(11);
  await choose(page, "portfolio", "Fleet");
  await expect(page.getByText(/^Of \d projects, /)).toBeVisible();
  const narrowed = await verdicts.getByRole("row").count();
  expect(narrowed).toBeLessThan(11);
  await page.reload();
  await expect(verdicts.getByRole("row")).toHaveCount(narrowed);
  await leaf(page, "List").click();
  await expect(page.getByRole("table", { name: "Projects", exact: true })).toBeVisible();
});

test("a red figure of a project opens down to what somebody booked", async ({ page }) => {
  await openHeron(page);
  await page.getByRole("button", { name: /^€/ }).first().click();
  const records = page.getByLabel("Records", { exact: true });
  await expect(records.getByRole("cell", { name: "labour" }).first()).toBeVisible();
  await records.getByRole("button", { name: "Close the records" }).click();
  await expect(records).toBeHidden();
});

test("a bar is moved by keys with what follows, says before what that does, and moves back", async ({
  page,
}) => {
  await openHeron(page);
  await leaf(page, "Timeline").click();
  const bar = page.getByRole("gridcell", { name: /^Wiring loom/ });
  await bar.focus();
  const before = (await bar.getAttribute("aria-label"))!;
  await page.keyboard.press("Shift+ArrowRight");
  const foot = page.getByRole("region", { name: "Moving Wiring loom" });
  await expect(foot.getByRole("table", { name: "What would follow" }).getByRole("row")).toHaveCount(
    3,
  );
  await expect(foot.getByText(/\(\+7 d\)/)).toBeVisible();
  await foot.getByRole("button", { name: "Move what follows" }).click();
  await expect(page.getByText(/Wiring loom is due on .*, with 2 that follow/)).toBeVisible();
  await expect(bar).not.toHaveAttribute("aria-label", before);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bar).toHaveAttribute("aria-label", before);
});

test("the timeline is printed over pages, its names on each", async ({ page }, info) => {
  await signIn(page, "runa");
  await page.goto("/projects?leaf=timeline");
  await expect(page.getByRole("grid", { name: "Timeline" })).toBeVisible();
  const path = info.outputPath("timeline.pdf");
  await page.pdf({ path, format: "A4", landscape: true, printBackground: true });
  const pages = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" })
    .split("\f")
    .filter((text) => text.trim());
  expect(pages.length).toBeGreaterThan(1);
  for (const text of pages) expect(text).toContain("Heron refit");
  // What is for the screen alone is not on paper.
  expect(pages.join("")).not.toContain("Dashboards");
});

test("a project's own bar is moved by keys with what is still to come of it, and moves back", async ({
  page,
}) => {
  await openHeron(page);
  await leaf(page, "Timeline").click();
  const bar = page.getByRole("gridcell", { name: /^Heron refit: / });
  const part = page.getByRole("gridcell", { name: /^Wiring loom/ });
  await bar.focus();
  const [before, partBefore] = [
    (await bar.getAttribute("aria-label"))!,
    (await part.getAttribute("aria-label"))!,
  ];
  await page.keyboard.press("Shift+ArrowRight");
  const foot = page.getByRole("region", { name: "Moving Heron refit" });
  await expect(foot.getByText(/ends .*\(\+7 d\)/)).toBeVisible();
  await expect(foot.getByRole("table", { name: "What would follow" })).toBeVisible();
  await foot.getByRole("button", { name: "Move what follows" }).click();
  await expect(page.getByText(/Heron refit ends on .*, with \d+ parts\./)).toBeVisible();
  await expect(part).not.toHaveAttribute("aria-label", partBefore);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bar).toHaveAttribute("aria-label", before);
  await expect(part).toHaveAttribute("aria-label", partBefore);
});

test("a weekly word is handed in, and who has not is asked by mail", async ({ page }) => {
  await openHeron(page);
  await leaf(page, "Words").click();
  const form = page.getByRole("form", { name: "Your weekly word" });
  await form.getByRole("button", { name: "Hand in" }).click();
  await expect(form.getByRole("alert")).toContainText("Say how it is");
  await form.getByRole("radio", { name: "worried" }).check({ force: true });
  await form.getByLabel("What was done").fill("The loom is in.");
  await page.reload();
  await expect(form.getByLabel("What was done")).toHaveValue("The loom is in.");
  await form.getByRole("button", { name: "Hand in" }).click();
  await expect(page.getByText("Your word is handed in.")).toBeVisible();
  await expect(page.getByText("The loom is in.").last()).toBeVisible();
  await page.goto("/projects");
  const ask = page.getByRole("button", { name: /^Ask Wren/ }).first();
  await ask.click();
  await expect(page.getByText(/was asked by mail/)).toBeVisible();
  await page.goto("/mailings");
  await page.getByRole("button", { name: /mail room/i }).click();
  await expect(page.getByText(/Crew app: your word for the week of/).first()).toBeVisible();
});

test("a week of hours by keys: typed, corrected, asked back, copied", async ({ page }) => {
  await signIn(page, "tomas");
  await page.goto("/hours?week=2026-11-16");
  const table = page.getByRole("table", { name: "Hours of the week" });
  await expect(table).toBeVisible();
  const box = page.getByRole("combobox");
  await box.fill("Booking site");
  await page.getByRole("option", { name: /Booking site 3 the project itself/ }).click();
  const monday = table.getByRole("textbox", { name: "Booking site 3, Mon 16 Nov" });
  await monday.fill("7,5");
  await monday.press("Tab");
  await expect(monday).toHaveValue("7:30");
  const tuesday = table.getByRole("textbox", { name: "Booking site 3, Tue 17 Nov" });
  await tuesday.fill("lots");
  await tuesday.press("Tab");
  await expect(table.getByRole("alert")).toContainText("hours as 7:30");
  await expect(tuesday).toHaveValue("lots");
  await tuesday.fill("1h 30m");
  await tuesday.press("Tab");
  await expect(tuesday).toHaveValue("1:30");
  await page.reload();
  await expect(monday).toHaveValue("7:30");
  await page.goto("/hours?week=2026-11-23");
  await expect(table).toBeVisible();
  await page.getByRole("button", { name: "Copy last week" }).click();
  await expect(
    page.getByText(/copied from last week|nothing that is not here already/),
  ).toBeVisible();
  await page.goto("/hours?week=2027-02-01");
  await expect(table).toBeVisible();
  await box.fill("Booking site");
  await page.getByRole("option", { name: /Booking site 3 the project itself/ }).click();
  const friday = table.getByRole("textbox", { name: "Booking site 3, Fri 5 Feb" });
  await friday.fill("2");
  await friday.press("Tab");
  const asked = page.getByRole("dialog", { name: "Is that meant?" });
  await expect(asked).toContainText("is still to come");
  await asked.getByRole("button", { name: "No, leave it" }).click();
  await expect(asked).toBeHidden();
});

const askedFor = async (page: Page, data: object) =>
  (
    await page.request.post("/api/export/briefing", {
      data,
      headers: { origin: new URL(page.url()).origin },
    })
  ).status();

test("a briefing is taken along as a PDF, each as they may read it", async ({ page, browser }) => {
  await openHeron(page);
  await page.getByRole("button", { name: "Briefing", exact: true }).click();
  await page.waitForURL(/\/briefings\/\d+$/);
  await expect(page.getByRole("heading", { name: "Heron refit: where it stands" })).toBeVisible();
  const id = Number(/\d+$/.exec(page.url())![0]);
  const [file] = await Promise.all([
    page.waitForEvent("download", { timeout: 60_000 }),
    page.getByRole("button", { name: "PDF", exact: true }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^Heron refit.* where it stands\.pdf$/);
  const text = execFileSync("pdftotext", ["-layout", await file.path(), "-"], { encoding: "utf8" });
  expect(text).toContain("Heron refit: where it stands");
  expect(text).toContain("for Runa Vale");
  expect(text).toContain("€");
  expect(text).not.toContain("Money is not yours to see");
  // What is written in the page stands on the paper, word by word.
  const said = (await page.locator("article p").first().innerText()).replace(/\s+/g, " ");
  expect(text.replace(/\s+/g, " ")).toContain(said);
  expect(await askedFor(page, { id: 999_999 })).toBe(404);
  expect(await askedFor(page, { id: "Heron refit" })).toBe(400);
  const stranger = await (await browser.newContext()).newPage();
  await stranger.goto(new URL("/sign-in", page.url()).href);
  expect(await askedFor(stranger, { id })).toBe(401);
  await stranger.context().close();
});

test("a briefing is mailed to the client's council without the money, and says so", async ({
  page,
}) => {
  test.setTimeout(150_000);
  await signIn(page, "runa");
  await page.goto("/projects");
  await page
    .getByRole("table", { name: "Verdicts" })
    .getByRole("link", { name: "New quay at Oxney" })
    .click();
  await page.getByRole("button", { name: "Briefing", exact: true }).click();
  await page.waitForURL(/\/briefings\/\d+$/);
  await expect(page.getByText(/€/).first()).toBeVisible();
  await page.getByRole("button", { name: "Mail", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("To a person or a team").fill("Dagny");
  await dialog.getByRole("button", { name: /^Dagny Holm/ }).click();
  await dialog.getByRole("button", { name: "Save and send once now" }).click();
  await expect(dialog).toHaveCount(0);
  await page.goto("/mailings");
  await page.getByRole("button", { name: "Mail room" }).click();
  const mail = page.getByRole("button", { name: /^New quay at Oxney: where it stands/ }).first();
  await expect(async () => {
    await page.getByRole("button", { name: "Look again" }).first().click();
    await expect(mail).toBeVisible({ timeout: 3000 });
  }).toPass({ timeout: 110_000 });
  await mail.click();
  const letter = page.getByRole("article");
  await expect(letter).toContainText("Money is not yours to see");
  await expect(letter).not.toContainText("€");
  await expect(letter.getByRole("link", { name: /\.pdf/ })).toBeVisible();
});

test("a briefing is made, written in with a live figure, frozen, and read by who sees no money", async ({
  page,
}) => {
  await openHeron(page);
  await page.getByRole("button", { name: "Briefing", exact: true }).click();
  await page.waitForURL(/\/briefings\/\d+$/);
  await expect(page.getByRole("heading", { name: "Heron refit: where it stands" })).toBeVisible();
  await page.getByRole("button", { name: "Add a part" }).click();
  const words = page.getByLabel(/^Own words/);
  await words.fill(
    "We wait for {count items where project is this project and status is open} things.",
  );
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByText(/We wait for/).last()).toContainText(/We wait for \d+ things\./);
  await page.getByRole("button", { name: "Freeze …" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Title").fill("Heron refit, for the council");
  await dialog.getByRole("button", { name: "Freeze", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Heron refit, for the council" })).toBeVisible();
  await expect(page.getByText(/^Frozen as it stood on/).first()).toBeVisible();
  const address = page.url();
  await page.goto("/briefings");
  await expect(page.getByRole("link", { name: "Heron refit, for the council" })).toBeVisible();
  await page.context().clearCookies();
  await signIn(page, "halvard");
  await page.goto(address);
  await expect(
    page
      .getByText("There is nothing here")
      .or(page.getByText("Money is not yours to see.").first()),
  ).toBeVisible();
});
