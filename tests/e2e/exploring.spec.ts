import { expect, test, type Page } from "./lanes";
import { choose, dragAcross, marks, reportOf, saveAs, signIn, valueOf } from "./support";

const sentence = (page: Page) => page.getByRole("heading", { level: 1 });
const explore = (page: Page) => page.getByRole("region", { name: "Explore" });

test("why the backlog grows: the trend, two priorities alone, coarser, and what made the difference; each step leads back", async ({
  page,
}) => {
  await signIn(page, "ines");
  const start =
    "level of faults where status is open at month ends for last 18 months split by priority as area";
  await page.goto(reportOf(start));
  await expect(explore(page).getByRole("status", { name: "Rate" })).toContainText(/[+−] .* a week/);
  await explore(page).getByRole("checkbox", { name: "P1" }).check({ force: true });
  await explore(page).getByRole("checkbox", { name: "P2" }).check({ force: true });
  await explore(page).getByRole("button", { name: "Only these 2" }).click();
  await expect(sentence(page)).toHaveAccessibleName(
    "level of faults where status is open and priority is any of (P1, P2) at month ends for last 18 months split by priority as area",
  );
  await explore(page).getByRole("button", { name: "By quarter" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/at quarter ends/);
  await explore(page).getByRole("button", { name: "What made the difference" }).click();
  await expect(sentence(page)).toHaveAccessibleName(
    /^bridge of faults where status is open and priority is any of \(P1, P2\) from \d{4}-\d\d-\d\d to \d{4}-\d\d-\d\d as waterfall$/,
  );
  for (let step = 0; step < 3; step += 1)
    await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(sentence(page)).toHaveAccessibleName(start);
});

test("a stretch is dragged across a trend, told by the week beside the one before, and looked at closer", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("level of faults where status is open at month ends for last 18 months as line"),
  );
  await expect(explore(page)).toBeVisible();
  await dragAcross(page, 0.5, 0.8);
  await expect(explore(page).getByRole("status", { name: "Rate" })).toContainText(
    "the stretch before",
  );
  await explore(page).getByRole("button", { name: "Closer" }).click();
  await expect(sentence(page)).toHaveAccessibleName(
    /at month ends for \d{4}-\d\d-\d\d to \d{4}-\d\d-\d\d as line$/,
  );
});

test("a finding is kept with the report, and leads back to its step", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("level of requests where status is open at month ends for last 12 months as line"),
  );
  await expect(
    explore(page).getByRole("button", { name: "Save the report to keep findings" }),
  ).toBeDisabled();
  await saveAs(page, "Open requests, followed");
  await explore(page).getByRole("button", { name: "By quarter" }).click();
  await expect(page.getByRole("status", { name: "Your look" })).toContainText("at quarter ends");
  await explore(page).getByRole("button", { name: "Keep a finding" }).click();
  const dialog = page.getByRole("dialog", { name: "Keep a finding" });
  await dialog.getByLabel("In words").fill("");
  await expect(dialog.getByText("Say what was found.")).toBeVisible();
  await dialog.getByLabel("In words").fill("Requests wait longer since the summer");
  await dialog.getByRole("button", { name: "Keep it" }).click();
  await explore(page).getByRole("button", { name: "1 finding" }).click();
  const list = page.getByRole("dialog", { name: "Findings" });
  await expect(list).toContainText("Requests wait longer since the summer");
  await list.getByRole("link", { name: "Go there" }).click();
  await expect(sentence(page)).toHaveAccessibleName(
    /^level of requests where status is open at quarter ends/,
  );
});

test("another trend is laid under one along the same axis; the cursor tells both, its points open, and the address keeps it", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf("level of faults where status is open at month ends for last 6 full months as line"),
  );
  await choose(explore(page), "Lay under it", "what came in and went out");
  const under = page.getByRole("region", { name: "what came in and went out" });
  await expect(under.getByRole("button", { name: /arrivals: .* Open the records$/ })).toHaveCount(
    6,
  );
  const points = page.locator("[data-place='2']");
  await points.first().hover();
  await expect(under.locator(".top")).toContainText(/arrivals \d+, departures \d+/);
  // By keys: where a point has the focus, all charts point.
  await under.locator("[data-place='4']").first().focus();
  const told = await under.locator(".top").textContent();
  expect(told).toMatch(/arrivals \d+, departures \d+/);
  // Both axes have their fourth point at one place.
  const middle = async (region: ReturnType<Page["locator"]>) => {
    const boxes = await Promise.all(
      (await region.locator("[data-place='3']").all()).map((one) => one.boundingBox()),
    );
    const lefts = boxes.map((box) => box!.x);
    const rights = boxes.map((box) => box!.x + box!.width);
    return (Math.min(...lefts) + Math.max(...rights)) / 2;
  };
  const main = page.getByRole("group", { name: /^Level of faults/ });
  expect(Math.abs((await middle(main)) - (await middle(under)))).toBeLessThan(4);
  await under
    .getByRole("button", { name: /arrivals: / })
    .nth(1)
    .click();
  await expect(page.getByRole("region", { name: "Records", exact: true })).toContainText("created");
  await page.getByRole("button", { name: "Close the records" }).click();
  await page.reload();
  await expect(under.getByRole("button", { name: /arrivals: / })).toHaveCount(6);
  await expect(under.getByRole("link", { name: "Open as a report" })).toHaveAttribute(
    "href",
    /arrivals%20and%20departures/,
  );
  await under.getByRole("button", { name: "Take it away" }).click();
  await expect(under).toHaveCount(0);
  expect(page.url()).not.toContain("under=");
});

test("flows as running totals with the level on its own axis, said from the sentence; the net needs both flows", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "arrivals and departures of faults where status is open by month for last 6 full months as columns",
    ),
  );
  await page.getByRole("button", { name: "Say more" }).click();
  await page.getByRole("dialog").getByText("with …").click();
  await expect(sentence(page)).toHaveAccessibleName(/with level as columns with line$/);
  await page.getByRole("button", { name: "Say more" }).click();
  await page.getByRole("dialog").getByText("running total").click();
  await expect(sentence(page)).toHaveAccessibleName(
    /running total with level as columns with line$/,
  );
  await expect(page.getByText(/^since \d+ \w+ \d{4}$/)).toBeVisible();
  await expect(page.getByText("in all", { exact: true })).toBeVisible();
  // What came since the start opens all of it, and says between which instants it lies.
  await page
    .getByRole("button", { name: /, arrivals: .* Open the records$/ })
    .last()
    .click();
  const drawer = page.getByLabel("Records and workings");
  await expect(drawer.getByRole("status").first()).toContainText(/from \w+ 1 \w+ \d{4}, 00:00 to/);
  await expect(drawer.getByRole("columnheader", { name: "what did it" })).toBeVisible();
  // Only arrivals: their net is no question.
  await page.getByRole("button", { name: /^beside it: level/ }).click();
  await page.getByRole("dialog").getByText("net", { exact: true }).click();
  await expect(sentence(page)).toHaveAccessibleName(/with net and level/);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^what moves: / }).click();
  await page.getByRole("dialog").getByText("arrivals", { exact: true }).click();
  await expect(sentence(page)).toHaveAccessibleName(/^arrivals of faults .* with level as/);
});

test("finished items one by one with their percentiles: a dot opens its item, arrows lead to the next, a line opens all", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "median lead time in days and p85 lead time in days of faults by week of finished for last 12 weeks as dots",
    ),
  );
  const dots = page.locator("[data-dot]");
  await expect(dots.first()).toBeVisible();
  const drawer = page.getByLabel("Records and workings");
  // Dots lie over one another: one that is not covered, and has others after it.
  const free = await dots.evaluateAll((all) =>
    all.findIndex((dot, place) => {
      const { x, y, width, height } = dot.getBoundingClientRect();
      const top = document.elementFromPoint(x + width / 2, y + height / 2);
      return place > 10 && top?.closest("[data-dot]") === dot;
    }),
  );
  await dots.nth(free).click();
  await expect(drawer.getByRole("status").first()).toContainText("· 1 fault");
  const key = /^(\w+),/.exec((await dots.nth(free).getAttribute("aria-label"))!)![1];
  await expect(drawer.getByRole("link", { name: key })).toBeVisible();
  await dots.nth(free).focus();
  await page.keyboard.press("ArrowRight");
  await expect(dots.nth(free + 1)).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(
    drawer.getByRole("link", {
      name: /^(\w+),/.exec((await dots.nth(free + 1).getAttribute("aria-label"))!)![1],
    }),
  ).toBeVisible();
  const count = await dots.count();
  await page.getByRole("button", { name: /^p85 lead time in days: / }).click();
  await expect(drawer.getByRole("status").first()).toContainText(`· ${count} faults`);
});

test("what is about to be missed comes first, by the time that is left", async ({ page }) => {
  await signIn(page, "ines");
  await page.goto(
    reportOf(
      "list faults where SLA resolution is running showing key, priority, resolution time left sorted by resolution time left as list",
    ),
  );
  const table = page.getByRole("table").first();
  await expect(table.getByRole("columnheader", { name: "resolution time left" })).toHaveAttribute(
    "aria-sort",
    "ascending",
  );
  const minutes = (words: string) =>
    [...words.matchAll(/(\d+) (min|h|d)/g)].reduce(
      (all, [, n, unit]) => all + Number(n) * { min: 1, h: 60, d: 1440 }[unit as "h"],
      0,
    );
  const rows = (await table.getByRole("row").all()).slice(1);
  const left = await Promise.all(
    rows.map(async (row) => minutes((await row.getByRole("cell").last().textContent())!)),
  );
  expect(left.length).toBeGreaterThan(5);
  expect(left).toEqual([...left].sort((a, b) => a - b));
});

/** Of the drawn parts whose names hold some words, the one with the largest figure. */
async function largest(page: Page, words: RegExp) {
  const found = await marks(page).filter({ visible: true }).all();
  let best = { mark: found[0], value: -1, label: "" };
  for (const mark of found) {
    const label = (await mark.getAttribute("aria-label"))!;
    if (words.test(label) && (await valueOf(mark)) > best.value)
      best = { mark, value: await valueOf(mark), label };
  }
  return best;
}

test("somebody finds out why the backlog jumped and what piles up, and keeps the two charts that matter on a dashboard", async ({
  page,
}) => {
  await signIn(page, "ines");
  // Which week brought most of the P1 faults, and what they were: a storm, and the berth radios.
  await page.goto(
    reportOf(
      "arrivals and departures of faults where status is open and priority is P1 by week for last 12 months as columns",
    ),
  );
  await expect(marks(page).first()).toBeVisible();
  const storm = await largest(page, /, arrivals: /);
  await storm.mark.click();
  const drawer = page.getByLabel("Records and workings");
  await expect(drawer.getByRole("columnheader", { name: "what did it" })).toBeVisible();
  const titles = (await drawer.getByRole("row").allTextContents()).slice(1);
  expect(titles.length).toBeGreaterThan(10);
  expect(titles.filter((row) => /Berth radio/.test(row)).length / titles.length).toBeGreaterThan(
    0.5,
  );
  // What made the level jump in the quarter around it adds up in the workings.
  await explore(page).getByRole("button", { name: "What made the difference" }).click();
  await expect(sentence(page)).toHaveAccessibleName(/^bridge of faults/);
  await page.getByRole("tab", { name: "Workings" }).click();
  await expect(drawer).toContainText(
    /it adds up\d+ at the first \+ \d+ created.* = \d+ at the second/,
  );
  // Where things lie longer than a year ago: at the engine shop, waiting for parts.
  await page.goto(
    reportOf(
      'level of faults where team is "Engine shop" and status is "Waiting for parts" at quarter ends for last 18 months as line',
    ),
  );
  await expect(marks(page).first()).toBeVisible();
  const levels = await Promise.all((await marks(page).all()).map(valueOf));
  expect(levels.at(-1)!).toBeGreaterThan(levels[0] * 1.5);
  await saveAs(page, "Waiting for parts at the engine shop");
  await page.getByRole("button", { name: "Put on a dashboard" }).click();
  await page.getByRole("dialog").getByText("A new dashboard").click();
  await page.getByLabel("Name of the dashboard").fill("Engine shop");
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByText("It is on Engine shop.")).toBeVisible();
  await page.goto(
    reportOf(
      "arrivals and departures of faults where status is open by quarter for last 18 months with level as columns with line",
    ),
  );
  await saveAs(page, "Faults by quarter, with their level");
  await page.getByRole("button", { name: "Put on a dashboard" }).click();
  await page.getByRole("dialog").getByText("Engine shop", { exact: true }).click();
  await page.getByRole("button", { name: "Open it" }).click();
  await expect(
    page
      .getByRole("article", { name: "Waiting for parts at the engine shop" })
      .getByRole("button", { name: /Open the records$/ })
      .first(),
  ).toBeVisible();
  await expect(
    page
      .getByRole("article", { name: "Faults by quarter, with their level" })
      .getByRole("button", { name: /, level: .*Open the records$/ })
      .first(),
  ).toBeVisible();
});

for (const [name, asked, says] of [
  [
    "a period before any history",
    "level of faults where status is open at month ends for 2020 as line",
    /before any history, which begins on/,
  ],
  [
    "two dates before it",
    "bridge of faults where status is open from 2020-01-01 to 2020-06-01 as waterfall",
    /before any history/,
  ],
  [
    "a period to come",
    "arrivals and departures of faults where status is open by month for next 3 full months as columns",
    /has not begun/,
  ],
  [
    "what nothing ever matched",
    'level of faults where category is "nothing such" at month ends for last 6 months as line',
    /No faults matched this at any time in this period/,
  ],
] as const) {
  test(`${name} is said, and no line at 0 stands for it`, async ({ page }) => {
    await signIn(page, "ines");
    await page.goto(reportOf(asked));
    await expect(page.getByLabel("Figure", { exact: true })).toContainText(says);
    await expect(marks(page)).toHaveCount(0);
    await expect(explore(page)).toHaveCount(0);
  });
}

test("exploring a saved report is a look of one's own: the report stays, and the look can be kept", async ({
  page,
}) => {
  await signIn(page, "ines");
  await page.goto("/reports");
  await page.getByLabel("Find a report").fill("Open faults, week by week");
  await page
    .getByRole("link", { name: /Open faults, week by week/ })
    .first()
    .click();
  await page.waitForURL(/\/reports\/\d+$/);
  const says = await sentence(page).textContent();
  await expect(page.getByRole("button", { name: "Save", exact: true })).toBeDisabled();
  await explore(page).getByRole("button", { name: "By month" }).click();
  const look = page.getByRole("status", { name: "Your look" });
  await expect(look).toContainText("at month ends");
  await expect(page).toHaveURL(/[?&]look=/);
  await expect(page.getByRole("button", { name: "Save", exact: true })).toBeDisabled();
  expect(await sentence(page).textContent()).toBe(says);
  await page.reload();
  await expect(look).toContainText("at month ends");
  await explore(page).getByRole("button", { name: "By quarter" }).click();
  await expect(look).toContainText("at quarter ends");
  await page.keyboard.press("Control+z");
  await expect(look).toContainText("at month ends");
  await look.getByRole("button", { name: "Back to the report" }).click();
  await expect(look).toHaveCount(0);
  await expect(page).toHaveURL(/\/reports\/\d+$/);
  await explore(page).getByRole("button", { name: "By month" }).click();
  await look.getByRole("link", { name: "Keep as a report" }).click();
  await page.waitForURL(/\/reports\/new\?s=/);
  await expect(sentence(page)).toHaveAccessibleName(/at month ends/);
});
