import { expect, type Locator, type Page } from "./lanes";

export const PASSWORD = "low-tide-at-nine";

/** Signs in with the form, as somebody with a name of their own does. */
export async function signIn(page: Page, login: string): Promise<void> {
  await page.goto("/sign-in");
  await page.getByLabel("Login or mail address").fill(login);
  await page.getByLabel("Password", { exact: true }).fill(PASSWORD);
  await page.getByRole("button", { name: "Come in", exact: true }).click();
  await page.waitForURL(/\/dashboards(\/\d+)?$/);
  // Keys are taken once the page is alive.
  await page.waitForLoadState("networkidle");
}

export const reportOf = (sentence: string): string =>
  `/reports/new?s=${encodeURIComponent(sentence)}`;

/** The drawn parts of the figure that open records. */
export const marks = (page: Page) =>
  page.getByLabel("Figure", { exact: true }).getByRole("button", { name: /Open the records$/ });

/** "P3: 43. Open the records" → 43 */
export async function valueOf(mark: ReturnType<typeof marks>): Promise<number> {
  const label = (await mark.getAttribute("aria-label"))!;
  return Number(/: ([\d\u202f.]+)/.exec(label)![1].replace(/\u202f/g, ""));
}

/** How many records the drawer says it has. */
export async function recordsInDrawer(page: Page): Promise<number> {
  const drawer = page.getByLabel("Records and workings");
  const status = drawer.getByRole("status").first();
  await expect(status).toContainText(/· [\d\u202f]+ /);
  await page.waitForTimeout(150);
  return Number(/· ([\d\u202f]+) /.exec((await status.textContent())!)![1].replace(/\u202f/g, ""));
}

/** Drags the pointer across the first chart of the page, between two parts of its width. */
export async function dragAcross(page: Page, from: number, to: number): Promise<void> {
  const { x, y, width, height } = (await page.locator(".recharts-surface").first().boundingBox())!;
  await page.mouse.move(x + width * from, y + height * 0.6);
  await page.mouse.down();
  await page.mouse.move(x + (width * (from + to)) / 2, y + height * 0.6, { steps: 4 });
  await page.mouse.move(x + width * to, y + height * 0.6, { steps: 4 });
  await page.mouse.up();
}

/** Saves a new report by a name, and waits until it has its page. */
export async function saveAs(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("dialog").getByRole("button", { name: "Save", exact: true }).click();
  await page.waitForURL(/\/reports\/\d+$/);
  await page.waitForLoadState("networkidle");
}

/** A choice between words by what it is called; its text says what is chosen. */
export const choice = (within: Page | Locator, label: string): Locator =>
  within
    .getByRole("button", { name: new RegExp(`^${label}`) })
    .and(within.locator("[aria-haspopup=listbox]"));

/** Chooses one of the words of a choice by what it is called. */
export async function choose(within: Page | Locator, label: string, words: string) {
  const page = "goto" in within ? within : within.page();
  await choice(within, label).click();
  await page.getByRole("listbox").getByRole("option", { name: words, exact: true }).click();
}

/** Types a day, YYYY-MM-DD, into what a field of a day opens. */
export async function typeDay(page: Page, label: string, day: string): Promise<void> {
  await page.getByRole("button", { name: new RegExp(`^${label}`) }).click();
  const [year, month, date] = day.split("-");
  await expect(
    page.getByRole("dialog", { name: label }).getByRole("spinbutton").first(),
  ).toBeFocused();
  await page.keyboard.type(`${date}${month}${year}`);
  await page.keyboard.press("Enter");
}
