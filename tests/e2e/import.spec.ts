import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { commandEnv, expect, test, type Page } from "./lanes";
import { choose, marks, recordsInDrawer, reportOf, signIn, valueOf } from "./support";

const ITEMS = `key,kind,title,status,priority,created_at,jetty
Z1,fault,Own records one,Logged,P1,2026-11-01T09:00:00Z,North
Z2,fault,Own records two,Logged,P2,2026-11-02T09:00:00Z,South
Z3,fault,Own records three,Signed off,P2,not a time,South
Z2,fault,Own records two again,Logged,P2,2026-11-02T09:00:00Z,South
`;

/** The page of imports, once it listens: a file that is put into it earlier is not heard of. */
async function openImports(page: Page): Promise<void> {
  await page.goto("/settings/imports");
  await page.waitForLoadState("networkidle");
}

test("records of one's own come in through the page: dry run, refusals, then for good", async ({
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), "bundle-"));
  writeFileSync(join(folder, "items.csv"), ITEMS);
  await signIn(page, "runa");
  await openImports(page);
  await page.locator("input[type=file]").setInputFiles(join(folder, "items.csv"));
  await expect(page.getByText("Nothing is written yet.").first()).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText("2 would be refused")).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText(/"not a time" is not a time/)).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Refused items" }).click(),
  ]);
  const refused = readFileSync((await download.path())!, "utf8");
  expect(refused).toContain("reason");
  expect(refused).toContain("Z3,fault,Own records three");
  expect(refused).toContain("stands here twice");
  await page.getByRole("button", { name: "Bring in 2", exact: true }).click();
  await expect(page.getByText("It came in.")).toBeVisible({ timeout: 20_000 });

  await page.goto(reportOf("count faults where key is any of (Z1, Z2, Z3) by jetty as bars"));
  await expect(marks(page)).toHaveCount(2);
  expect(await valueOf(marks(page).first())).toBe(1);
  await marks(page).first().click();
  expect(await recordsInDrawer(page)).toBe(1);
});

test("a file that is no bundle is told so", async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), "bundle-"));
  writeFileSync(join(folder, "broken.zip"), "this is no zip");
  await signIn(page, "runa");
  await openImports(page);
  await page.locator("input[type=file]").setInputFiles(join(folder, "broken.zip"));
  await expect(page.getByText(/neither a folder nor a zip file/)).toBeVisible({ timeout: 20_000 });
});

test("statuses that no file describes are asked about", async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), "bundle-"));
  writeFileSync(
    join(folder, "items.csv"),
    "key,kind,title,status,created_at\nY1,fault,From elsewhere,Half way,2026-11-01T09:00:00Z\n",
  );
  await signIn(page, "runa");
  await openImports(page);
  await page.locator("input[type=file]").setInputFiles(join(folder, "items.csv"));
  await choose(page, "Half way", "under way");
  await page.getByRole("button", { name: "Read it so" }).click();
  await page.getByRole("button", { name: /^Bring in 1/ }).click();
  await expect(page.getByText("It came in.")).toBeVisible({ timeout: 20_000 });
  await page.goto(reportOf('count items where stage is "under way" and key is Y1 as number'));
  await expect(page.getByRole("button", { name: /: 1\. Open the records/ })).toBeVisible();
});

test("the door for programs answers over HTTP with problem details", async ({ request }) => {
  const token = execFileSync(
    process.execPath,
    ["--import", "tsx", "src/commands/token.ts", "runa"],
    { encoding: "utf8", env: commandEnv() },
  ).trim();
  const ask = (path: string, data: object, bearer?: string) =>
    request.post(`/api/v1/${path}`, {
      data,
      headers: bearer ? { authorization: `Bearer ${bearer}` } : {},
    });
  const none = await ask("answer", { sentence: "count items" });
  expect(none.status()).toBe(401);
  expect(none.headers()["content-type"]).toContain("application/problem+json");
  const wrong = await ask("answer", { sentence: "count faults were status is open" }, token);
  expect(wrong.status()).toBe(422);
  expect(await wrong.json()).toMatchObject({
    status: 422,
    nearest: ["where"],
    at: { from: 13, to: 17 },
  });
  const good = await (
    await ask("answer", { sentence: "count faults where status is open by priority" }, token)
  ).json();
  for (const row of good.rows) {
    const records = await (
      await ask(
        "records",
        { sentence: "count faults where status is open by priority", group: row.group },
        token,
      )
    ).json();
    expect(records.total.value).toBe(row.value);
  }
  expect(good.rows.reduce((sum: number, row: { value: number }) => sum + row.value, 0)).toBe(
    good.total.value,
  );
});
