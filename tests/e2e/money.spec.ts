import { expect, test } from "./lanes";
import { marks, recordsInDrawer, reportOf, signIn, valueOf } from "./support";

test("a curve of cost tells itself in words and as a table, and opens its projects", async ({
  page,
}) => {
  await signIn(page, "runa");
  await page.goto(reportOf("S-curve of cost of projects by month for this year as S-curve"));
  await expect(page.getByText(/spent until now, .* planned until the end of/)).toBeVisible();
  await expect(page.getByRole("heading", { name: "Within each stretch" })).toBeVisible();
  await marks(page).first().click();
  expect(await recordsInDrawer(page)).toBe(10);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "As a table" }).click();
  await expect(page.getByRole("columnheader", { name: "projected" })).toBeVisible();
  await page.getByRole("button", { name: /^what grows: cost/ }).click();
  await page.getByRole("radio", { name: /^earned value/ }).click({ force: true });
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await expect(page.getByText(/What is done is worth/)).toBeVisible();
});

test("what a project cost opens down to what somebody booked", async ({ page }) => {
  await signIn(page, "runa");
  await page.goto(
    reportOf(
      'count cost entries where project is "Heron refit" and spent on until today by category as bars',
    ),
  );
  const labour = marks(page)
    .filter({ hasText: /^labour/ })
    .or(page.getByLabel(/^labour: /))
    .first();
  const booked = await valueOf(labour);
  await labour.click();
  expect(await recordsInDrawer(page)).toBe(booked);
  await expect(
    page.getByLabel("Records and workings").getByRole("cell", { name: "labour" }).first(),
  ).toBeVisible();
});

test("who sees no money is told so, cell by cell, and keeps what is not money", async ({
  page,
}) => {
  await signIn(page, "tomas");
  await page.goto(reportOf("sum of budget of projects as number"));
  await expect(
    page.getByText("Not yours to see: it tells of the money of projects."),
  ).toBeVisible();
  await page.goto(reportOf("list projects showing project, budget, actual percent as list"));
  const row = page.getByRole("row", { name: /Booking site 3/ });
  await expect(row).toContainText("not yours to see");
  await expect(row).toContainText("70 %");
});

test("what cannot be asked of money and of people is told at its place, and nothing is lost", async ({
  page,
}) => {
  await signIn(page, "runa");
  for (const [sentence, told] of [
    ["sum of budget used of projects", "budget used is a share and does not add up"],
    ['measure "utilisation" of person days by person', "say which days"],
    ["S-curve of cost of items by month for this year", "only projects have plans and budgets"],
  ]) {
    await page.goto(reportOf(sentence));
    await expect(page.locator("[id$='-error']")).toContainText(told);
    await expect(page.getByRole("combobox", { name: "The sentence" })).toHaveValue(sentence);
  }
});

test("who owes a weekly word is asked for any week", async ({ page }) => {
  await signIn(page, "runa");
  await page.goto(
    reportOf("list projects where owes a weekly word for last week showing project as list"),
  );
  await expect(page.getByRole("table").getByText("Crew app")).toBeVisible();
  await page.getByRole("button", { name: /^condition: owes a weekly word/ }).click();
  const weeks = page.getByLabel("For the weeks that begin in");
  await weeks.fill("last weke");
  await expect(page.getByText(/is not a period|was not understood/).first()).toBeVisible();
  await weeks.fill("last 3 full weeks");
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await expect(page.getByRole("button", { name: /for last 3 full weeks/ })).toBeVisible();
  await expect(page.getByRole("table").getByText("Crew app")).toBeVisible();
});
