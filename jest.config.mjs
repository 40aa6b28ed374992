/** Unit, property and database tests. Browser tests run under Playwright (tests/e2e). */
const config = {
  testEnvironment: "node",
  roots: ["<rootDir>/src", "<rootDir>/tests"],
  testMatch: ["**/*.test.ts"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1", "^server-only$": "<rootDir>/tests/empty.ts" },
  transform: {
    "^.+\\.(t|j)sx?$": [
      "@swc/jest",
      {
        jsc: {
          parser: { syntax: "typescript", tsx: true },
          transform: { react: { runtime: "automatic" } },
          target: "es2022",
        },
        module: { type: "commonjs" },
      },
    ],
  },
  transformIgnorePatterns: ["/node_modules/(?!(temporal-polyfill|temporal-utils|culori)/)"],
  modulePathIgnorePatterns: ["<rootDir>/.next", "<rootDir>/.data"],
  testTimeout: 60_000,
  maxWorkers: 2,
};

export default config;
