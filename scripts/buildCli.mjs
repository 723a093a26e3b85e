import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = fileURLToPath(new URL("..", import.meta.url));

/** Bundles the command line into dist/schleuse.mjs, which then runs without node_modules. */
export async function buildCli() {
  await bundle("cli/main.ts", "dist/schleuse.mjs");
}

/** Bundles one TypeScript entry for Node; the packages named stay outside. */
export async function bundle(entry, outfile, external = []) {
  await build({
    absWorkingDir: root,
    entryPoints: [entry],
    outfile,
    bundle: true,
    external,
    platform: "node",
    target: "node20",
    format: "esm",
    logLevel: "warning",
    banner: {
      js: 'import { createRequire as toRequire } from "node:module"; const require = toRequire(import.meta.url);',
    },
  });
}
