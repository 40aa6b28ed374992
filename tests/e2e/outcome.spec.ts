import { expect, test } from "./lanes";
import { marks, recordsInDrawer, signIn, valueOf } from "./support";

const SENTENCE = "count faults where status is open by priority as bars";

test("from sign-in to an opened figure on a dashboard, by mouse", async ({ page }) => {
  await page.goto("/");
  await page.waitForURL("**/sign-in");
  await page.getByRole("button", { name: /Runa Vale/ }).click();
  await page.waitForURL(/\/dashboards(\/\d+)?$/);

  await page.getByRole("button", { name: "Say or find (Ctrl K)" }).click();
  await page.getByLabel("Say what to count, or find something").fill(SENTENCE);
  await page.getByRole("button", { name: "Open as report" }).click();
  await page.waitForURL("**/reports/new?s=**");
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(SENTENCE);

  const bar = marks(page).filter({ hasText: /P3/ }).first();
  const value = await valueOf(bar);
  await bar.click();
  expect(await recordsInDrawer(page)).toBe(value);
  const priorities = page
    .getByLabel("Records and workings")
    .getByRole("row")
    .filter({ hasText: "P3" });
  await expect(priorities.first()).toBeVisible();

  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByLabel("Name", { exact: true }).fill("Open faults, told by mouse");
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/reports\/\d+$/);

  await page.getByRole("button", { name: "Put on a dashboard" }).click();
  await page.getByRole("radio", { name: /A new dashboard/ }).click({ force: true });
  await page.getByLabel("Name of the dashboard").fill("At first");
  await page.getByRole("button", { name: "Make it" }).click();
  await page.getByRole("button", { name: "Open it" }).click();
  await page.waitForURL(/\/dashboards\/\d+$/);
  await page.getByRole("button", { name: "Arrange", exact: true }).click();
  await page.getByLabel("Name of the dashboard").fill("By mouse");
  await page.getByRole("button", { name: "Faults by service" }).click();
  await page.getByRole("button", { name: "Requests each week" }).click();
  await expect(page.locator("[data-tile]")).toHaveCount(3);
  const first = page.locator("[data-tile]").first();
  const before = (await first.boundingBox())!;
  const corner = first.locator(".react-resizable-handle");
  const grip = (await corner.boundingBox())!;
  await page.mouse.move(grip.x + 12, grip.y + 12);
  await page.mouse.down();
  await page.mouse.move(grip.x + 180, grip.y + 12, { steps: 8 });
  await page.mouse.up();
  await expect
    .poll(async () => (await first.boundingBox())!.width)
    .toBeGreaterThan(before.width + 60);
  await page.getByRole("button", { name: "Save dashboard" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "By mouse" })).toBeVisible();

  await page.reload();
  await expect(page.getByRole("heading", { level: 1, name: "By mouse" })).toBeVisible();
  await expect(page.locator("[data-tile]")).toHaveCount(3);
  const tile = page.getByRole("article", { name: "Open faults, told by mouse" });
  const tileBar = tile.getByRole("button", { name: /^P3: / });
  expect(await valueOf(tileBar)).toBe(value);
  await tileBar.click();
  await page.getByRole("button", { name: "Open its records" }).click();
  await expect(page.getByRole("table", { name: `${value} records` })).toBeVisible();
  await tile.hover();
  await tile.getByRole("link", { name: /Open the report/ }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(SENTENCE);
});

test("the same by keys alone", async ({ page }) => {
  await page.goto("/sign-in");
  const focusOn = async (name: RegExp) => {
    for (let i = 0; i < 80; i += 1) {
      const label = await page.evaluate(() =>
        (document.activeElement === document.body
          ? ""
          : (document.activeElement?.getAttribute("aria-label") ??
            document.activeElement?.textContent ??
            "")
        ).trim(),
      );
      if (name.test(label)) return;
      await page.keyboard.press("Tab");
    }
    throw new Error(`no key path to ${name}`);
  };
  await focusOn(/Inês Duarte/);
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/dashboards(\/\d+)?$/);
  await page.waitForLoadState("networkidle");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("count faults where status is open by team as bars");
  await expect(page.getByRole("button", { name: "Open as report" })).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/reports/new?s=**");

  // A chart is drawn once more when it knows its room; then a mark keeps the keys.
  await expect(async () => {
    await marks(page).first().focus();
    await page.waitForTimeout(250);
    await expect(marks(page).first()).toBeFocused({ timeout: 100 });
  }).toPass();
  const value = await valueOf(marks(page).first());
  await page.keyboard.press("Enter");
  expect(await recordsInDrawer(page)).toBe(value);

  await page.keyboard.press("Control+s");
  await page.keyboard.press("Control+a");
  await page.keyboard.type("Told by keys");
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/reports\/\d+$/);

  await page.goto("/dashboards");
  await focusOn(/^New dashboard$/);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog").getByRole("textbox").first()).toBeFocused();
  await page.keyboard.type("By keys");
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/dashboards\/\d+/);
  await focusOn(/^Told by keys$/);
  await page.keyboard.press("Enter");
  await focusOn(/^Faults by service$/);
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-tile]")).toHaveCount(2);
  const tile = page.locator("[data-tile]").first();
  await tile.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await page.keyboard.press("Shift+ArrowDown");
  await expect(tile).toHaveAttribute("aria-label", /6 wide, 7 high/);
  await page.keyboard.press("ArrowRight");
  await expect(tile).toHaveAttribute("aria-label", /column 2/);
  await page.keyboard.press("Control+z");
  await expect(tile).toHaveAttribute("aria-label", /column 1/);
  await page.getByRole("button", { name: "Save dashboard" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: "By keys" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("article", { name: "Told by keys" })).toBeVisible();
});

test("the parts of the sentence change it, and the figure follows", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/reports/new");
  await page.getByRole("button", { name: "which ones?" }).click();
  await page.getByRole("radio", { name: "status", exact: true }).click({ force: true });
  await page.getByRole("radio", { name: /^open/ }).click({ force: true });
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: "what?", exact: true }).click();
  await page.getByRole("radio", { name: "team", exact: true }).click({ force: true });
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "which picture?" }).click();
  await page.getByRole("radio", { name: /^columns a few/ }).click({ force: true });
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by team as columns",
  );
  await expect(marks(page).first()).toBeVisible();
  await expect(page).toHaveURL(
    /s=count%20faults%20where%20status%20is%20open%20by%20team%20as%20columns/,
  );
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by team",
  );
});
