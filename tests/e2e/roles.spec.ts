import { expect, test } from "./lanes";
import { marks, reportOf, signIn } from "./support";

test("a member reads and opens, and is not offered what is not theirs to do", async ({ page }) => {
  await signIn(page, "tomas");
  await expect(page.getByRole("link", { name: "Settings" })).toHaveCount(0);
  await expect(page.getByRole("button", { name: "New dashboard" })).toHaveCount(0);
  await page.goto(
    reportOf("count faults where team is my team and status is open by priority as bars"),
  );
  await expect(marks(page).first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Save", exact: true })).toHaveCount(0);
  for (const path of [
    "/settings/people",
    "/settings/imports",
    "/items/NONE-1",
    "/reports/99999",
    "/dashboards/99999",
  ]) {
    await page.goto(path);
    await expect(page.getByRole("heading", { name: "There is nothing here" })).toBeVisible();
  }
});

test("what is hidden reads as what does not exist", async ({ page }) => {
  await signIn(page, "tomas");
  const told: string[] = [];
  for (const project of ["Heron refit", "Xeron refit"]) {
    await page.goto(reportOf(`count items where project is "${project}"`));
    told.push((await page.locator("[id$='-error']").textContent())!.replaceAll(project, "…"));
  }
  expect(told[0]).toContain("there is no project");
  expect(told[0]).toBe(told[1]);
});

test("an item changes by its sentence, each change is a move, and undo is the opposite one", async ({
  page,
}) => {
  await signIn(page, "sunniva");
  await page.goto(
    reportOf('list faults where status is "In hand" and team is my team showing key, title'),
  );
  await page.getByRole("table").getByRole("link").first().click();
  await page.waitForURL("**/items/**");
  const moves = page.getByRole("region", { name: "Moves" }).getByRole("row");
  const before = await moves.count();
  await page.getByRole("button", { name: /^status: In hand/ }).click();
  await page.getByRole("radio", { name: /^On trial/ }).click({ force: true });
  await expect(page.getByRole("button", { name: /^status: On trial/ })).toBeVisible();
  await expect(moves).toHaveCount(before + 1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: /^status: In hand/ })).toBeVisible();
  await expect(moves).toHaveCount(before + 2);
  await page.reload();
  await expect(moves).toHaveCount(before + 2);
});

test("an invitation lets somebody choose a password, once", async ({ page, browser }) => {
  await signIn(page, "runa");
  await page.goto("/settings/people");
  await page.getByLabel("Find somebody").fill("mika");
  await page.getByRole("button", { name: "Invite" }).click();
  const href = await page.getByRole("dialog").getByLabel("Link").inputValue();
  const guest = await (await browser.newContext()).newPage();
  await guest.goto(href);
  await guest.getByLabel(/New password/).fill("short");
  await guest.getByRole("button", { name: "Come in" }).click();
  await expect(guest.getByText("A password has at least 8 characters.")).toBeVisible();
  await guest.getByLabel(/New password/).fill("long enough now");
  await guest.getByRole("button", { name: "Come in" }).click();
  await guest.waitForURL(/\/dashboards(\/\d+)?$/);
  await guest.goto(href);
  await expect(guest.getByRole("heading", { name: "This link is over" })).toBeVisible();
});
