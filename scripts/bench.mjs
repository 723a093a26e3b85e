// Bundles the benchmark and runs it on the production build. `npm run bench -- --core` leaves the browser out.
import { spawnSync } from "node:child_process";
import { bundle } from "./buildCli.mjs";

await bundle("bench/main.ts", "dist/bench.mjs", ["@playwright/test"]);
process.exit(
  spawnSync(process.execPath, ["dist/bench.mjs", ...process.argv.slice(2)], { stdio: "inherit" }).status ?? 1,
);
