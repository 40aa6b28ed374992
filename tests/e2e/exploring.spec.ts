import { expect, test, type Page } from "@playwright/test";
import { dragAcross, reportOf, saveAs, signIn } from "./support";

const sentence = (page: Page) => page.getByRole("heading", { level: 1 });
const explore = (page: Page) => page.getByRole("region", { name: "Explore" });

test("why the backlog grows: the trend, two priorities alone, coarser, and what made the difference; each step leads back", async ({ page }) => {
  await signIn(page, "ines");
  const start = "level of faults where status is open at month ends for last 18 months split by priority as area";
  await page.goto(reportOf(start));
  await expect(explore(page).getByRole("status", { name: "Rate" })).toContainText(/[+−] .* a week/);
  await explore(page).getByRole("checkbox", { name: "P1" }).check({ force: true });
  await explore(page).getByRole("checkbox", { name: "P2" }).check({ force: true });
  await explore(page).getByRole("button", { name: "Only these 2" }).click();
  await expect(sentence(page)).toHaveAccessibleName("level of faults where status is open and priority is any of (P1, P2) at month ends for last 18 months split by priority as area");
  await explore(page).getByRole("button", { name: "By quarter" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/at quarter ends/);
  await explore(page).getByRole("button", { name: "What made the difference" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/^bridge of faults where status is open and priority is any of \(P1, P2\) from \d{4}-\d\d-\d\d to \d{4}-\d\d-\d\d as waterfall$/);
  for (let step = 0; step < 3; step += 1) await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(sentence(page)).toHaveAccessibleName(start);
});

test("a stretch is dragged across a trend, told by the week beside the one before, and looked at closer", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("level of faults where status is open at month ends for last 18 months as line"));
  await expect(explore(page)).toBeVisible();
  await dragAcross(page, 0.5, 0.8);
  await expect(explore(page).getByRole("status", { name: "Rate" })).toContainText("the stretch before");
  await explore(page).getByRole("button", { name: "Closer" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/at month ends for \d{4}-\d\d-\d\d to \d{4}-\d\d-\d\d as line$/);
});

test("a finding is kept with the report, and leads back to its step", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("level of requests where status is open at month ends for last 12 months as line"));
  await expect(explore(page).getByRole("button", { name: "Save the report to keep findings" })).toBeDisabled();
  await saveAs(page, "Open requests, followed");
  await explore(page).getByRole("button", { name: "By quarter" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/at quarter ends/);
  await explore(page).getByRole("button", { name: "Keep a finding" }).click();
  const dialog = page.getByRole("dialog", { name: "Keep a finding" });
  await dialog.getByLabel("In words").fill("");
  await expect(dialog.getByText("Say what was found.")).toBeVisible();
  await dialog.getByLabel("In words").fill("Requests wait longer since the summer");
  await dialog.getByRole("button", { name: "Keep it" }).click();
  await explore(page).getByRole("button", { name: "1 finding" }).click();
  const list = page.getByRole("dialog", { name: "Findings" });
  await expect(list).toContainText("Requests wait longer since the summer");
  await list.getByRole("link", { name: "Go there" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/^level of requests where status is open at quarter ends/);
});
