import { firstLoads } from "../sizes/pageSizes";
import { expect, test } from "./lanes";

/** The script that a page may load first, in kB as sent. A budget may be lowered, never raised. */
const BUDGETS = {
  "/(rooms)/reports": 198,
  "/(rooms)/dashboards": 190,
  "/(rooms)/mailings": 195,
  "/(rooms)/settings/people": 199,
  "/(rooms)/settings/imports": 195,
  "/(rooms)/settings/print": 199,
  "/(rooms)/settings/words": 200,
  "/(rooms)/reports/[id]": 299,
  "/(rooms)/reports/new": 299,
  "/(rooms)/dashboards/[id]": 211,
  "/(rooms)/sprints/[id]": 297,
  "/(rooms)/releases/[id]": 248,
  "/(rooms)/projects": 252,
  "/(rooms)/projects/[id]": 248,
  "/(rooms)/briefings/[id]": 207,
  "/(rooms)/hours": 198,
  "/(rooms)/items": 256,
  "/(rooms)/items/[key]": 227,
  "/sign-in": 203,
  "/print/[secret]": 186,
} as const;

const sizes = () => firstLoads(Object.keys(BUDGETS));

for (const [route, budget] of Object.entries(BUDGETS))
  test(`${route} loads at most ${budget} kB of script first`, () => {
    const size = sizes().get(route)!;
    expect(size).toBeGreaterThan(50_000);
    expect(size).toBeLessThanOrEqual(budget * 1000);
  });
