import { expect, test } from "./lanes";
import { signIn } from "./support";

test("the list of items is narrowed by its sentence, keeps its place in the address, and can be kept as a report", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.getByRole("link", { name: "Items", exact: true }).click();
  await page.waitForURL(/\/items$/);
  const heading = page.getByRole("heading", { level: 1 });
  await expect(heading).toHaveAccessibleName(/^list items where status is open showing key/);
  const count = page.locator("[role=status] .big");
  await expect(count).toHaveText(/\d/);
  const all = Number((await count.textContent())!.replace(/\D/g, ""));
  await page
    .getByRole("button", { name: /^items\b|: items/ })
    .first()
    .click();
  await page.getByRole("radio", { name: /^faults/ }).click({ force: true });
  await page.keyboard.press("Escape");
  await expect(heading).toHaveAccessibleName(/^list faults where status is open/);
  await expect(page).toHaveURL(/\/items\?s=list%20faults/);
  await expect
    .poll(async () => Number((await count.textContent())!.replace(/\D/g, "")))
    .toBeLessThan(all);
  const faults = await count.textContent();
  await page.reload();
  await expect(count).toHaveText(faults!);
  await page.keyboard.press("Control+z");
  await page.getByRole("link", { name: "Keep as a report" }).click();
  await page.waitForURL(/\/reports\/new\?s=/);
  await expect(heading).toHaveAccessibleName(/^list faults where status is open/);
});

test("who sees not everything reads so, and asks to see more; a report is kept for oneself", async ({
  page,
}) => {
  await signIn(page, "tomas");
  await page.goto("/items");
  await page.getByRole("button", { name: /^counted over what Tomas may see: \d+ project/ }).click();
  await page.getByRole("button", { name: "Ask to see more" }).click();
  await expect(page.getByText("The administrators were told by mail.")).toBeVisible();
  await page.getByRole("link", { name: "Keep as a report" }).click();
  await page.getByRole("button", { name: "Keep for myself" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Only for me");
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  await expect(page.getByRole("button", { name: "Mail", exact: true })).toHaveCount(0);
  await page.goto("/reports");
  await expect(page.getByRole("link", { name: "Only for me" })).toBeVisible();
});

test("a dashboard begins with what was chosen for it, and asks for its name", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/dashboards");
  await page.getByRole("button", { name: "New dashboard" }).click();
  await page.getByRole("radio", { name: /^Promises/ }).click({ force: true });
  await page.getByLabel("Name", { exact: true }).fill("My promises");
  await page.getByRole("dialog").getByRole("button", { name: "Make it" }).click();
  await page.waitForURL(/\/dashboards\/\d+$/);
  await expect(page.getByRole("heading", { level: 1, name: "My promises" })).toBeVisible();
  await expect(page.getByRole("article", { name: "Promises kept", exact: true })).toContainText(
    "%",
  );
  await expect(page.getByRole("article")).toHaveCount(6);
});
