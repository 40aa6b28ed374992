import { expect, test } from "./lanes";
import { PASSWORD, reportOf, signIn } from "./support";

test("a wrong word is marked, the nearest known one mends it, and the last good figure stays", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await page.getByRole("button", { name: "Type it" }).click();
  const box = page.getByRole("combobox", { name: "The sentence" });
  await box.fill("count faults where statsu is open by priority as bars");
  await expect(page.getByText('there is no field "statsu".')).toBeVisible();
  await expect(page.getByText("Last good figure")).toBeVisible();
  await expect(page.getByRole("button", { name: "Save", exact: true })).toBeDisabled();
  await box.press("Control+Enter");
  await expect(box).toHaveValue("count faults where status is open by priority as bars");
  await expect(page.getByText("Last good figure")).toBeHidden();
  await box.press("Escape");
  await box.press("Escape");
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by priority as bars",
  );
});

test.describe("what is wrong is said in one line at its place", () => {
  const CASES = [
    ["count faults where created during last moonth", /not a period/],
    ["average title of faults", /title is a text; average needs a number/],
    ['count faults where assignee is "Inês Duarta"', /nobody is called "Inês Duarta"/],
    ["count faults where created on 2026-02-30", /there is no date 2026-02-30/],
    ["count faults where (status is open", /the bracket opened at 20 is not closed/],
    ["count faults were status is open", /did|expected/],
  ] as const;
  test("in the typed sentence", async ({ page }) => {
    await signIn(page, "ines");
    for (const [sentence, says] of CASES) {
      await page.goto(reportOf(sentence));
      const line = page.locator("[id$='-error']");
      await expect(line).toContainText(says);
      await expect(page.getByRole("combobox", { name: "The sentence" })).toHaveValue(sentence);
    }
  });
});

test("a filter that empties the figure is named, with an offer to drop it", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      'count faults where status is open and title contains "no such words" by priority as bars',
    ),
  );
  await page.getByRole("button", { name: /Drop “title contains "no such words"”/ }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveAccessibleName(
    "count faults where status is open by priority as bars",
  );
});

test("a wrong password and an unknown login get the same answer", async ({ page }) => {
  const answers: string[] = [];
  for (const login of ["ines", "nobody-at-all"]) {
    await page.goto("/sign-in");
    await page.getByLabel("Login or mail address").fill(login);
    await page.getByLabel("Password", { exact: true }).fill("wrong, surely");
    await page.getByRole("button", { name: "Come in", exact: true }).click();
    const alert = page.locator("p[role=alert]");
    await expect(alert).not.toBeEmpty();
    answers.push((await alert.textContent())!);
  }
  expect(answers[0]).toBe(answers[1]);
});

test("what was saved meanwhile is not overwritten", async ({ page, browser }) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count changes by status as bars"));
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByLabel("Name", { exact: true }).fill("Saved twice");
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  const other = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage();
  await signIn(other, "ines");
  await other.goto(page.url());
  for (const [one, shape] of [
    [other, "columns"],
    [page, "donut"],
  ] as const) {
    await one.getByRole("button", { name: /^picture: / }).click();
    await one.getByRole("radio", { name: new RegExp(`^${shape} a few`) }).click({ force: true });
    await one.keyboard.press("Escape");
    await one.getByRole("button", { name: "Save", exact: true }).click();
  }
  const conflict = page.getByRole("dialog", { name: "Somebody saved meanwhile" });
  await expect(conflict).toContainText("saved this report meanwhile");
  await expect(conflict).toContainText("columns");
  await expect(conflict).toContainText("donut");
  await conflict.getByRole("button", { name: "Save mine over it" }).click();
  await expect(page.getByText("Saved.", { exact: true }).first()).toBeVisible();
  await other.goto(new URL(page.url()).pathname);
  await expect(other.getByRole("heading", { level: 1 })).toHaveAccessibleName(/as donut$/);
});

test("markup, emoji and right-to-left text are shown as typed", async ({ page }) => {
  const name = `<b>"Fähre" 'n' \u2693 עברית العربية</b>; DROP TABLE reports`;
  await signIn(page, "ines");
  await page.goto(reportOf("count changes by priority as bars"));
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  await page.goto("/reports");
  await expect(page.getByRole("link", { name })).toBeVisible();
});

test("a request from elsewhere is not taken, and no cookie is readable by scripts", async ({
  page,
  request,
}) => {
  await signIn(page, "ines");
  expect(await page.evaluate(() => document.cookie)).not.toContain("gt_session");
  const reply = await request.post("/api/session", {
    data: { login: "ines", password: PASSWORD },
    headers: { origin: "https://elsewhere.example" },
  });
  expect(reply.status()).toBe(400);
});

test("a page runs its own scripts, and of inline ones those alone that bear its answer's nonce", async ({
  page,
}) => {
  const refused: string[] = [];
  page.on("console", (message) => {
    if (/Content Security Policy/.test(message.text())) refused.push(message.text());
  });
  await signIn(page, "ines");
  const answers = [await page.goto("/reports"), await page.goto("/reports")];
  const nonces = answers.map((answer) => {
    const policy = answer!.headers()["content-security-policy"];
    const scripts = policy.split("; ").find((part) => part.startsWith("script-src"))!;
    expect(scripts).not.toContain("unsafe");
    return /'nonce-([^']+)'/.exec(scripts)![1];
  });
  expect(nonces[0]).not.toBe(nonces[1]);
  expect(answers[1]!.headers()["cache-control"]).toContain("no-store");
  expect(refused).toEqual([]);
  await page.evaluate(() => {
    const script = document.createElement("script");
    script.textContent = "window.strange = true";
    document.body.append(script);
  });
  expect(await page.evaluate(() => "strange" in window)).toBe(false);
});

test("a page that cannot draw itself says so once, keeps still, and comes back with the work", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(reportOf("count faults where status is open by priority as bars"));
  await page.waitForLoadState("networkidle");
  await page.getByRole("button", { name: "Say more" }).click();
  await expect(page.getByText("conditions in groups …")).toBeVisible();
  await page.route("**/_next/static/chunks/**", (route) => route.abort());
  await page.getByText("conditions in groups …").click();
  await expect(page.getByRole("heading", { name: "This page could not be drawn" })).toBeVisible();
  let loads = 0;
  page.on("framenavigated", () => (loads += 1));
  await page.waitForTimeout(5_000);
  expect(loads).toBe(0);
  await expect(page.getByRole("alert").filter({ hasText: "the server is well" })).toBeVisible();
  await page.unroute("**/_next/static/chunks/**");
  await page.getByRole("button", { name: "Load the page anew" }).click();
  await expect(page.getByRole("button", { name: "condition: status is open" })).toBeVisible();
});

test("a message is there also when the server no longer is", async ({ page, context }) => {
  await signIn(page, "ines");
  await page.goto("/reports");
  await page.waitForLoadState("networkidle");
  await page.getByRole("button", { name: /^Inês Duarte/ }).click();
  await context.setOffline(true);
  await page.getByRole("menuitem", { name: "Sign out" }).click();
  await expect(page.getByText("the server cannot be reached")).toBeVisible();
  await context.setOffline(false);
});
