// Prints how many golden cases pass, from Jest's report, and fails when one that is listed does not.
import { readFileSync } from "node:fs";

const report = JSON.parse(readFileSync(process.argv[2], "utf8"));
const cases = JSON.parse(readFileSync(new URL("cases.json", import.meta.url), "utf8"));
const covered = JSON.parse(readFileSync(new URL("covered.json", import.meta.url), "utf8"));
const passed = new Set();
for (const suite of report.testResults)
  for (const test of suite.assertionResults)
    if (test.status === "passed") passed.add(test.title.split(" ")[0]);
const api = covered.api.filter((id) => passed.has(id));
const core = covered.core.filter((id) => passed.has(id));
const missing = [...covered.api, ...covered.core].filter((id) => !passed.has(id));
if (missing.length) console.log(`do not pass: ${missing.join(", ")}`);
console.log(
  `${api.length + core.length} of ${cases.length} golden cases pass (${api.length} by the API, ${core.length} in the core), ${cases.length - covered.api.length - covered.core.length} not covered yet`,
);
if (missing.length) process.exitCode = 1;
