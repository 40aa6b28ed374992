import { firstLoads } from "../sizes/pageSizes";
import { expect, test } from "./lanes";

/** The script that a page may load first, in kB as sent. A budget may be lowered, never raised. */
const BUDGETS = {
  "/(rooms)/reports": 200,
  "/(rooms)/dashboards": 190,
  "/(rooms)/mailings": 195,
  "/(rooms)/settings/people": 200,
  "/(rooms)/settings/imports": 195,
  "/(rooms)/settings/print": 200,
  "/(rooms)/reports/[id]": 330,
  "/(rooms)/reports/new": 330,
  "/(rooms)/dashboards/[id]": 305,
  "/(rooms)/sprints/[id]": 300,
  "/(rooms)/items/[key]": 230,
  "/sign-in": 205,
  "/print/[secret]": 280,
} as const;

const sizes = () => firstLoads(Object.keys(BUDGETS));

for (const [route, budget] of Object.entries(BUDGETS))
  test(`${route} loads at most ${budget} kB of script first`, () => {
    const size = sizes().get(route)!;
    expect(size).toBeGreaterThan(50_000);
    expect(size).toBeLessThanOrEqual(budget * 1000);
  });
