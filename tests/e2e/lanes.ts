import { test as base } from "@playwright/test";

const listed = (text: string | undefined): string[] => (text ?? "").split(" ").filter(Boolean);
const lanes = listed(process.env.E2E_URLS);
const databases = listed(process.env.E2E_DATABASES);

/** The surroundings of a command that works on the workspace of this test's lane. */
export const commandEnv = (): NodeJS.ProcessEnv => ({
  ...process.env,
  DATABASE_URL: databases[base.info().parallelIndex] ?? process.env.DATABASE_URL,
});

/** A test on the lane of its worker. */
export const test = base.extend({
  baseURL: async ({ baseURL }, provide, { parallelIndex }) => {
    await provide(lanes[parallelIndex] ?? baseURL);
  },
});
export { expect, type Locator, type Page } from "@playwright/test";
