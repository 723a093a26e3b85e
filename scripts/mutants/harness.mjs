// Runs bundled tests in a process of its own, one planted fault switched on: node harness.mjs PLAN [FAULT]
// Without a fault it tells which tests there are, how long each takes, and which faults each comes by. A fault that is found
// ends it with 1, one that lives with 0.
import { readFileSync, writeFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import { expect } from "expect";
import fc from "fast-check";

const [planPath, fault] = process.argv.slice(2);
/** Bundles in order, each with the numbers of its tests that are wanted, or null for all; and how often a fault may be met. */
const plan = JSON.parse(readFileSync(planPath, "utf8"));
const planted = { activeMutant: fault, mutantCoverage: { static: {}, perTest: {} }, currentTestId: undefined };
globalThis.__stryker__ = planted;
if (fault !== undefined) {
  planted.hitCount = 0;
  planted.hitLimit = plan.hitLimit;
}

let collected = [];
const test = (name, run) => collected.push({ name, run });
test.each = (rows) => (name, run) => {
  for (const row of rows) test(name, () => (Array.isArray(row) ? run(...row) : run(row)));
};
Object.assign(globalThis, { test, expect });

const told = [];
for (const { bundle, wanted } of plan.bundles) {
  collected = [];
  await import(pathToFileURL(bundle));
  // one counterexample is enough: nobody reads it, so none is made smaller
  fc.configureGlobal({ ...fc.readConfigureGlobal(), endOnFailure: true });
  const own = collected;
  for (const i of wanted ?? own.keys()) {
    const { name, run } = own[i];
    planted.currentTestId = `${bundle}#${i}`;
    const began = performance.now();
    try {
      await run();
    } catch (error) {
      if (fault !== undefined) process.exit(1);
      console.error(`${bundle}: ${name} fails without any fault: ${error}`);
      process.exit(2);
    }
    told.push({ bundle, index: i, ms: performance.now() - began });
    planted.currentTestId = undefined;
  }
}
if (fault === undefined) writeFileSync(plan.told, JSON.stringify({ tests: told, met: planted.mutantCoverage }));
process.exit(0);
