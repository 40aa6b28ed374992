import { expect, test } from "./lanes";
import { choose, marks, recordsInDrawer, reportOf, saveAs, signIn, valueOf } from "./support";

/** What the report room does about everything that can go wrong, and about what is kept. */
test("conditions that can never hold at once are named, and the one that empties the figure is dropped", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where priority is P1 and priority is P2 by team as bars"));
  await expect(
    page.getByText(/Nothing can match: priority is P1 and priority is P2/),
  ).toBeVisible();
  await page.getByRole("button", { name: /^Drop .priority is P2/ }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where priority is P1 by team as bars",
  );
});

test("a condition is switched off without being removed, and switched on again", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("count faults where status is open and priority is any of (P1, P2) by team as bars"),
  );
  await page.getByRole("button", { name: /^condition: status/ }).click();
  await page.getByRole("button", { name: "In groups" }).click();
  await page
    .getByRole("group", { name: /^priority is any of/ })
    .getByRole("checkbox", { name: "Switched on" })
    .press("Space");
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by team as bars",
  );
  await page.getByRole("button", { name: /priority is any of \(P1, P2\) · switch on/ }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open and priority is any of (P1, P2) by team as bars",
  );
});

test("a saved filter is used, changed with the reports that change, and a report whose filter is gone still opens", async ({
  page,
}) => {
  // Its name is free at a second try, too.
  const loud = `Loud ones ${test.info().retry}`;
  await signIn(page, "ines");
  await page.goto(reportOf("list faults where priority is any of (P1, P2) as list"));
  await page.getByRole("button", { name: /^condition: priority/ }).click();
  await page.getByRole("button", { name: "In groups" }).click();
  await page.getByRole("button", { name: "Save as filter" }).click();
  await page.getByLabel("Name", { exact: true }).fill(loud);
  await page.getByRole("dialog").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.goto(
    reportOf(`count faults where in filter "${loud}" and status is open by team as bars`),
  );
  await saveAs(page, "Loud and open");
  const report = page.url();
  await page.goto("/reports?shelf=filters");
  await page.waitForLoadState("networkidle");
  await expect(page.getByRole("listitem").filter({ hasText: loud })).toContainText(
    "priority is any of (P1, P2)",
  );
  await page.getByRole("button", { name: `More of ${loud}` }).click();
  await page.getByRole("menuitem", { name: "Change its conditions" }).click();
  await page.getByRole("button", { name: "Save the filter" }).click();
  await expect(page.getByRole("dialog")).toContainText("This report changes with it");
  await expect(page.getByRole("dialog").getByRole("link", { name: "Loud and open" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.goto("/reports?shelf=filters");
  await page.getByRole("button", { name: `More of ${loud}` }).click();
  await page.getByRole("menuitem", { name: "Put it into the bin" }).click();
  await expect(page.getByRole("button", { name: `More of ${loud}` })).toHaveCount(0);
  await page.goto(report);
  await expect(page.getByRole("alert").filter({ hasText: "saved filter" })).toBeVisible();
  await page.getByRole("button", { name: "Drop it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by team as bars",
  );
  await expect(marks(page).first()).toBeVisible();
});

test("the shape that no longer fits is left out and said, and one that does not fit says why", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("count faults where status is open by team split by priority as stacked bars"),
  );
  await page.getByRole("button", { name: /^split/ }).click();
  await page.getByRole("button", { name: "Take out" }).click();
  await expect(page.getByText(/stacked bars was left out: /)).toBeVisible();
  await page.goto(reportOf("count faults where status is open as number"));
  await page.getByRole("button", { name: /^picture: / }).click();
  await expect(page.getByRole("radio", { name: /^scatter/ })).toBeDisabled();
  await page.keyboard.press("Escape");
});

test("versions are compared in words and brought back", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count changes by priority as bars"));
  await saveAs(page, "In two versions");
  await page.getByRole("button", { name: /^picture: / }).click();
  await page.getByRole("radio", { name: /^columns a few/ }).click({ force: true });
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Saved.", { exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "More …" }).click();
  await page.getByRole("menuitem", { name: "Earlier versions" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("columns");
  await dialog.getByRole("button", { name: "Take it back" }).last().click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(/as bars$/);
});

test("a definition goes out as a file and comes in again; one with unknown keys is refused with its path", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by service top 4 as donut"));
  await saveAs(page, "To and fro");
  const id = /\d+$/.exec(page.url())![0];
  const text = await (await page.request.get(`/api/definitions/report/${id}`)).text();
  expect(JSON.parse(text)).toMatchObject({ kind: "report", report: { name: "To and fro" } });
  await page.goto("/reports");
  const choose = async (name: string, body: string) => {
    const chooser = page.waitForEvent("filechooser");
    await page.getByRole("button", { name: "Bring in" }).click();
    await (
      await chooser
    ).setFiles({ name, mimeType: "application/json", buffer: Buffer.from(body) });
  };
  await choose("wrong.json", JSON.stringify({ ...JSON.parse(text), surprise: 1 }));
  await expect(page.getByRole("dialog").getByRole("alert")).toContainText("surprise");
  await page.getByRole("dialog").getByRole("button", { name: "Close" }).click();
  await choose("right.json", text);
  await page.waitForURL(/\/reports\/\d+$/);
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by service top 4 as donut",
  );
});

test("many are changed from the records at once, each as a move, and undone by the opposite moves", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("count faults where status is open and priority is P4 by priority as bars"),
  );
  await marks(page).first().click();
  const before = await recordsInDrawer(page);
  const drawer = page.getByLabel("Records and workings");
  await drawer
    .getByRole("checkbox", { name: /^Pick [A-Z]/ })
    .nth(0)
    .check();
  await drawer
    .getByRole("checkbox", { name: /^Pick [A-Z]/ })
    .nth(1)
    .check();
  await choose(drawer, "Which field", "priority");
  await choose(drawer, "New priority", "P3");
  await drawer.getByRole("button", { name: /^Change 2/ }).click();
  await expect.poll(() => recordsInDrawer(page)).toBe(before - 2);
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect.poll(() => recordsInDrawer(page)).toBe(before);
});

test("five thousand bars are not drawn: the top 50 and the rest are, and it says so", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count items by key as bars"));
  await expect(
    page.getByText(/the 50 largest of [\d\u202f]+ groups are drawn, all others as the rest/),
  ).toBeVisible();
  await expect(marks(page)).toHaveCount(51);
  const rest = marks(page).filter({ hasText: /others/ });
  const others = await valueOf(rest);
  await rest.click();
  expect(await recordsInDrawer(page)).toBe(others);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Write that into the sentence" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count items by key top 50 as bars",
  );
  await marks(page).filter({ hasText: "others" }).first().click();
  expect(await recordsInDrawer(page)).toBeGreaterThan(1000);
});

test("a group and the title are renamed where they stand; the sentence stays, and nothing goes back to its own", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await expect(marks(page).first()).toBeVisible();
  await page.keyboard.press("t");
  await page.getByRole("button", { name: "Rename P1", exact: true }).click();
  await page.getByRole("textbox", { name: "Rename P1" }).fill("Wakes us");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("rowheader", { name: "Wakes us" })).toBeVisible();
  await page.getByRole("button", { name: "Rename the title" }).click();
  await page.getByRole("textbox", { name: "Rename the title" }).fill("What burns");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 2, name: "What burns" })).toBeVisible();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by priority as bars",
  );
  await page.getByRole("button", { name: "Rename Wakes us" }).click();
  await page.getByRole("textbox", { name: "Rename Wakes us" }).fill("");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("rowheader", { name: "P1" })).toBeVisible();
});
