import { expect, test } from "./lanes";
import { marks, recordsInDrawer, reportOf, signIn, valueOf } from "./support";

/** Every bar opens exactly its records, and together they are the figure. */
const REPORTS = [
  "count faults where status is open by priority as bars",
  'count requests by status folding (Logged, Triaged as "Not begun") without Withdrawn as columns',
  "count items where status is open by assignee top 4 as bars",
];

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
