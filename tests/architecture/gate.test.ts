import { execFileSync } from "node:child_process";

interface Violation {
  from: string;
  rule: { name: string };
}

/** Runs the import gate over a folder; it ends with a status when something is forbidden. */
function violationsIn(folder: string): Violation[] {
  const args = [
    "node_modules/dependency-cruiser/bin/dependency-cruise.mjs",
    folder,
    "--config",
    ".dependency-cruiser.mjs",
    "--output-type",
    "json",
  ];
  const told = execFileSync(process.execPath, args, { encoding: "utf8", maxBuffer: 1 << 26 });
  return (JSON.parse(told) as { summary: { violations: Violation[] } }).summary.violations;
}

describe("the import gate", () => {
  const planted = violationsIn("tests/architecture/planted/src");
  test.each([
    ["core/base/coreTakesData.ts", "core-imports"],
    ["core/base/coreTakesReact.ts", "core-packages"],
    ["core/catalog/againstTheOrder.ts", "core-order-catalog"],
    ["core/filter/pastTheIndex.ts", "by-the-index"],
    ["ui/report/uiTakesSql.ts", "ui-no-sql"],
    ["ui/report/uiReachesSql.ts", "ui-no-sql"],
    ["server/serverTakesTheDriver.ts", "only-data-knows-the-database"],
    ["app/appTakesData.ts", "app-imports"],
    ["server/cycleA.ts", "no-cycles"],
  ])("refuses %s by the rule %s", (file, rule) => {
    expect(
      planted
        .filter((violation) => violation.from.endsWith(file))
        .map((violation) => violation.rule.name),
    ).toContain(rule);
  });

  test("lets the application pass", () => {
    expect(
      violationsIn("src").map((violation) => `${violation.rule.name}: ${violation.from}`),
    ).toEqual([]);
  });
});
