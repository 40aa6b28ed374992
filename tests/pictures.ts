import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { reportOf, signIn } from "./e2e/support";

/** Makes docs/screenshots from the demo of a running application: npm run pictures, or only some: npm run pictures -- pivot history */
const WANTED = process.argv.slice(2);
const FOLDER = join(process.cwd(), "docs", "screenshots");
const baseURL = process.env.E2E_URL ?? "http://127.0.0.1:4310";
const STACKED = "count faults where status is open by priority split by status as stacked bars";

/** Mails the first report to its reader, and opens the mail room when it has arrived. */
async function sendOne(page: Page): Promise<void> {
  await page.getByRole("link", { name: "Open faults by priority" }).first().click();
  await page.getByRole("button", { name: "Mail", exact: true }).click();
  await page.getByLabel("To a person or a team").fill("runa");
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^Runa Vale/ })
    .click();
  await page.getByRole("button", { name: "Save and send once now" }).click();
  for (let tries = 0; tries < 20; tries += 1) {
    await page.goto("/mailings");
    await page.getByRole("button", { name: "Mail room" }).click();
    if (
      await page
        .getByRole("article")
        .isVisible()
        .catch(() => false)
    )
      return;
    await page.waitForTimeout(5000);
  }
}

const PICTURES: readonly {
  readonly name: string;
  readonly login: string;
  readonly path: string;
  readonly theme?: "night";
  readonly before?: (page: Page) => Promise<unknown>;
}[] = [
  {
    name: "report",
    login: "ines",
    path: reportOf(STACKED),
    before: (page) => page.getByRole("button", { name: /^P3, Waiting for parts: / }).click(),
  },
  {
    name: "workings",
    login: "sunniva",
    theme: "night",
    path: reportOf(
      "count faults where team is my team and created during last 6 full months by service as donut",
    ),
    before: (page) => page.keyboard.press("w"),
  },
  {
    name: "dashboard",
    login: "ines",
    path: "/dashboards/1",
    before: async (page) => {
      await page.getByRole("button", { name: /^P3, Waiting for parts: / }).click();
      await page.getByText("beam from Open faults by priority").waitFor();
      await page
        .getByRole("button", { name: "Close", exact: true })
        .click()
        .catch(() => undefined);
    },
  },
  { name: "portfolio", login: "runa", path: "/projects" },
  { name: "project", login: "runa", path: "/projects/1" },
  {
    name: "timeline",
    login: "runa",
    path: "/projects/1?leaf=timeline",
    theme: "night",
    before: async (page) => {
      await page.getByRole("gridcell", { name: /^Wiring loom/ }).focus();
      await page.keyboard.press("Shift+ArrowRight");
    },
  },
  { name: "briefing", login: "runa", path: "/briefings/1" },
  { name: "hours", login: "sunniva", path: "/hours" },
  { name: "library", login: "ines", path: "/reports" },
  {
    name: "item",
    login: "ines",
    path: reportOf("list faults where reopened over 1 and status is open showing key, title"),
    before: (page) => page.getByRole("table").getByRole("link").first().click(),
  },
  {
    name: "pivot",
    login: "ines",
    path: "/reports?q=Open%20work%20by%20team%20and%20priority",
    before: (page) =>
      page.getByRole("link", { name: "Open work by team and priority" }).first().click(),
  },
  {
    name: "conditions",
    login: "ines",
    path: reportOf(
      'count faults where status is open and (team is "Engine shop" or priority is any of (P1, P2)) by priority as bars',
    ),
    before: async (page) => {
      await page.getByRole("button", { name: /^condition: status/ }).click();
      await page.getByRole("button", { name: "In groups" }).click();
    },
  },
  {
    name: "history",
    login: "ines",
    path: `${reportOf("level of faults where status is open at month ends for last 18 months to date split by priority as area")}&under=flows`,
    before: async (page) => {
      await page
        .getByRole("region", { name: "what came in and went out" })
        .getByRole("button")
        .first()
        .waitFor();
      await page.locator("[data-place='8']").first().hover();
    },
  },
  { name: "sprint", login: "aoife", path: "/sprints" },
  {
    name: "ask",
    login: "ines",
    path: "/dashboards",
    before: async (page) => {
      await page.keyboard.press("Control+k");
      await page.getByRole("dialog", { name: "Say or find" }).waitFor();
      await page.keyboard.type("how many urgent open faults per landing please");
      await page.getByRole("group", { name: "Its figure" }).getByRole("button").first().waitFor();
    },
  },
  {
    name: "mail-room",
    login: "runa",
    path: "/reports?q=Open%20faults%20by%20priority",
    before: sendOne,
  },
  { name: "items", login: "ines", path: "/items" },
  {
    name: "import",
    login: "runa",
    path: "/settings/imports",
    before: async (page) => {
      const rows = [
        "key,kind,title,status,priority,created_at",
        ...Array.from(
          { length: 12 },
          (_, i) =>
            `N${i},fault,Spare reader ${i},${i === 4 ? "Done?" : "Logged"},P3,${i === 7 ? "soon" : "2026-11-20T09:00:00Z"}`,
        ),
      ].join("\n");
      await page.locator("input[type=file]").setInputFiles({
        name: "items.csv",
        mimeType: "text/csv",
        buffer: Buffer.from(
          `${rows.replace("Done?", "Logged")}\nN3,fault,Twice,Logged,P3,2026-11-20T09:00:00Z\n`,
        ),
      });
      await page.getByText("would be refused").waitFor();
    },
  },
];

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium" });
  const open = async () =>
    (
      await browser.newContext({
        baseURL,
        viewport: { width: 1280, height: 800 },
        reducedMotion: "reduce",
      })
    ).newPage();
  const cover = await open();
  await cover.goto("/sign-in");
  await cover.waitForLoadState("networkidle");
  await cover.screenshot({ path: join(FOLDER, "sign-in.png") });
  for (const { name, login, path, theme, before } of PICTURES) {
    if (WANTED.length && !WANTED.includes(name)) continue;
    const page = await open();
    await signIn(page, login);
    if (theme) await page.context().addCookies([{ name: "gt_theme", value: theme, url: baseURL }]);
    await page.goto(path);
    await page.waitForLoadState("networkidle");
    await before?.(page);
    await page.waitForLoadState("networkidle");
    await page.waitForTimeout(700);
    // A drawing may come after the page that has it.
    await page.waitForLoadState("networkidle");
    await page.locator("[aria-busy=true]").waitFor({ state: "detached" });
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
    await page.context().close();
  }
  await browser.close();
}

void main();
