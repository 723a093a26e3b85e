// npm run fuzz -- 1000000 [seed]: mutated design files, read and worked out; prints tried, refused, opened and defects.
import { readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { bundle } from "./buildCli.mjs";

const [runs = "20000", seed = "1"] = process.argv.slice(2);
const out = join(tmpdir(), `schleuse-fuzz-${process.pid}.mjs`);
await bundle("tests/fuzz.ts", out);
const { fuzzFiles } = await import(pathToFileURL(out));
const names = [
  "kranich",
  "lesesaal",
  "puppenwagen",
  "otter",
  "lesesaal-furnished",
  "kranich-loop",
  "lesesaal-loop",
  "lesesaal-heads",
];
const texts = names.map((name) => readFileSync(new URL(`../demo/${name}.json`, import.meta.url), "utf8"));
const BATCH = 5000;
const sum = { tried: 0, refused: 0, opened: 0, defects: [] };
for (let done = 0; done < Number(runs); done += BATCH) {
  const tally = fuzzFiles(texts, Math.min(BATCH, Number(runs) - done), Number(seed) + done);
  for (const key of ["tried", "refused", "opened"]) sum[key] += tally[key];
  sum.defects.push(...tally.defects);
  process.stderr.write(`\r${sum.tried} tried`);
}
process.stdout.write(
  `\ntried ${sum.tried}, refused ${sum.refused}, opened ${sum.opened}, defects ${sum.defects.length}\n`,
);
for (const { seed: at, what } of sum.defects.slice(0, 20)) process.stdout.write(`  seed ${at}: ${what}\n`);
if (sum.defects.length > 0) writeFileSync("fuzz-defects.json", JSON.stringify(sum.defects, null, 2));
process.exitCode = sum.defects.length > 0 ? 1 : 0;
