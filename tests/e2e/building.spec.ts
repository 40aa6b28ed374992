import { expect, test, type Page } from "./lanes";
import { choice, choose, marks, recordsInDrawer, reportOf, signIn, valueOf } from "./support";

const sentenceOf = (page: Page) => page.getByRole("heading", { level: 1 });

test("two bars are folded into one from the dress, and the fold opens both", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by status as bars"));
  await expect(marks(page).first()).toBeVisible();
  const [logged, triaged] = [await valueOf(marks(page).nth(0)), await valueOf(marks(page).nth(1))];
  const dress = page.getByRole("complementary", { name: "Dress" });
  await dress.getByRole("checkbox", { name: "Pick Logged" }).check({ force: true });
  await dress.getByRole("checkbox", { name: "Pick Triaged" }).check({ force: true });
  await dress.getByLabel(/Fold these 2 as/).fill("Not begun");
  await dress.getByRole("button", { name: "Fold", exact: true }).click();
  await expect(sentenceOf(page)).toHaveAccessibleName(
    'count faults where status is open by status folding (Logged, Triaged as "Not begun") as bars',
  );
  const fold = marks(page).filter({ hasText: "Not begun" }).first();
  expect(await valueOf(fold)).toBe(logged + triaged);
  await fold.click();
  expect(await recordsInDrawer(page)).toBe(logged + triaged);
  await dress.getByRole("button", { name: "Unfold Not begun" }).click();
  await expect(sentenceOf(page)).toHaveAccessibleName(
    "count faults where status is open by status as bars",
  );
});

test("a group is left out of figure and total, and comes back", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await expect(marks(page).first()).toBeVisible();
  const before = await marks(page).count();
  await page.getByRole("button", { name: "Leave out P4" }).click();
  await expect(sentenceOf(page)).toHaveAccessibleName(
    "count faults where status is open by priority without P4 as bars",
  );
  await expect(marks(page)).toHaveCount(before - 1);
  await page.getByRole("button", { name: "Show 1 left out" }).click();
  await expect(marks(page)).toHaveCount(before);
});

test("order, names, labels and title change the look and not the sentence, and are saved", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  const dress = page.getByRole("complementary", { name: "Dress" });
  await page.waitForLoadState("networkidle");
  await choose(dress, "Order", "largest first");
  await expect(async () => {
    const values = await Promise.all([0, 1, 2].map((i) => valueOf(marks(page).nth(i))));
    expect(values).toEqual([...values].sort((a, b) => b - a));
  }).toPass();
  await dress.getByRole("button", { name: /^Names/ }).click();
  await dress.getByLabel("P1").fill("Drop everything");
  await expect(marks(page).filter({ hasText: "Drop everything" })).toHaveCount(1);
  await dress.getByRole("button", { name: /^Labels/ }).click();
  await choose(dress, "At each part", "value and percent");
  await expect(
    page
      .getByLabel("Figure", { exact: true })
      .getByText(/\d+ · \d+\.\d %/)
      .first(),
  ).toBeVisible();
  await dress.getByRole("button", { name: /^Title/ }).click();
  await dress
    .getByLabel(/^Title/)
    .last()
    .fill("What burns");
  await expect(page.getByRole("heading", { level: 2, name: "What burns" })).toBeVisible();
  await expect(sentenceOf(page)).toHaveAccessibleName(
    "count faults where status is open by priority as bars",
  );
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  await page.reload();
  await expect(page.getByRole("heading", { level: 2, name: "What burns" })).toBeVisible();
  await expect(marks(page).filter({ hasText: "Drop everything" })).toHaveCount(1);
});

test("a group of a pivot goes to another place by keys, and the sentence follows", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults by team then priority split by status as pivot"));
  const places = page.getByRole("region", { name: "Places of the pivot" });
  await page.waitForLoadState("networkidle");
  await places.getByRole("option", { name: "priority" }).focus();
  await page.keyboard.press("Enter");
  await expect(places.locator("[data-dragging]")).toBeVisible();
  await page.keyboard.press("Tab");
  await expect(places.locator("[data-drop-target]").first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    /by team then status split by priority as pivot$/,
  );
});

test("an unsaved draft survives a reload, and undo goes back step by step", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  const kept = page.waitForResponse(
    (reply) => reply.url().endsWith("/api/room/keepDraft") && reply.ok(),
  );
  await choose(page.getByRole("complementary", { name: "Dress" }), "Order", "smallest first");
  await kept;
  await page.reload();
  await expect(choice(page.getByRole("complementary", { name: "Dress" }), "Order")).toContainText(
    "smallest first",
  );
  await page.getByRole("button", { name: /^picture: / }).click();
  await page.getByRole("radio", { name: /^columns a few/ }).click({ force: true });
  await page.keyboard.press("Escape");
  await expect(sentenceOf(page)).toHaveAccessibleName(/as columns$/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(sentenceOf(page)).toHaveAccessibleName(/as bars$/);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(sentenceOf(page)).toHaveAccessibleName(/as columns$/);
});

test("the records are sorted, and show the columns that are chosen", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await expect(marks(page).first()).toBeVisible();
  await page.keyboard.press("r");
  const drawer = page.getByLabel("Records and workings");
  await drawer.getByRole("button", { name: "key", exact: true }).click();
  await expect(drawer.getByRole("columnheader", { name: "key" })).toHaveAttribute(
    "aria-sort",
    "ascending",
  );
  const first = await drawer.getByRole("row").nth(1).textContent();
  await drawer.getByRole("button", { name: "key", exact: true }).click();
  await expect(drawer.getByRole("columnheader", { name: "key" })).toHaveAttribute(
    "aria-sort",
    "descending",
  );
  await expect.poll(() => drawer.getByRole("row").nth(1).textContent()).not.toBe(first);
  await drawer.getByRole("button", { name: "Columns" }).click();
  await page.getByRole("checkbox", { name: "service", exact: true }).check({ force: true });
  await page.getByRole("button", { name: "Done" }).click();
  await expect(drawer.getByRole("columnheader", { name: "service" })).toBeVisible();
});

test("the library finds by name and by what a report says, and the bin takes one out", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count changes by service as bars"));
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByLabel("Name", { exact: true }).fill("For the bin");
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  await page.goto("/reports");
  await page.getByLabel("Find a report").fill("changes by service");
  await expect(page.getByRole("link", { name: "For the bin" })).toBeVisible();
  await page.getByLabel("Find a report").fill("no report says this");
  await expect(page.getByText("No report is called or says")).toBeVisible();
  await page.getByRole("button", { name: /^Show all/ }).click();
  await page.getByRole("button", { name: "More of For the bin" }).click();
  await page.getByRole("menuitem", { name: "Put it into the bin" }).click();
  await expect(page.getByRole("link", { name: "For the bin" })).toHaveCount(0);
  await page.getByRole("button", { name: "Bin", exact: true }).click();
  await page
    .getByRole("dialog", { name: "Bin" })
    .getByRole("listitem")
    .filter({ hasText: "For the bin" })
    .getByRole("button", { name: "Take it out", exact: true })
    .click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("link", { name: "For the bin" })).toBeVisible();
});

test("a dashboard is refreshed by hand, enlarged, and put into the bin", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/dashboards");
  await page.getByRole("button", { name: "New dashboard" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Make it" }).click();
  await expect(page.getByText("A dashboard needs a name of at most 200 characters.")).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill("Short-lived");
  await page.getByRole("dialog").getByRole("button", { name: "Make it" }).click();
  await page.waitForURL(/\/dashboards\/\d+/);
  await page.getByRole("button", { name: "Who carries what" }).click();
  await page.getByRole("button", { name: "Save dashboard" }).click();
  const tile = page.getByRole("article", { name: "Who carries what" });
  await expect(tile).toBeVisible();
  await page.getByRole("button", { name: "Refresh" }).click();
  await tile.hover();
  await tile.getByRole("button", { name: /^Enlarge/ }).click();
  await expect(page.getByRole("dialog").getByRole("table")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.goto("/dashboards");
  await page.getByRole("button", { name: "Put Short-lived into the bin" }).click();
  await expect(page.getByRole("link", { name: "Short-lived" })).toHaveCount(0);
});
