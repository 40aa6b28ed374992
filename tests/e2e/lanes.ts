import { test as base } from "@playwright/test";

const lanes = (process.env.E2E_URLS ?? "").split(" ").filter(Boolean);

/** A test on the lane of its worker. */
export const test = base.extend({
  baseURL: async ({ baseURL }, use, { parallelIndex }) => {
    await use(lanes[parallelIndex] ?? baseURL);
  },
});
export { expect, type Page } from "@playwright/test";
