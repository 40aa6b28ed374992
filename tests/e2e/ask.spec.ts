import { expect, test } from "./lanes";
import { signIn } from "./support";

/** Questions in everyday words: how they are read, what they come to, and the way on where they are doubtful. */
test("a question is answered while it is asked, says how it was read, and opens by Enter", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("how many open faults do we have per team");
  const dialog = page.getByRole("dialog", { name: "Say or find" });
  await expect(dialog.getByRole("status").first()).toHaveText(
    "Count faults where status is open by team",
  );
  const read = dialog.getByRole("list", { name: "How it was read" });
  await expect(read.getByText("status is open")).toBeVisible();
  await expect(read.getByText("by team")).toBeVisible();
  await expect(
    dialog.getByRole("group", { name: "Its figure" }).getByRole("button").first(),
  ).toBeVisible();
  await expect(dialog.getByRole("option", { name: /^by month/ })).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/reports\/new\?s=/);
  const heading = page.getByRole("heading", { level: 1 });
  await expect(heading).toHaveAccessibleName("count faults where status is open by team as bars");
  // One step back from the report are the words, after a reload too.
  await page.reload();
  await expect(heading).toHaveAccessibleName("count faults where status is open by team as bars");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(dialog.getByLabel("Say what to count, or find something")).toHaveValue(
    "how many open faults do we have per team",
  );
});

test("what is doubtful is lit, and another reading is one key away; closing loses nothing", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("urgent open faults by team");
  const dialog = page.getByRole("dialog", { name: "Say or find" });
  const status = dialog.getByRole("status").first();
  // First what it was taken for, then what else it may mean: which is which, the reports say that there are.
  const other = dialog.getByRole("option", { name: /^priority is/ }).nth(1);
  await expect(other).toBeVisible();
  await expect(status).toContainText('"urgent" could be 2 things');
  const isP1 = !(await status.textContent())!.includes("priority is P1 and");
  const meant = isP1 ? "priority is P1" : "priority is any of (P1, P2)";
  await expect(other).toContainText(meant);
  await page.keyboard.press("Escape");
  await expect(dialog).toHaveCount(0);
  await page.keyboard.press("Control+k");
  await expect(dialog.getByLabel("Say what to count, or find something")).toHaveValue(
    "urgent open faults by team",
  );
  await expect(other).toBeVisible();
  // The first is what it was taken for, the next what else it may mean.
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/reports\/new\?s=/);
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    `count faults where ${meant} and status is open by team as bars`,
  );
  // What was chosen is remembered, and can be forgotten.
  await page.keyboard.press("Control+k");
  await page.keyboard.type("urgent faults");
  await expect(status).toHaveText(`List faults where ${meant}`);
  // Whoever builds can keep it for everyone.
  await dialog.getByRole("button", { name: "Keep what urgent means for everyone" }).click();
  await expect(page.getByText("“urgent”: kept for everyone.")).toBeVisible();
  await dialog.getByRole("button", { name: "Forget what urgent means" }).click();
  await expect(status).toContainText('"urgent" could be 2 things');
  // The same by keys: a reading is kept for everyone where it is asked.
  await page.keyboard.press("Control+Enter");
  await expect(status).toHaveText(/^List faults where priority is/);
  await expect(status).not.toContainText("could be 2 things");
  await dialog.getByRole("button", { name: "Forget what urgent means" }).click();
  await expect(dialog.getByRole("status").first()).toContainText('"urgent" could be 2 things');
});

test("an administrator teaches a word of the desk to everyone, sees what was in doubt, and forgets it again", async ({
  page,
}) => {
  await signIn(page, "runa");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("open faults of the gangway folk");
  const dialog = page.getByRole("dialog", { name: "Say or find" });
  await expect(dialog.getByRole("status").first()).toContainText('"gangway" was not understood');
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/reports\/new\?s=/);
  await page.goto("/settings/words");
  await expect(page.getByRole("table", { name: "Questions in doubt" })).toContainText(
    "open faults of the gangway folk",
  );
  await page.getByLabel("Words", { exact: true }).fill("the gangway folk");
  await page.getByLabel("Mean", { exact: true }).fill("team is no such team");
  await page.getByRole("button", { name: "Teach", exact: true }).click();
  await expect(page.getByText(/^Say a condition, such as priority is P1/)).toBeVisible();
  await page.getByLabel("Mean", { exact: true }).fill('team is "Landing systems"');
  await page.getByRole("button", { name: "Teach", exact: true }).click();
  const words = page.getByRole("table", { name: "Words for everyone" });
  await expect(words).toContainText("the gangway folk");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("open faults of the gangway folk");
  await expect(dialog.getByRole("status").first()).toHaveText(
    'List faults where status is open and team is "Landing systems"',
  );
  await page.keyboard.press("Escape");
  await words
    .getByRole("row", { name: /the gangway folk/ })
    .getByRole("button", { name: "Forget" })
    .click();
  await expect(words.getByRole("row", { name: /the gangway folk/ })).toHaveCount(0);
});

test("words of nobody's are told, with questions that can be asked", async ({ page }) => {
  await signIn(page, "ines");
  await page.keyboard.press("Control+k");
  await page.keyboard.type("xyzzy plugh");
  const dialog = page.getByRole("dialog", { name: "Say or find" });
  await expect(dialog.getByText("What can be asked")).toBeVisible();
  await expect(dialog.getByRole("option").first()).toBeVisible();
});

test("the typed sentence takes a question, and gives the words back", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto("/reports/new");
  await page.getByRole("button", { name: "Type it" }).click();
  const sentence = page.getByRole("combobox", { name: "The sentence" });
  await sentence.fill("open faults per service");
  await expect(
    page.getByRole("button", { name: "count faults where status is open by service" }),
  ).toBeVisible();
  await sentence.press("Enter");
  await expect(sentence).toHaveValue("count faults where status is open by service as bars");
  await page.getByRole("button", { name: /^Back to “/ }).click();
  await expect(sentence).toHaveValue("open faults per service");
});

test("a new report begins with a question, too; what is typed there goes on in the box", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/reports/new");
  // The page is alive when what it begins with has been asked for.
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Ask in your own words").focus();
  await page.keyboard.type("open faults per service");
  const dialog = page.getByRole("dialog", { name: "Say or find" });
  await expect(dialog.getByLabel("Say what to count, or find something")).toHaveValue(
    "open faults per service",
  );
  await expect(dialog.getByRole("status").first()).toHaveText(
    "Count faults where status is open by service",
  );
});
