// Adds up what the unit and the browser tests reported, prints the one closing line, and fails when anything failed.
import { existsSync, readFileSync } from "node:fs";

const [unitFile, browserFile, status] = process.argv.slice(2);
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : null);
const unit = read(unitFile);
const browser = read(browserFile);
const flaky = browser?.stats.flaky ?? 0;
const passed = (unit?.numPassedTests ?? 0) + (browser?.stats.expected ?? 0) + flaky;
let failed = (unit?.numFailedTests ?? 0) + (unit?.numRuntimeErrorTestSuites ?? 0) + (browser?.stats.unexpected ?? 0);
// a part that left no report, or a step that failed without a test to show for it, counts as one failure
if (!unit || unit.numTotalTests === 0) failed += 1;
if (!browser || browser.stats.expected + browser.stats.unexpected === 0) failed += 1;
if (status !== "0" && failed === 0) failed = 1;
if (flaky > 0) process.stdout.write(`\nPassed at the second try only: ${flaky}\n`);
process.stdout.write(`\nTests: ${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
