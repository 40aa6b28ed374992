import { expect, test } from "./lanes";
import { choose, dragAcross, signIn } from "./support";

test("a release is seen as a sprint is: what is left, what is in it, its items and its briefing", async ({
  page,
}) => {
  await signIn(page, "runa");
  await page.goto("/sprints");
  await page.getByRole("link", { name: "Releases" }).click();
  await page.waitForURL(/\/releases\/\d+$/);
  await expect(page.getByRole("group", { name: "What is left" }).first()).toBeVisible();
  const scope = page.getByText(/items are in it; \d+ of them/);
  const all = Number(/(\d+) items are in it/.exec((await scope.innerText())!)![1]);
  await scope.getByRole("button", { name: `${all} items` }).click();
  await expect(
    page.getByRole("region", { name: "Records" }).getByText(`${all} items`),
  ).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("tab", { name: "Board" }).click();
  await page.getByRole("button", { name: /This release shows, too/ }).click();
  await page.getByRole("option", { name: "Desk morning" }).click();
  await expect(page.getByRole("region", { name: "Desk morning" })).toBeVisible();
  await page.getByRole("tab", { name: "Items" }).click();
  await expect(page.getByRole("heading", { name: "Open items" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("tab", { name: "Items" })).toHaveAttribute("aria-selected", "true");
  await page.getByRole("tab", { name: "Briefings" }).click();
  await page.getByRole("button", { name: "New briefing" }).click();
  await page.waitForURL(/\/briefings\/\d+$/);
  await expect(page.getByRole("heading", { name: "Scope" })).toBeVisible();
});

test("somebody sees whether the running sprint will make it, and what came into the one before", async ({
  page,
}) => {
  await signIn(page, "aoife");
  await page.getByRole("link", { name: "Sprints" }).click();
  await page.waitForURL(/\/sprints\/\d+$/);
  const ledger = page.getByRole("complementary", { name: "Scope ledger" });
  await expect(ledger.getByText(/^left at/)).toBeVisible();
  await expect(page.getByRole("region", { name: "When will it be done?" })).toContainText(
    /run|A likelihood needs|Nothing that is estimated/,
  );
  // The lines add up to what is left; what was finished before stands apart.
  const amounts = await ledger
    .locator("section:not(.finished-before) > button > b")
    .allTextContents();
  const numbers = amounts.map((text) => Number(text.replace(/[\u202f +]/g, "").replace("−", "-")));
  expect(numbers.slice(0, -1).reduce((sum, n) => sum + n, 0)).toBe(numbers[numbers.length - 1]);
  const name = await page.getByRole("heading", { level: 1 }).textContent();
  await page.getByRole("button", { name: "The sprint before" }).click();
  await expect(page.getByRole("heading", { level: 1 })).not.toHaveText(name!);
  await expect(ledger.getByText("left when it was closed")).toBeVisible();
  await expect(page.getByText("Only a sprint that is running has a likelihood.")).toBeVisible();
});

test("the unit is remembered, a list opens its records, and leaves go by keys", async ({
  page,
}) => {
  await signIn(page, "aoife");
  await page.goto("/sprints");
  await choose(page, "Counted in", "items");
  const left = page.getByRole("button", { name: /^left at/ });
  await expect(left).toContainText(/\d+ items?/);
  const count = Number(/(\d+) items?/.exec((await left.textContent())!)![1]);
  await left.click();
  await expect(page.getByRole("list", { name: /^left at/ }).getByRole("listitem")).toHaveCount(
    Math.min(count, 8),
  );
  await page.getByRole("button", { name: "As records" }).click();
  await expect(page.getByRole("region", { name: "Records" }).getByRole("row")).toHaveCount(
    count + 1,
  );
  await page.getByRole("button", { name: "Close the records" }).click();
  await page.reload();
  await expect(page.getByRole("button", { name: "Counted in items" })).toBeVisible();
  await page.getByRole("tab", { name: "Burndown" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("group", { name: /^Burn-up of/ })).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("tab", { name: "Cumulative flow" })).toHaveAttribute(
    "aria-selected",
    "true",
  );
  await expect(
    page.getByRole("group", { name: "Statuses in the flow" }).getByRole("checkbox").first(),
  ).toBeVisible();
  // A sprint that has just begun has no two days to measure between.
  const running = page.url();
  await page.getByRole("button", { name: "The sprint before" }).click();
  await page.waitForURL((url) => url.href !== running);
  await page.getByRole("tab", { name: "Cumulative flow" }).click();
  await expect(
    page.getByRole("group", { name: "Statuses in the flow" }).getByRole("checkbox").first(),
  ).toBeVisible();
  await dragAcross(page, 0.15, 0.8);
  const widths = page.getByRole("table", { name: "Widths" });
  await expect(widths.getByRole("columnheader", { name: "time through it" })).toBeVisible();
  await widths.getByRole("button", { name: "Done measuring" }).click();
  await expect(widths).toHaveCount(0);
  await page.getByRole("button", { name: "measure it" }).press("Enter");
  const from = widths.getByRole("button", { name: /^From the end of/ });
  const first = await from.textContent();
  await from.press("ArrowRight");
  await expect(from).not.toHaveText(first!);
  await page.getByRole("link", { name: "As a report" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    /^level of items where sprint is .* split by status as area$/,
  );
});
