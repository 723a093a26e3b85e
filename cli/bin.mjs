#!/usr/bin/env node
// Runs the bundled command line; bundles it first when it has not been built yet.
import { existsSync } from "node:fs";
import { fileURLToPath } from "node:url";

const bundle = fileURLToPath(new URL("../dist/schleuse.mjs", import.meta.url));
if (!existsSync(bundle)) {
  const { buildCli } = await import("../scripts/buildCli.mjs");
  await buildCli();
}
const { runCli } = await import(bundle);
const { code, out, err } = runCli(process.argv.slice(2));
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = code;
