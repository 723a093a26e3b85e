// npm run mutants -- falls traps: plants faults in those folders of the core, one at a time, and counts how many the tests of
// the folder and the laws of the whole catch. Prints those that live on. Takes about two seconds a fault and core; outside ./test.
import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const areas = process.argv.slice(2);
if (areas.length === 0 || areas.some((area) => !existsSync(`core/${area.split("/")[0]}`))) {
  console.error("Say which folders of core, or files in them: npm run mutants -- falls traps/seal.ts");
  process.exit(2);
}
const tool = "scripts/mutants";
if (!existsSync(`${tool}/node_modules`)) {
  const installed = spawnSync("npm", ["ci"], { cwd: tool, stdio: "inherit" });
  if (installed.status !== 0) process.exit(installed.status ?? 1);
}

/** Tests that hold whole designs to laws; a fault in any folder may show there. */
const LAWS = ["evaluate/laws", "evaluate/safetyLaws", "evaluate/findings", "evaluate/evaluate", "pour/pour"];
const folder = mkdtempSync(join(tmpdir(), "schleuse-mutants-"));
/** So large a share has to be caught. */
const WANTED = 0.85;
let least = 1;
for (const area of areas) {
  const dir = area.split("/")[0];
  const own = readdirSync(`core/${dir}`, { recursive: true }).filter((file) => String(file).endsWith(".test.ts"));
  const first = run(
    area.endsWith(".ts") ? [`core/${area}`] : [`core/${dir}/**/*.ts`, "!core/**/*.test.ts"],
    own.map((file) => `${dir}/${file}`),
  );
  // only what lives through the tests of its own folder is held against the laws, which take longer
  const alive = first.filter(({ status }) => isAlive(status));
  const held =
    alive.length === 0
      ? []
      : run(
          alive.map(toRange),
          LAWS.map((law) => `${law}.test.ts`),
        );
  const still = new Set(held.filter(({ status }) => isAlive(status)).map(toKey));
  least = Math.min(least, tell(area, first, still));
}
rmSync(folder, { recursive: true, force: true });
process.exit(least >= WANTED ? 0 : 1);

function run(mutate, tests) {
  const [config, report] = [join(folder, "config.json"), join(folder, "report.json")];
  rmSync(report, { force: true });
  const testMatch = tests.filter((file) => existsSync(`core/${file}`)).map((file) => `<rootDir>/core/${file}`);
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: "jest",
      plugins: [join(process.cwd(), tool, "node_modules/@stryker-mutator/jest-runner/dist/src/index.js")],
      // types are checked elsewhere, and the tester would rewrite the paths of the project
      tsconfigFile: "none.json",
      jest: {
        projectType: "custom",
        configFile: "jest.config.mjs",
        enableFindRelatedTests: false,
        config: { maxWorkers: 1, roots: ["<rootDir>/core"], testMatch },
      },
      testRunnerNodeArgs: ["--experimental-vm-modules"],
      coverageAnalysis: "perTest",
      mutate,
      ignoreStatic: true,
      concurrency: 2,
      timeoutMS: 10_000,
      reporters: ["json"],
      jsonReporter: { fileName: report },
      tempDirName: ".mutants",
      ignorePatterns: [".next", "dist", "docs", "e2e", "test-results", "public", "app", "ui", "scripts"],
    }),
  );
  const ended = spawnSync("node", [`${tool}/node_modules/@stryker-mutator/core/bin/stryker.js`, "run", config], {
    stdio: ["ignore", "ignore", "inherit"],
  });
  if (!existsSync(report)) process.exit(ended.status || 1);
  const { files } = JSON.parse(readFileSync(report, "utf8"));
  return Object.entries(files).flatMap(([file, { source, mutants }]) =>
    mutants.map((mutant) => ({ file, line: source.split("\n")[mutant.location.start.line - 1].trim(), ...mutant })),
  );
}

function isAlive(status) {
  return status === "Survived" || status === "NoCoverage";
}

function toRange({ file, location: { start, end } }) {
  return `${file}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`;
}

function toKey({ file, location, mutatorName, replacement }) {
  return JSON.stringify([file, location, mutatorName, replacement]);
}

function tell(area, mutants, still) {
  const judged = mutants.filter(({ status }) => isAlive(status) || status === "Killed" || status === "Timeout");
  const alive = judged.filter((mutant) => still.has(toKey(mutant)));
  for (const { file, location, mutatorName, replacement, line } of alive) {
    console.log(`${file}:${location.start.line} ${mutatorName}: ${line}  ->  ${replacement}`);
  }
  const share = judged.length === 0 ? 1 : 1 - alive.length / judged.length;
  const caught = judged.length - alive.length;
  console.log(`${area}: ${caught} of ${judged.length} faults caught, ${(share * 100).toFixed(1)} %`);
  return share;
}
