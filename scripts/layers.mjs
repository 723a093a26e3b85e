// Holds the imports against the layers; fails as well when nothing was read, because then nothing was checked.
import { spawnSync } from "node:child_process";

const FOLDERS = ["core", "words", "workers", "store", "ui", "app", "cli"];
const run = spawnSync("npx", ["--no-install", "depcruise", "--output-type", "err", ...FOLDERS], { encoding: "utf8" });
process.stdout.write(run.stdout);
const modules = Number(/\((\d+) modules/.exec(run.stdout)?.[1] ?? 0);
if (run.status !== 0 || modules < 50) {
  process.stderr.write(`${run.stderr}\nlayers: ${modules} modules read, status ${run.status}\n`);
  process.exit(1);
}
