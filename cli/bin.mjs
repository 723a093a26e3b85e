#!/usr/bin/env node
// Runs the bundled command line; bundles it first when it has not been built yet.
import { existsSync, writeSync } from "node:fs";
import { fileURLToPath } from "node:url";

const bundle = fileURLToPath(new URL("../dist/schleuse.mjs", import.meta.url));
if (!existsSync(bundle)) {
  const { buildCli } = await import("../scripts/buildCli.mjs");
  await buildCli();
}
const { runCli } = await import(bundle);
const { code, out, err } = runCli(process.argv.slice(2));

// Written whole before it ends; a pipe that is shut or a disk that is full is one line and exit 2.
function write(fd, text) {
  let bytes = Buffer.from(text, "utf8");
  while (bytes.length > 0) {
    try {
      bytes = bytes.subarray(writeSync(fd, bytes));
    } catch (error) {
      if (error.code !== "EAGAIN") throw error;
    }
  }
}

try {
  write(1, out);
  write(2, err);
  process.exitCode = code;
} catch (error) {
  try {
    write(2, `The output could not be written (${error.code ?? "unknown"}).\n`);
  } catch {
    // nobody is left to be told
  }
  process.exitCode = 2;
}
