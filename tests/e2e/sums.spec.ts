import { expect, test } from "./lanes";
import { marks, recordsInDrawer, reportOf, signIn, valueOf } from "./support";

/** Every bar opens exactly its records, and together they are the figure. */
const REPORTS = [
  "count faults where status is open by priority as bars",
  'count requests by status folding (Logged, Triaged as "Not begun") without Withdrawn as columns',
  "count items where status is open by assignee top 4 as bars",
];

test("while the records of another bar are read, no count of the one before stands beside its name", async ({
  page,
}) => {
  await signIn(page, "runa");
  await page.goto(reportOf(REPORTS[0]));
  await marks(page).first().focus();
  await page.keyboard.press("Enter");
  expect(await recordsInDrawer(page)).toBe(await valueOf(marks(page).first()));
  let answer = () => {};
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route("**/api/room/records", async (route) => {
    await held;
    await route.continue();
  });
  const next = marks(page).nth(1);
  const name = (await next.getAttribute("aria-label"))!.split(":")[0];
  await next.focus();
  await page.keyboard.press("Enter");
  const status = page.getByLabel("Records and workings").getByRole("status").first();
  await expect(status).toContainText(name);
  await expect(status).not.toContainText("·");
  answer();
  expect(await recordsInDrawer(page)).toBe(await valueOf(next));
});

for (const sentence of REPORTS) {
  test(`the records behind the bars add up: ${sentence}`, async ({ page }) => {
    await signIn(page, "runa");
    await page.goto(reportOf(sentence));
    await expect(marks(page).first()).toBeVisible();
    let sum = 0;
    const bars = await marks(page).count();
    for (let i = 0; i < bars; i += 1) {
      const bar = marks(page).nth(i);
      const value = await valueOf(bar);
      const label = (await bar.getAttribute("aria-label"))!.split(":")[0];
      await bar.focus();
      await page.keyboard.press("Enter");
      await expect(
        page.getByLabel("Records and workings").getByRole("status").first(),
      ).toContainText(label);
      expect(await recordsInDrawer(page)).toBe(value);
      sum += value;
    }
    await page.keyboard.press("t");
    const total = page.getByRole("button", { name: /^all: / });
    expect(await valueOf(total)).toBe(sum);
    await total.click();
    expect(await recordsInDrawer(page)).toBe(sum);
  });
}
