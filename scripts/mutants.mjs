// npm run mutants -- falls traps/seal.ts [--draw 200] [--jobs 2]: plants faults in those folders of the core, one at a time, and
// counts how many the tests of the folder and the laws of the whole catch. Prints those that live on. `--draw` tries so many
// drawn at random (same seed, same faults; `--skip 80` the next after so many) where all would take too long. `--own` leaves the laws of the whole out: quicker, and the
// share is then the least there can be; `--also heads,hull` asks the tests of those folders as well. Each fault runs in a process of its own; outside ./test.
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { join, resolve } from "node:path";
import { build } from "esbuild";

const { areas, draw, skip, jobs, isOwn, also } = readArguments(process.argv.slice(2));
const tool = "scripts/mutants";
if (!existsSync(`${tool}/node_modules`)) {
  const installed = spawnSync("npm", ["ci"], { cwd: tool, stdio: "inherit" });
  if (installed.status !== 0) process.exit(installed.status ?? 1);
}
const { plantFaults } = await import("./mutants/plantFaults.mjs");

/** Tests that hold whole designs to laws; a fault in any folder may show there. */
const LAWS = ["laws", "safetyLaws", "sameRig", "findings", "evaluate"].map((law) => `core/evaluate/${law}.test.ts`);
/** These look at what is loaded, and so want a process in which no other test was; here they share one. */
const ALONE = ".alone.test.ts";
/** So large a share has to be caught. */
const WANTED = 0.85;
/** A fault is met no more often than so many times what the sound program comes by: an endless loop throws. */
const HITS = 20;
const room = resolve(".mutants");
let plans = 0;

let least = 1;
for (const area of areas) least = Math.min(least, await tryArea(area));
rmSync(room, { recursive: true, force: true });
process.exit(least >= WANTED ? 0 : 1);

async function tryArea(area) {
  const dir = area.split("/")[0];
  const inDir = readdirSync(`core/${dir}`, { recursive: true }).map((file) => `core/${dir}/${file}`);
  const isTest = (file) => file.endsWith(".test.ts") && !file.endsWith(ALONE);
  const sources = area.endsWith(".ts")
    ? [`core/${area}`]
    : inDir.filter((f) => f.endsWith(".ts") && !/\.test\.ts$/.test(f));
  const { contents, faults } = await plantFaults(sources);
  const beside = also.flatMap((folder) =>
    readdirSync(`core/${folder}`, { recursive: true }).flatMap((file) =>
      isTest(`core/${folder}/${file}`) ? `core/${folder}/${file}` : [],
    ),
  );
  const tests = [...new Set([...inDir.filter(isTest), ...beside, ...(isOwn ? [] : LAWS)])];
  const bundles = await bundleTests(tests, contents);
  const dry = join(room, "dry.json");
  const ran = runHarness({ bundles: bundles.map((bundle) => ({ bundle, wanted: null })), told: dry }, undefined);
  if ((await ran.ended).status !== 0) throw new Error(`The tests of ${area} fail without any fault.`);
  const { tests: known, met } = JSON.parse(readFileSync(dry, "utf8"));
  // what only happens while a module loads is met by every test or none, and says nothing of either
  const reached = faults.filter(({ id }) => !met.static[id] || known.some((one) => timesMet(met, one, id) > 0));
  const drawn = draw === null ? reached : drawSome(reached, draw, skip);
  const caught = new Map();
  const queue = [...drawn];
  const work = async () => {
    for (let fault = queue.shift(); fault; fault = queue.shift()) {
      const isCaught = await tryFault(fault.id, known, met);
      caught.set(fault.id, isCaught);
      if (!isCaught) console.log(nameFault(fault));
      if (caught.size % 50 === 0) console.error(`${area}: ${caught.size} of ${drawn.length} tried`);
    }
  };
  await Promise.all(Array.from({ length: jobs }, work));
  return tell(area, drawn, reached.length, caught);
}

// The tests that come by a fault, quick ones first.
async function tryFault(id, known, met) {
  const asked = known.filter((one) => timesMet(met, one, id) > 0).sort((a, b) => a.ms - b.ms);
  if (asked.length === 0) return false;
  const bundles = [...new Set(asked.map(({ bundle }) => bundle))].map((bundle) => ({
    bundle,
    wanted: asked.filter((one) => one.bundle === bundle).map(({ index }) => index),
  }));
  const hits = asked.reduce((sum, one) => sum + timesMet(met, one, id), 0);
  const ms = asked.reduce((sum, one) => sum + one.ms, 0);
  const run = runHarness({ bundles, hitLimit: hits * HITS + 1_000 }, id);
  const timer = setTimeout(run.stop, 10_000 + 5 * ms);
  const { status } = await run.ended;
  clearTimeout(timer);
  return status !== 0;
}

function timesMet(met, { bundle, index }, id) {
  return met.perTest[`${bundle}#${index}`]?.[id] ?? 0;
}

function runHarness(plan, id) {
  plans += 1;
  const path = join(room, `plan-${plans}.json`);
  writeFileSync(path, JSON.stringify(plan));
  const isDry = id === undefined;
  const child = spawn(process.execPath, [`${tool}/harness.mjs`, path, ...(isDry ? [] : [id])], {
    stdio: ["ignore", "ignore", isDry ? "inherit" : "ignore"],
  });
  const ended = new Promise((done) => child.on("close", (status) => done({ status })));
  return { ended: ended.finally(() => rmSync(path, { force: true })), stop: () => child.kill("SIGKILL") };
}

async function bundleTests(tests, contents) {
  rmSync(room, { recursive: true, force: true });
  mkdirSync(room, { recursive: true });
  const seed = resolve("tests/seed.ts");
  const entries = tests.map((file, i) => {
    const entry = join(room, `entry-${i}.ts`);
    writeFileSync(entry, `import ${JSON.stringify(seed)};\nimport ${JSON.stringify(resolve(file))};\n`);
    return entry;
  });
  await build({
    entryPoints: entries,
    outdir: join(room, "out"),
    outExtension: { ".js": ".mjs" },
    bundle: true,
    splitting: true,
    packages: "external",
    platform: "node",
    target: "node20",
    format: "esm",
    alias: { "@": resolve(".") },
    logLevel: "error",
    plugins: [
      {
        name: "planted",
        setup: ({ onLoad }) =>
          onLoad({ filter: /\/core\/.*\.ts$/ }, ({ path }) =>
            contents.has(path) ? { contents: contents.get(path), loader: "ts" } : undefined,
          ),
      },
    ],
  });
  return tests.map((_, i) => join(room, "out", `entry-${i}.mjs`));
}

// Numbers that look like chance and are the same at every run (mulberry32).
function drawSome(list, count, skipped) {
  let state = 20_260_901;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  return list
    .map((one) => [next(), one])
    .sort(([a], [b]) => a - b)
    .slice(skipped, skipped + count)
    .map(([, one]) => one);
}

function nameFault({ file, line, kind, was, becomes }) {
  return `${file}:${line} ${kind}: ${was}  ->  ${becomes}`;
}

function tell(area, drawn, all, caught) {
  const alive = drawn.filter(({ id }) => !caught.get(id));
  const share = drawn.length === 0 ? 1 : 1 - alive.length / drawn.length;
  const of = drawn.length < all ? ` drawn from ${all}` : "";
  console.log(
    `${area}: ${drawn.length - alive.length} of ${drawn.length} faults${of} caught, ${(share * 100).toFixed(1)} %`,
  );
  return share;
}

function readArguments(args) {
  const numberAfter = (name) => {
    const at = args.indexOf(name);
    return at < 0 ? null : Number(args.splice(at, 2)[1]);
  };
  const own = args.indexOf("--own");
  if (own >= 0) args.splice(own, 1);
  const at = args.indexOf("--also");
  const also = at < 0 ? [] : (args.splice(at, 2)[1] ?? "").split(",");
  const [draws, many, skip] = [numberAfter("--draw"), numberAfter("--jobs"), numberAfter("--skip")];
  const isFound = (area) => existsSync(`core/${area.split("/")[0]}`);
  const isCount = (value) => value === null || (Number.isInteger(value) && value > 0);
  if (args.length === 0 || ![...args, ...also].every(isFound) || !isCount(draws) || !isCount(many)) {
    console.error(
      "Say which folders of core, or files in them: npm run mutants -- falls traps/seal.ts [--draw 200] [--jobs 2] [--own] [--also hull]",
    );
    process.exit(2);
  }
  return { areas: args, draw: draws, skip: skip ?? 0, jobs: many ?? Math.min(4, cpus().length), isOwn: own >= 0, also };
}
