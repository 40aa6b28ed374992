import { expect, test } from "./lanes";
import { reportOf, signIn, typeDay } from "./support";

test("a dashboard is looked at as it stood, by a date in its bar that stays in the address", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/dashboards/1");
  const tile = page.getByRole("article").first();
  await expect(tile).toContainText("as of");
  const now = await tile.textContent();
  await typeDay(page, "As it stood on", "2026-07-31");
  await expect(page.getByText("as it stood on Fri 31 Jul 2026")).toBeVisible();
  await expect(page).toHaveURL(/\?stood=2026-07-31$/);
  await expect(tile).toContainText("as it stood");
  expect(await tile.textContent()).not.toBe(now);
  await page.reload();
  await expect(page.getByRole("button", { name: "As it stood on 31 Jul 2026" })).toBeVisible();
  await expect(page.getByRole("article").first()).toContainText("as it stood");
  await page.getByRole("button", { name: "Back to now" }).click();
  await expect(page.getByRole("article").first()).not.toContainText("as it stood");
  await expect(page).toHaveURL(/\/dashboards\/1$/);
});

test("what an earlier day does not tell is named under the figure and in the workings", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "count faults where tags include any of (storm) by priority as it stood on 2026-07-31 as bars",
    ),
  );
  await expect(page.getByText("Not known of then, and taken as it is now: tags.")).toBeVisible();
  await page.keyboard.press("w");
  await expect(
    page.getByText(/tags: only as it is now, for the past of it is not kept/),
  ).toBeVisible();
  await page.goto(
    reportOf("count faults where status is open by priority as it stood on 2026-07-31 as bars"),
  );
  await expect(page.getByText("as it stood").first()).toBeVisible();
  await expect(page.getByText("Not known of then")).toHaveCount(0);
});
